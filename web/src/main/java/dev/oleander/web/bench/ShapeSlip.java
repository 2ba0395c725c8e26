package dev.oleander.web.bench;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Fits;
import dev.oleander.drawing.Skipped;
import dev.oleander.drawing.Style;
import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FormGroup;
import dev.oleander.drawing.read.HoleGroup;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Distances;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Word;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What the drawing was read as. */
public final class ShapeSlip {

    /** A figure with its name. */
    public record Figure(String label, String value) {}

    /** A layer with what is done with its line work. */
    public record LayerRow(String name, int entities, String purpose, boolean chosen) {}

    /** A value that many things are drawn with, and what it means. */
    public record RuleRow(String by, String value, int entities, String purpose, boolean chosen) {}

    private static final int MOST_ROWS = 200;
    private static final int MOST_UNFOLDED = 400;

    private final JobResult result;
    private final Reading reading;
    private final List<String> selected;

    /** Id of the step that is selected by itself; empty when features are, or nothing. */
    private final String step;

    private final EditError error;

    /**
     * @param selected ids of features, or of one step that drew none
     */
    ShapeSlip(JobResult result, List<String> selected, EditError error) {
        this.result = result;
        this.reading = result.reading();
        Set<String> known = reading.byId().keySet();
        this.selected = selected.stream().filter(known::contains).toList();
        this.step = selected.stream().filter(id -> !known.contains(id)).findFirst().orElse("");
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
        String sentence = "%s is there %d times".formatted(PartRef.label(first), others.size() + 1);
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

    /**
     * The step that is selected or drew the selected chains, or all of several of one command; null
     * when they came from a file or were drawn otherwise.
     */
    public StepView step() {
        Set<String> ids =
                selected.isEmpty()
                        ? Set.of(step)
                        : selected.stream()
                                .map(s -> reading.byId().get(s).sources().get(0))
                                .map(ShapeEdits::stepOf)
                                .collect(Collectors.toCollection(LinkedHashSet::new));
        return StepView.of(result, error, ids);
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

    /** Numbers of the shop that stand in texts; a release takes them. */
    public List<String> numbers() {
        return result.shape().drawn().numbers().stream()
                .filter(Drawn.Numbers::areTaken)
                .map(
                        n ->
                                (n.first() == n.last()
                                                ? "Number %1$d of \"%3$s\" stands in %4$s; a release takes it."
                                                : "Numbers %1$d to %2$d of \"%3$s\" stand in %4$s; a release takes them.")
                                        .formatted(n.first(), n.last(), n.counter(), n.step()))
                .toList();
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

    /** Whether no file was brought in. */
    public boolean isDrawnHere() {
        return result.document().shape().files().isEmpty();
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
    public List<Word> units() {
        double inUnits = 1 / reading.drawing().unit().millimetres();
        return Arrays.stream(LengthUnit.values())
                .map(
                        u -> {
                            double factor = inUnits * u.millimetres();
                            return new Word(
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

    /** The two units that drawings without one are mostly in. */
    public List<Word> likelyUnits() {
        return units().stream()
                .filter(
                        u ->
                                u.value().equals(LengthUnit.MILLIMETRE.symbol())
                                        || u.value().equals(LengthUnit.INCH.symbol()))
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
        return reading.faults().stream().map(FaultRow::of).sorted(ShapeSlip::urgentFirst).toList();
    }

    private List<Fault> gapsLeft() {
        return reading.openFaults().stream().filter(f -> f.kind() == Fault.Kind.GAP).toList();
    }

    /** Gaps that are larger than what is joined without asking. */
    public int largerGaps() {
        return gapsLeft().size();
    }

    public String largerGapsSentence() {
        int gaps = largerGaps();
        return "%s larger than %s mm and %s open."
                .formatted(
                        gaps == 1 ? "1 gap is" : gaps + " gaps are",
                        gap(),
                        gaps == 1 ? "stays" : "stay");
    }

    /** Close this gap of 2.08 mm; close these 3 gaps, the largest 2.08 mm. */
    public String closeGaps() {
        double largest = gapsLeft().stream().mapToDouble(Fault::size).max().orElse(0);
        return largerGaps() == 1
                ? "Close this gap of " + Numbers.length(largest)
                : "Close these %d gaps, the largest %s"
                        .formatted(largerGaps(), Numbers.length(largest));
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

    public List<Skipped> skipped() {
        return reading.drawing().skipped();
    }

    public String gap() {
        return result.document().shape().gap().text();
    }

    /** The list on the left: parts with what lies in them, then what belongs to no part. */
    public List<ReadingGroups.Group> groups() {
        return new ReadingGroups(reading, selected).groups();
    }

    /** The selected chain, if one is. */
    public FeatureView feature() {
        Feature feature = selected.isEmpty() ? null : reading.byId().get(selected.get(0));
        return feature == null ? null : FeatureView.of(feature);
    }
}
