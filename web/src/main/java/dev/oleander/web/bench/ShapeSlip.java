package dev.oleander.web.bench;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Fits;
import dev.oleander.drawing.Skipped;
import dev.oleander.drawing.Style;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Form;
import dev.oleander.drawing.read.FormGroup;
import dev.oleander.drawing.read.HoleGroup;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.ShapeChoices;
import dev.oleander.web.job.ShapeEdits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What the drawing was read as. */
public final class ShapeSlip {

    /** A figure with its name. */
    public record Figure(String label, String value) {}

    /** A layer with what is done with its line work. */
    public record LayerRow(String name, int entities, String purpose, boolean chosen) {}

    /** Something wrong, with its place when it has one. */
    public record FaultRow(
            String kind,
            String sentence,
            boolean mended,
            boolean urgent,
            boolean settled,
            String key,
            String x,
            String y,
            String bridge,
            String corner) {

        /** Mended, decide, left or note. */
        public String word() {
            if (mended) {
                return "mended";
            }
            return urgent ? "decide" : settled ? "left" : "note";
        }
    }

    /** One chain of the list on the left. */
    public record FeatureRow(
            String id, String name, String note, String purpose, boolean selected) {}

    /**
     * Chains that belong together: a part with its openings, holes of one diameter as one entry.
     */
    public record Group(String title, String note, List<FeatureRow> rows) {

        public boolean isSelected() {
            return rows.stream().anyMatch(FeatureRow::selected);
        }
    }

    /** A value that many things are drawn with, and what it means. */
    public record RuleRow(String by, String value, int entities, String purpose, boolean chosen) {}

    private static final int MOST_ROWS = 200;
    private static final int MOST_UNFOLDED = 400;

    private final JobResult result;
    private final Reading reading;
    private final List<String> selected;
    private final EditError error;

    /**
     * @param selected ids of features
     */
    ShapeSlip(JobResult result, List<String> selected, EditError error) {
        this.result = result;
        this.reading = result.reading();
        this.selected = selected;
        this.error = error;
    }

    /** Whether there is anything drawn at all. */
    public boolean isEmpty() {
        return reading.features().isEmpty();
    }

    /** Named openings that are not round: Slot 40 × 10, with how many and which. */
    public List<FormGroup> forms() {
        return reading.forms();
    }

    /** Parts that are equal: "3 of part 1, 1 of them turned over". */
    public List<String> copies() {
        Map<String, List<Part>> byFirst =
                reading.parts().stream()
                        .filter(p -> p.copyOf().isPresent())
                        .collect(
                                Collectors.groupingBy(
                                        p -> p.copyOf().orElseThrow(),
                                        TreeMap::new,
                                        Collectors.toList()));
        return byFirst.entrySet().stream().map(e -> copies(e.getKey(), e.getValue())).toList();
    }

    private static String copies(String first, List<Part> others) {
        long over = others.stream().filter(Part::mirrored).count();
        String sentence =
                "Part %s is there %d times".formatted(first.substring(1), others.size() + 1);
        return over == 0 ? sentence : sentence + ", %d of them turned over".formatted(over);
    }

    /** How many start holes were found. */
    public long startHoles() {
        return reading.features().stream().filter(f -> f.place().startOf().isPresent()).count();
    }

    /** Diameters that start holes have, as they would be typed. */
    public String startDiameters() {
        return result.document().shape().rules().startDiameters().stream()
                .map(d -> Numbers.plain(d, 3))
                .collect(Collectors.joining(", "));
    }

    /** Colours and line types that tell line work apart, when there is more than one. */
    public List<RuleRow> styleRules() {
        List<RuleRow> rows = new ArrayList<>();
        rows.addAll(rows("colour", PurposeRules.By.COLOUR, Style::colour));
        rows.addAll(rows("line type", PurposeRules.By.LINE_TYPE, Style::lineType));
        return rows;
    }

    private List<RuleRow> rows(String word, PurposeRules.By by, Function<Style, String> value) {
        Map<String, Purpose> rules = result.document().shape().rules().by(by);
        Map<String, Long> counts =
                reading.drawing().entities().stream()
                        .collect(
                                Collectors.groupingBy(
                                        e -> value.apply(e.style()),
                                        TreeMap::new,
                                        Collectors.counting()));
        rules.keySet().forEach(v -> counts.putIfAbsent(v, 0L));
        if (counts.size() < 2) {
            return List.of();
        }
        return counts.entrySet().stream()
                .map(
                        e ->
                                new RuleRow(
                                        word,
                                        e.getKey(),
                                        e.getValue().intValue(),
                                        rules.containsKey(e.getKey())
                                                ? rules.get(e.getKey()).word()
                                                : "",
                                        rules.containsKey(e.getKey())))
                .toList();
    }

    public String fit() {
        return result.document().shape().fit().text();
    }

    /** "12 curves became 40 lines and arcs"; empty when there were none. */
    public String fits() {
        Fits fits = reading.drawing().fits();
        return fits.curves() == 0
                ? ""
                : "%d curves became %d lines and arcs within %s."
                        .formatted(
                                fits.curves(), fits.segments(), Numbers.length(fits.tolerance()));
    }

    public String customer() {
        return result.document().order().customer();
    }

    /** Whether all that can be mended is mended already. */
    public boolean isAllMended() {
        return result.document().shape().mending().containsAll(MendOptions.ALL);
    }

    /** How many faults were mended: the list of changes. */
    public int changes() {
        return reading.changes().size();
    }

    public List<StepView> steps() {
        return StepView.of(result, error);
    }

    /** The step that drew the selected chain; null when it came from a file. */
    public StepView step() {
        Feature feature = selected.isEmpty() ? null : reading.byId().get(selected.get(0));
        if (feature == null) {
            return null;
        }
        String id = ShapeEdits.stepOf(feature.sources().get(0));
        return steps().stream().filter(s -> s.id().equals(id)).findFirst().orElse(null);
    }

    /** What a new version of the drawing changed and nobody has taken over yet. */
    public ShapeChoices.Revision revision() {
        return result.document().shape().revision();
    }

    public boolean isRevisionOpen() {
        return !revision().equals(ShapeChoices.Revision.NONE);
    }

    /** Distance between two selected chains, with what they are; empty unless two are. */
    public List<Figure> between() {
        if (selected.size() != 2) {
            return List.of();
        }
        Map<String, Feature> byId = reading.byId();
        Chain a = byId.get(selected.get(0)).chain();
        Chain b = byId.get(selected.get(1)).chain();
        return List.of(
                new Figure(
                        "Gap between them",
                        Numbers.plain(Distances.between(a, b).distance(), 3) + " mm"),
                new Figure(
                        "Middles apart",
                        Numbers.plain(a.box().centre().distance(b.box().centre()), 3) + " mm"));
    }

    /** Groups by name, with the features of their entities apart by commas. */
    public Map<String, String> groupsByName() {
        Map<String, String> groups = new TreeMap<>();
        result.shape().drawn().groups().forEach((name, keys) -> groups.put(name, featuresOf(keys)));
        return groups;
    }

    private String featuresOf(List<String> keys) {
        return reading.features().stream()
                .filter(f -> f.sources().stream().anyMatch(keys::contains))
                .map(Feature::id)
                .collect(Collectors.joining(","));
    }

    public int selectedCount() {
        return selected.size();
    }

    public List<Figure> figures() {
        Box box = reading.box();
        long openings = reading.cut().filter(f -> f.kind() == Feature.Kind.OPENING).count();
        return List.of(
                new Figure(
                        "Size",
                        "%s × %s mm"
                                .formatted(
                                        Numbers.plain(box.width(), 2),
                                        Numbers.plain(box.height(), 2))),
                new Figure("Parts", String.valueOf(reading.parts().size())),
                new Figure("Openings", String.valueOf(openings)),
                new Figure("Cut length", Numbers.grouped(reading.cutLength()) + " mm"),
                new Figure("Kept area", Numbers.grouped(reading.keptArea()) + " mm²"));
    }

    public List<HoleGroup> holeGroups() {
        return reading.holes();
    }

    public String unit() {
        return reading.drawing().unit().symbol();
    }

    public boolean isUnitDeclared() {
        return reading.drawing().declaredUnit().isPresent();
    }

    /** Unit a person chose; empty when that of the file holds. */
    public String chosenUnit() {
        LengthUnit chosen = result.document().shape().unit();
        return chosen == null ? "" : chosen.symbol();
    }

    /** Units to choose from, with the size the drawing would have. */
    public List<CutsSlip.Choice> units() {
        double inUnits = 1 / reading.drawing().unit().millimetres();
        return Arrays.stream(LengthUnit.values())
                .map(
                        u -> {
                            double factor = inUnits * u.millimetres();
                            return new CutsSlip.Choice(
                                    u.symbol(),
                                    "%s: %s × %s mm"
                                            .formatted(
                                                    u.symbol(),
                                                    Numbers.plain(
                                                            reading.box().width() * factor, 1),
                                                    Numbers.plain(
                                                            reading.box().height() * factor, 1)));
                        })
                .toList();
    }

    public List<LayerRow> layers() {
        Map<String, Purpose> chosen = result.document().shape().rules().layers();
        return reading.layerPurposes().entrySet().stream()
                .map(
                        e ->
                                new LayerRow(
                                        e.getKey(),
                                        (int)
                                                reading.drawing().entities().stream()
                                                        .filter(x -> x.layer().equals(e.getKey()))
                                                        .count(),
                                        e.getValue().word(),
                                        chosen.containsKey(e.getKey())))
                .filter(l -> l.entities() > 0 || l.chosen())
                .toList();
    }

    public List<String> purposes() {
        return Arrays.stream(Purpose.values()).map(Purpose::word).toList();
    }

    public List<FaultRow> faults() {
        return reading.faults().stream()
                .map(ShapeSlip::row)
                .sorted(ShapeSlip::urgentFirst)
                .toList();
    }

    /** What is left to decide or to know, as many as people can look through. */
    public List<FaultRow> unmended() {
        return faults().stream().filter(f -> !f.mended()).limit(MOST_ROWS).toList();
    }

    public List<FaultRow> mended() {
        return faults().stream().filter(FaultRow::mended).limit(MOST_ROWS).toList();
    }

    /** Whether the list on the left is so long that its groups are fetched one by one. */
    public boolean isFolded() {
        return reading.features().size() > MOST_UNFOLDED;
    }

    private static int urgentFirst(FaultRow a, FaultRow b) {
        return Boolean.compare(b.urgent(), a.urgent());
    }

    private static FaultRow row(Fault fault) {
        return new FaultRow(
                fault.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                fault.sentence(),
                fault.mended(),
                fault.needsPerson(),
                fault.state() == Fault.State.SETTLED,
                fault.key(),
                fault.place().map(p -> Numbers.plain(p.x(), 4)).orElse(""),
                fault.place().map(p -> Numbers.plain(p.y(), 4)).orElse(""),
                fault.ends().size() == 2 ? bridge(fault) : "",
                fault.ends().size() == 2 ? corner(fault.ends().get(0)) : "");
    }

    /** Values of the corner that two ends would be brought to. */
    private static String corner(Point near) {
        return "{\"command\":\"meet\",\"nearX\":\"%1$s\",\"nearY\":\"%2$s\",\"v.x\":\"%1$s\",\"v.y\":\"%2$s\"}"
                .formatted(near.x(), near.y());
    }

    /** Values of the line that would close a gap. */
    private static String bridge(Fault gap) {
        Point a = gap.ends().get(0);
        Point b = gap.ends().get(1);
        return "{\"command\":\"line\",\"v.x1\":\"%s\",\"v.y1\":\"%s\",\"v.x2\":\"%s\",\"v.y2\":\"%s\"}"
                .formatted(a.x(), a.y(), b.x(), b.y());
    }

    public List<Skipped> skipped() {
        return reading.drawing().skipped();
    }

    public String gap() {
        return result.document().shape().gap().text();
    }

    /** The list on the left: parts with what lies in them, then what belongs to no part. */
    public List<Group> groups() {
        List<Group> groups = new ArrayList<>();
        Map<String, Feature> byId = reading.byId();
        for (Part part : reading.parts()) {
            List<FeatureRow> rows = new ArrayList<>();
            rows.add(row(byId.get(part.outline()), "Outline"));
            part.openings().forEach(id -> rows.add(row(byId.get(id), opening(byId.get(id)))));
            groups.add(
                    new Group(
                            "Part " + part.id().replace("p", ""),
                            Numbers.grouped(part.region().area()) + " mm²",
                            rows));
        }
        add(groups, "Marked", Purpose.MARK);
        add(groups, "Fold lines", Purpose.FOLD);
        add(groups, "Start holes", Purpose.START);
        List<FeatureRow> open =
                reading.cut().filter(f -> !f.isClosed()).map(f -> row(f, "Open line")).toList();
        if (!open.isEmpty()) {
            groups.add(new Group("Open lines", open.size() + " to decide", open));
        }
        add(groups, "Ignored", Purpose.IGNORE);
        return groups;
    }

    private void add(List<Group> groups, String title, Purpose purpose) {
        List<FeatureRow> rows =
                reading.features().stream()
                        .filter(f -> f.purpose() == purpose)
                        .map(f -> row(f, f.isClosed() ? "Closed line" : "Line"))
                        .toList();
        if (!rows.isEmpty()) {
            groups.add(new Group(title, String.valueOf(rows.size()), rows));
        }
    }

    private static String opening(Feature feature) {
        Form form = feature.form().orElseThrow();
        return switch (form.kind()) {
            case CIRCLE -> "Hole " + form.label();
            case OTHER -> "Opening";
            default -> form.label();
        };
    }

    private FeatureRow row(Feature feature, String name) {
        return new FeatureRow(
                feature.id(),
                name,
                Numbers.length(feature.chain().length()),
                feature.purpose().word(),
                selected.contains(feature.id()));
    }

    /** The selected chain, if one is. */
    public FeatureView feature() {
        Feature feature = selected.isEmpty() ? null : reading.byId().get(selected.get(0));
        return feature == null ? null : FeatureView.of(feature);
    }

    /** A chain with its figures. */
    public record FeatureView(
            String id,
            String title,
            List<Figure> figures,
            String purpose,
            boolean onPurpose,
            boolean closed,
            boolean turned) {

        static FeatureView of(Feature f) {
            List<Figure> figures = new ArrayList<>();
            figures.add(new Figure("Length", Numbers.plain(f.chain().length(), 3) + " mm"));
            if (f.isClosed()) {
                figures.add(new Figure("Encloses", Numbers.plain(f.area(), 2) + " mm²"));
            } else {
                Point a = f.chain().start();
                Point b = f.chain().end();
                figures.add(new Figure("Ends apart", Numbers.length(a.distance(b))));
            }
            f.form().ifPresent(form -> figures.add(new Figure("Form", form.label())));
            f.place().startOf().ifPresent(c -> figures.add(new Figure("Start hole of", c)));
            figures.add(new Figure("Made of", f.lines() + " lines, " + f.arcs() + " arcs"));
            figures.add(new Figure("Layer", f.layer()));
            figures.add(new Figure("Depth", String.valueOf(f.depth())));
            return new FeatureView(
                    f.id(),
                    name(f) + " " + f.id(),
                    figures,
                    f.purpose().word(),
                    f.onPurpose(),
                    f.isClosed(),
                    f.place().turned());
        }

        private static String name(Feature f) {
            if (!f.isClosed()) {
                return "Open line";
            }
            return f.kind() == Feature.Kind.OUTLINE ? "Outline" : opening(f);
        }
    }
}
