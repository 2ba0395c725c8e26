package dev.oleander.web.bench;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Skipped;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.HoleGroup;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What the drawing was read as. */
public final class ShapeSlip {

    /** A figure with its name. */
    public record Figure(String label, String value) {}

    /** A layer with what is done with its line work. */
    public record LayerRow(String name, int entities, String purpose, boolean chosen) {}

    /** Something wrong, with its place when it has one. */
    public record FaultRow(
            String kind, String sentence, boolean mended, boolean urgent, String x, String y) {}

    /** One chain of the list on the left. */
    public record FeatureRow(
            String id, String name, String note, String purpose, boolean selected) {}

    /**
     * Chains that belong together: a part with its openings, holes of one diameter as one entry.
     */
    public record Group(String title, String note, List<FeatureRow> rows) {}

    private final JobResult result;
    private final Reading reading;
    private final String selected;

    ShapeSlip(JobResult result, String selected) {
        this.result = result;
        this.reading = result.reading();
        this.selected = selected;
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
                                        word(e.getValue()),
                                        chosen.containsKey(e.getKey())))
                .filter(l -> l.entities() > 0 || l.chosen())
                .toList();
    }

    public List<String> purposes() {
        return Arrays.stream(Purpose.values()).map(ShapeSlip::word).toList();
    }

    private static String word(Purpose purpose) {
        return purpose.name().toLowerCase(Locale.ROOT);
    }

    public List<FaultRow> faults() {
        return reading.faults().stream()
                .map(ShapeSlip::row)
                .sorted(ShapeSlip::urgentFirst)
                .toList();
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
                fault.place().map(p -> Numbers.plain(p.x(), 4)).orElse(""),
                fault.place().map(p -> Numbers.plain(p.y(), 4)).orElse(""));
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
        return feature.circleDiameter().isPresent()
                ? "Hole Ø " + Numbers.plain(feature.circleDiameter().getAsDouble(), 2)
                : "Opening";
    }

    private FeatureRow row(Feature feature, String name) {
        return new FeatureRow(
                feature.id(),
                name,
                Numbers.length(feature.chain().length()),
                word(feature.purpose()),
                feature.id().equals(selected));
    }

    /** The selected chain, if one is. */
    public FeatureView feature() {
        Feature feature = reading.byId().get(selected);
        return feature == null ? null : FeatureView.of(feature);
    }

    /** A chain with its figures. */
    public record FeatureView(
            String id, String title, List<Figure> figures, String purpose, boolean onPurpose) {

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
            f.circleDiameter()
                    .ifPresent(
                            d -> figures.add(new Figure("Diameter", Numbers.plain(d, 3) + " mm")));
            figures.add(new Figure("Made of", f.lines() + " lines, " + f.arcs() + " arcs"));
            figures.add(new Figure("Layer", f.layer()));
            figures.add(new Figure("Depth", String.valueOf(f.depth())));
            String kind = f.kind().name().charAt(0) + word(f);
            return new FeatureView(
                    f.id(),
                    kind + " " + f.id(),
                    figures,
                    ShapeSlip.word(f.purpose()),
                    f.onPurpose());
        }

        private static String word(Feature f) {
            return f.kind().name().toLowerCase(Locale.ROOT).substring(1)
                    + (f.isClosed() ? "" : " line");
        }
    }
}
