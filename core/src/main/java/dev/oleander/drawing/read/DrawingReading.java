package dev.oleander.drawing.read;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Style;
import dev.oleander.drawing.mend.Mended;
import dev.oleander.drawing.mend.Mender;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/** Mends the line work of a drawing, purpose by purpose, and reads what it is. */
public final class DrawingReading {

    /** Shares of the time that have gone by when something is done, for large drawings. */
    private static final double MENDED = 0.6;

    private static final double NESTED = 0.7;
    private static final double PARTED = 0.85;

    private final ReadOptions options;

    public DrawingReading(ReadOptions options) {
        this.options = options;
    }

    /** Features come in the order of the drawing; parts are numbered in it too. */
    public Reading read(Drawing drawing) {
        return read(drawing, Progress.NONE);
    }

    /**
     * The same, telling how far it is.
     *
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public Reading read(Drawing drawing, Progress progress) {
        return new Run(drawing).read(progress);
    }

    private final class Run {
        private final Drawing drawing;
        private final List<Fault> faults;
        private final Map<String, Integer> idsInUse = new HashMap<>();
        private final Map<Style, Purpose> ofStyles = new HashMap<>();
        private final FormFinder forms = new FormFinder(options.circle());

        Run(Drawing drawing) {
            this.drawing = drawing;
            this.faults = new ArrayList<>(drawing.faults());
        }

        Reading read(Progress progress) {
            progress.at(0, "Mending the lines");
            List<Feature> mended = mendByPurpose();
            progress.at(MENDED, "Reading what lies within what");
            List<Feature> nested = nest(mended);
            progress.at(NESTED, "Reading the parts");
            List<Part> parts = new PartBuilder(options.circle()).parts(nested);
            List<Feature> features = PartBuilder.withParts(nested, parts);
            List<Feature> cut = features.stream().filter(f -> f.purpose() == Purpose.CUT).toList();
            progress.at(PARTED, "Looking for places that need a person");
            faults.addAll(
                    new OpenEnds(options.mend().gap())
                            .find(cut.stream().filter(f -> !f.isClosed()).toList()));
            faults.addAll(new Meetings(options.mend().gap() / 10).find(cut));
            List<Fault> told = new Divisions(options.mend().gap() / 10).told(cut, faults);
            return new Reading(
                    drawing,
                    features,
                    parts,
                    HoleGroup.of(features, options.circle()),
                    told.stream().map(this::settledIfSeen).toList(),
                    purposes());
        }

        private Fault settledIfSeen(Fault fault) {
            return options.settled().contains(fault.key()) ? fault.settled() : fault;
        }

        private List<Feature> mendByPurpose() {
            Map<Purpose, List<Entity>> byPurpose = new TreeMap<>();
            for (Entity entity : drawing.entities()) {
                byPurpose.computeIfAbsent(purposeOf(entity), p -> new ArrayList<>()).add(entity);
            }
            Mender mender = new Mender(options.mend());
            record Numbered(int ordinal, Feature feature) {}
            List<Numbered> raw = new ArrayList<>();
            byPurpose.forEach(
                    (purpose, entities) -> {
                        Mended mended = mender.mend(entities);
                        if (purpose != Purpose.IGNORE) {
                            faults.addAll(mended.faults());
                        }
                        mended.chains()
                                .forEach(
                                        j ->
                                                raw.add(
                                                        new Numbered(
                                                                j.first().ordinal(),
                                                                feature(j, purpose))));
                    });
            // the sort keeps chains of one entity in the order they were found in
            raw.sort(Comparator.comparingInt(Numbered::ordinal));
            return raw.stream().map(Numbered::feature).toList();
        }

        private Purpose purposeOf(Entity entity) {
            Purpose ofStyle = ofStyles.computeIfAbsent(entity.style(), s -> options.rules().of(s));
            boolean start =
                    ofStyle == Purpose.CUT
                            && entity.closed()
                            && !options.rules().startDiameters().isEmpty()
                            && isStartHole(entity);
            return start ? Purpose.START : ofStyle;
        }

        private boolean isStartHole(Entity entity) {
            OptionalDouble d = ((Contour) entity.chain()).circleDiameter(options.circle());
            return d.isPresent()
                    && options.rules().startDiameters().stream()
                            .anyMatch(s -> Math.abs(s - d.getAsDouble()) <= options.circle());
        }

        private Feature feature(Mended.Joined joined, Purpose ofStyle) {
            String id = newId(joined.first());
            Purpose decided = options.features().get(id);
            Chain chain = joined.chain();
            Optional<Form> form = Optional.empty();
            if (chain instanceof Contour contour) {
                Contour round = contour.turning(true);
                chain = round;
                form = Optional.of(forms.of(round, round.circleDiameter(options.circle())));
            }
            return new Feature(
                    id,
                    chain,
                    form,
                    decided != null ? decided : ofStyle,
                    joined.first().style(),
                    Feature.Place.UNKNOWN,
                    decided != null,
                    joined.sources());
        }

        /** c7 for the chain that begins with the entity called 7; c7b, c7c for further ones. */
        private String newId(Entity first) {
            String base = "c" + first.key();
            int uses = idsInUse.merge(base, 1, Integer::sum);
            return uses == 1 ? base : base + letters(uses - 1);
        }

        /** 1 is b, 25 is z, 26 is ba. */
        private static String letters(int number) {
            String last = String.valueOf((char) ('a' + number % 26));
            return number < 26 ? last : letters(number / 26) + last;
        }

        private List<Feature> nest(List<Feature> raw) {
            List<Feature> closed =
                    raw.stream().filter(f -> f.purpose() == Purpose.CUT && f.isClosed()).toList();
            Nesting nesting =
                    new Nesting(
                            closed.stream().map(Feature::contour).toList(), options.mend().gap());
            Map<String, Feature> nested = new HashMap<>();
            for (int i = 0; i < closed.size(); i++) {
                int parent = nesting.parent(i);
                nested.put(
                        closed.get(i).id(),
                        placed(
                                closed.get(i),
                                nesting.depth(i),
                                parent < 0 ? null : closed.get(parent)));
            }
            StartHoles starts = new StartHoles(closed, nesting);
            List<Feature> all = new ArrayList<>(raw.size());
            for (Feature feature : raw) {
                Feature known = nested.get(feature.id());
                Feature where = known != null ? known : lyingOn(feature, closed, nesting);
                boolean start = feature.purpose() == Purpose.START && feature.isClosed();
                all.add(start ? starts.assign(where) : where);
            }
            return all;
        }

        /** An open or marked line belongs to the innermost contour round its middle. */
        private Feature lyingOn(Feature feature, List<Feature> closed, Nesting nesting) {
            Point middle = feature.chain().stationAt(feature.chain().length() / 2).point();
            int around = nesting.around(middle);
            int depth = around < 0 ? 0 : nesting.depth(around) + 1;
            return placed(feature, depth, around < 0 ? null : closed.get(around));
        }

        private Feature placed(Feature f, int depth, Feature parent) {
            boolean turned = options.turned().contains(f.id());
            Feature.Kind kind = Feature.Kind.OPEN;
            if (f.isClosed()) {
                boolean outline = depth % 2 == 0 != turned;
                kind = outline ? Feature.Kind.OUTLINE : Feature.Kind.OPENING;
            }
            return f.placed(
                    new Feature.Place(
                            kind,
                            depth,
                            Optional.ofNullable(parent).map(Feature::id),
                            Optional.empty(),
                            turned,
                            Optional.empty()));
        }

        private Map<String, Purpose> purposes() {
            Map<String, Purpose> purposes = new LinkedHashMap<>();
            drawing.layers()
                    .forEach(
                            l -> {
                                Purpose decided = options.rules().ofLayer(l.name());
                                purposes.put(
                                        l.name(),
                                        decided == null ? Purpose.guess(l.name()) : decided);
                            });
            return purposes;
        }
    }
}
