package dev.oleander.drawing.read;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.Mended;
import dev.oleander.drawing.mend.Mender;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/** Mends the line work of a drawing, purpose by purpose, and reads what it is. */
public final class DrawingReading {

    private final ReadOptions options;

    public DrawingReading(ReadOptions options) {
        this.options = options;
    }

    /** Features come in the order of the drawing; parts are numbered in it too. */
    public Reading read(Drawing drawing) {
        return new Run(drawing).read();
    }

    private final class Run {
        private final Drawing drawing;
        private final List<Fault> faults;
        private final Map<String, Integer> idsInUse = new HashMap<>();
        private final List<Feature> raw = new ArrayList<>();

        Run(Drawing drawing) {
            this.drawing = drawing;
            this.faults = new ArrayList<>(drawing.faults());
        }

        Reading read() {
            mendByPurpose();
            List<Feature> nested = nest();
            List<Part> parts = parts(nested);
            List<Feature> features = withParts(nested, parts);
            reportOpen(features);
            faults.addAll(
                    new Meetings(options.mend().gap() / 10)
                            .find(
                                    features.stream()
                                            .filter(f -> f.purpose() == Purpose.CUT)
                                            .toList()));
            return new Reading(
                    drawing, features, parts, holes(features), List.copyOf(faults), purposes());
        }

        private void mendByPurpose() {
            Map<Purpose, List<Entity>> byPurpose = new TreeMap<>();
            for (Entity entity : drawing.entities()) {
                byPurpose
                        .computeIfAbsent(options.purposeOf(entity.layer()), p -> new ArrayList<>())
                        .add(entity);
            }
            Mender mender = new Mender(options.mend());
            byPurpose.forEach(
                    (purpose, entities) -> {
                        Mended mended = mender.mend(entities);
                        if (purpose != Purpose.IGNORE) {
                            faults.addAll(mended.faults());
                        }
                        mended.chains().forEach(joined -> addRaw(joined, purpose));
                    });
            raw.sort((a, b) -> compareIds(a.id(), b.id()));
        }

        private static int compareIds(String a, String b) {
            int byLength = Integer.compare(number(a), number(b));
            return byLength != 0 ? byLength : a.compareTo(b);
        }

        private static int number(String id) {
            return Integer.parseInt(id.replaceAll("\\D", ""));
        }

        private void addRaw(Mended.Joined joined, Purpose ofLayer) {
            String id = newId(joined.first());
            Purpose decided = options.features().get(id);
            raw.add(
                    new Feature(
                            id,
                            joined.chain() instanceof Contour c ? c.turning(true) : joined.chain(),
                            Feature.Kind.OPEN,
                            decided != null ? decided : ofLayer,
                            joined.first().layer(),
                            0,
                            Optional.empty(),
                            Optional.empty(),
                            joined.chain() instanceof Contour c
                                    ? c.circleDiameter(options.circle())
                                    : OptionalDouble.empty(),
                            decided != null));
        }

        /** c7 for the chain that begins with the seventh entity; c7b, c7c for further ones. */
        private String newId(Entity first) {
            String base = "c" + (first.ordinal() + 1);
            int uses = idsInUse.merge(base, 1, Integer::sum);
            return uses == 1 ? base : base + (char) ('a' + Math.min(uses - 1, 25));
        }

        private List<Feature> nest() {
            List<Feature> closed =
                    raw.stream().filter(f -> f.purpose() == Purpose.CUT && f.isClosed()).toList();
            Nesting nesting =
                    new Nesting(
                            closed.stream().map(Feature::contour).toList(), options.mend().gap());
            Map<String, Feature> nested = new LinkedHashMap<>();
            for (int i = 0; i < closed.size(); i++) {
                int depth = nesting.depth(i);
                int parent = nesting.parent(i);
                Feature.Kind kind = depth % 2 == 0 ? Feature.Kind.OUTLINE : Feature.Kind.OPENING;
                nested.put(
                        closed.get(i).id(),
                        placed(closed.get(i), kind, depth, parent < 0 ? null : closed.get(parent)));
            }
            List<Feature> all = new ArrayList<>(raw.size());
            for (Feature feature : raw) {
                Feature known = nested.get(feature.id());
                all.add(known != null ? known : lyingOn(feature, closed, nesting));
            }
            return all;
        }

        /** An open or marked line belongs to the innermost contour round its middle. */
        private static Feature lyingOn(Feature feature, List<Feature> closed, Nesting nesting) {
            Point middle = feature.chain().stationAt(feature.chain().length() / 2).point();
            int around = nesting.around(middle);
            int depth = around < 0 ? 0 : nesting.depth(around) + 1;
            Feature.Kind kind =
                    feature.isClosed() && depth % 2 == 0 ? Feature.Kind.OUTLINE : Feature.Kind.OPEN;
            if (feature.isClosed() && depth % 2 == 1) {
                kind = Feature.Kind.OPENING;
            }
            return placed(feature, kind, depth, around < 0 ? null : closed.get(around));
        }

        private static Feature placed(Feature f, Feature.Kind kind, int depth, Feature parent) {
            return new Feature(
                    f.id(),
                    f.chain(),
                    kind,
                    f.purpose(),
                    f.layer(),
                    depth,
                    f.part(),
                    Optional.ofNullable(parent).map(Feature::id),
                    f.circleDiameter(),
                    f.onPurpose());
        }

        private List<Part> parts(List<Feature> features) {
            Map<String, List<Feature>> openingsOf = new HashMap<>();
            for (Feature feature : features) {
                if (isCut(feature, Feature.Kind.OPENING)) {
                    String parent = feature.parent().orElse("");
                    openingsOf.computeIfAbsent(parent, p -> new ArrayList<>()).add(feature);
                }
            }
            List<Part> parts = new ArrayList<>();
            for (Feature outline : features) {
                if (isCut(outline, Feature.Kind.OUTLINE)) {
                    List<Feature> openings = openingsOf.getOrDefault(outline.id(), List.of());
                    parts.add(
                            new Part(
                                    "p" + (parts.size() + 1),
                                    outline.id(),
                                    openings.stream().map(Feature::id).toList(),
                                    new Region(
                                            outline.contour(),
                                            openings.stream().map(Feature::contour).toList())));
                }
            }
            return parts;
        }

        private static boolean isCut(Feature feature, Feature.Kind kind) {
            return feature.purpose() == Purpose.CUT && feature.kind() == kind;
        }

        private static List<Feature> withParts(List<Feature> features, List<Part> parts) {
            Map<String, String> partOf = new HashMap<>();
            for (Part part : parts) {
                partOf.put(part.outline(), part.id());
                part.openings().forEach(o -> partOf.put(o, part.id()));
            }
            return features.stream()
                    .map(
                            f -> {
                                String own = partOf.get(f.id());
                                String part = own != null ? own : partOf.get(f.parent().orElse(""));
                                return new Feature(
                                        f.id(),
                                        f.chain(),
                                        f.kind(),
                                        f.purpose(),
                                        f.layer(),
                                        f.depth(),
                                        Optional.ofNullable(part),
                                        f.parent(),
                                        f.circleDiameter(),
                                        f.onPurpose());
                            })
                    .toList();
        }

        private void reportOpen(List<Feature> features) {
            for (Feature feature : features) {
                if (feature.purpose() == Purpose.CUT && !feature.isClosed()) {
                    faults.add(openFault(feature));
                }
            }
        }

        private static Fault openFault(Feature feature) {
            Point start = feature.chain().start();
            Point end = feature.chain().end();
            String sentence =
                    "Line %s on layer %s is open: %s long, from (%s, %s) to (%s, %s), ends %s apart."
                            .formatted(
                                    feature.id(),
                                    feature.layer(),
                                    Numbers.length(feature.chain().length()),
                                    Numbers.plain(start.x(), 2),
                                    Numbers.plain(start.y(), 2),
                                    Numbers.plain(end.x(), 2),
                                    Numbers.plain(end.y(), 2),
                                    Numbers.length(start.distance(end)));
            // a line that someone chose to cut as it is needs nobody any more
            return new Fault(
                    Fault.Kind.OPEN,
                    Optional.of(start),
                    start.distance(end),
                    feature.onPurpose(),
                    sentence);
        }

        private List<HoleGroup> holes(List<Feature> features) {
            List<Feature> round =
                    features.stream()
                            .filter(f -> isCut(f, Feature.Kind.OPENING))
                            .filter(f -> f.circleDiameter().isPresent())
                            .sorted(
                                    (a, b) ->
                                            Double.compare(
                                                    a.circleDiameter().getAsDouble(),
                                                    b.circleDiameter().getAsDouble()))
                            .toList();
            List<HoleGroup> groups = new ArrayList<>();
            List<Feature> same = new ArrayList<>();
            for (Feature hole : round) {
                if (!same.isEmpty() && diameter(hole) - diameter(same.get(0)) > options.circle()) {
                    groups.add(group(same));
                    same.clear();
                }
                same.add(hole);
            }
            if (!same.isEmpty()) {
                groups.add(group(same));
            }
            return groups;
        }

        private static HoleGroup group(List<Feature> same) {
            double mean = same.stream().mapToDouble(Run::diameter).average().orElseThrow();
            return new HoleGroup(mean, same.stream().map(Feature::id).toList());
        }

        private static double diameter(Feature hole) {
            return hole.circleDiameter().getAsDouble();
        }

        private Map<String, Purpose> purposes() {
            Map<String, Purpose> purposes = new LinkedHashMap<>();
            drawing.layers().forEach(l -> purposes.put(l.name(), options.purposeOf(l.name())));
            return purposes;
        }
    }
}
