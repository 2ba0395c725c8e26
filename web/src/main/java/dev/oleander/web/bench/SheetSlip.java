package dev.oleander.web.bench;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.machine.HeldEdge;
import dev.oleander.machine.Machine;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.FullSheet;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.bed.UsualStock;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.web.job.StageReport;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** Stock, zero point and how the copies lie on it. */
public final class SheetSlip {

    private final JobResult result;
    private final SheetChoices wished;

    /** The same with the stock that is usual where nobody chose one. */
    private final SheetChoices sheet;

    private final EditError error;

    SheetSlip(JobResult result, EditError error) {
        this.result = result;
        this.wished = result.document().sheet();
        this.sheet = UsualStock.decided(wished, result.machine(), box(result.reading()));
        this.error = error;
    }

    private static Box box(Reading reading) {
        return reading.features().isEmpty()
                ? new Box(Point.ORIGIN, Point.ORIGIN)
                : reading.workBox();
    }

    public boolean isAroundPart() {
        return sheet.aroundPart();
    }

    public List<FieldView> stock() {
        return sheet.aroundPart()
                ? List.of(field(BedValues.ALLOWANCE))
                : List.of(
                        found(BedValues.WIDTH, wished, sheet.width().value()),
                        found(BedValues.HEIGHT, wished, sheet.height().value()));
    }

    public List<FieldView> grid() {
        List<FieldView> fields = new ArrayList<>();
        fields.add(field(BedValues.TURN));
        if (isWhole()) {
            fields.add(found(BedValues.ROWS, sheet, ofLayout(SheetLayout::rows)));
            fields.add(found(BedValues.COLUMNS, sheet, ofLayout(SheetLayout::columns)));
        }
        fields.add(found(BedValues.GAP, sheet, ofLayout(SheetLayout::gap)));
        fields.add(found(BedValues.MARGIN, sheet, ofLayout(SheetLayout::margin)));
        return fields;
    }

    /**
     * What fills the sheet in rows and columns; empty when nothing does, it is filled so, or the
     * parts are not laid as a whole.
     */
    static Optional<FullSheet> filling(JobResult result) {
        SheetSlip slip = new SheetSlip(result, EditError.NONE);
        SheetLayout layout = slip.layout();
        if (layout == null || !slip.isWhole()) {
            return Optional.empty();
        }
        return FullSheet.of(box(result.reading()), slip.sheet, layout.gap(), layout.margin())
                .filter(
                        f ->
                                f.rows() != layout.rows()
                                        || f.columns() != layout.columns()
                                        || f.copies() != layout.placements().size());
    }

    /** What a full sheet would hold, in words; empty when it cannot be filled further. */
    public String fillNote() {
        return filling(result)
                .map(
                        f ->
                                "%d copies, %s %% of the sheet"
                                        .formatted(f.copies(), Numbers.plain(share(f), 0)))
                .orElse("");
    }

    private double share(FullSheet full) {
        double area = sheet.width().value() * sheet.height().value();
        return 100 * full.copies() * result.reading().keptArea() / area;
    }

    /** How many of each part are wanted; none where the drawing is one part. */
    public List<FieldView> parts() {
        List<Part> parts = result.reading().parts();
        return parts.size() < 2
                ? List.of()
                : parts.stream()
                        .map(p -> BedValues.ofPart(p.id()))
                        .map(v -> found(v, sheet, result.document().quantity()))
                        .toList();
    }

    /** Whether the drawing is laid as a whole, in rows and columns that can be set. */
    public boolean isWhole() {
        return demand().isWhole();
    }

    private Demand demand() {
        return Demand.of(result.reading(), result.document().quantity(), sheet.parts());
    }

    private double ofLayout(ToDoubleFunction<SheetLayout> number) {
        SheetLayout layout = layout();
        return layout == null ? Double.NaN : number.applyAsDouble(layout);
    }

    /** Whether neighbours share the cut between them. */
    public boolean isShared() {
        return sheet.sharesLines();
    }

    /** How much is cut once for two parts, in words; empty when nothing is. */
    public String sharedNote() {
        if (!result.isPlanned()) {
            return "";
        }
        double length = 0;
        for (Stop stop : result.run().stops()) {
            length += stop.work().commonLine();
        }
        if (length > 0) {
            return "%s are cut once for two parts.".formatted(Numbers.length(length));
        }
        return sheet.sharesLines() ? "No two straight edges of the same length meet." : "";
    }

    public boolean isMirrored() {
        return sheet.mirrored();
    }

    public String zeroOf() {
        return BedValues.ZERO_OF.get(sheet).orElseThrow();
    }

    public String anchor() {
        return BedValues.ANCHOR.get(sheet).orElseThrow();
    }

    public List<Word> anchors() {
        return BedValues.ANCHOR.words();
    }

    /** Where the stock is held; empty: where it usually is on the machine. */
    public String heldAt() {
        return BedValues.HELD_AT.get(sheet).orElse("");
    }

    public List<Word> edges() {
        List<Word> edges = new ArrayList<>();
        edges.add(new Word("", "as usual: " + label(hold().edge())));
        edges.addAll(BedValues.HELD_AT.words());
        return edges;
    }

    private static String label(HeldEdge edge) {
        return BedValues.HELD_AT.words().get(edge.ordinal()).label();
    }

    /** Where clamps are. */
    public FieldView clamps() {
        String text = BedValues.KEEP_OUT.get(sheet).orElse("");
        String source = text.isEmpty() ? "none" : "job";
        return error.in(new FieldView("keepOut", "Clamps", text, "", "", source, false, false, ""));
    }

    /** What it does to the order, in words. */
    public String heldNote() {
        HeldEdge edge = sheet.heldAt() == null ? hold().edge() : sheet.heldAt();
        double most = hold().upToThickness();
        if (edge == HeldEdge.NONE) {
            return "The order does not depend on how the sheet is held.";
        }
        return result.document().thickness().value() > most
                ? "Thicker than %s: it lies still, the order does not depend on it."
                        .formatted(Numbers.length(most))
                : "The order leaves cuts where the sheet is loose for later.";
    }

    private Machine.HoldRule hold() {
        return result.machine().habits().hold();
    }

    /** What came of it. */
    public List<ShapeSlip.Figure> figures() {
        SheetLayout layout = layout();
        if (layout == null) {
            return List.of();
        }
        SetUp setUp = result.setUp();
        List<ShapeSlip.Figure> figures = new ArrayList<>();
        String size =
                "%s × %s mm"
                        .formatted(
                                Numbers.plain(layout.stock().width(), 1),
                                Numbers.plain(layout.stock().height(), 1));
        figures.add(new ShapeSlip.Figure("Stock", size));
        int wanted = demand().all();
        boolean several = result.runs().size() > 1 || setUp.count() > 1;
        if (several) {
            figures.add(new ShapeSlip.Figure("On it", RunTab.note(setUp)));
            int made = result.runs().stream().mapToInt(run -> run.setUp().made()).sum();
            figures.add(
                    new ShapeSlip.Figure(
                            "In all",
                            "%d of %d on %d sheets".formatted(made, wanted, result.sheets())));
        } else {
            figures.add(
                    new ShapeSlip.Figure("Placed", "%d of %d".formatted(layout.placed(), wanted)));
        }
        figures.add(
                new ShapeSlip.Figure(
                        isWhole() ? "Grid" : "Rows",
                        (isWhole() ? "%s × %s" : "%s, up to %s")
                                .formatted(
                                        count(layout.rows(), "row"),
                                        count(layout.columns(), "column"))));
        figures.add(
                new ShapeSlip.Figure(
                        "Used",
                        Numbers.plain(100 * StageReport.usedShare(result), 1) + " % of the stock"));
        return figures;
    }

    private static String count(int number, String what) {
        return number + " " + what + (number == 1 ? "" : "s");
    }

    /** Says how many copies find no place, and why; empty when all do. */
    public String left() {
        return result.isPlanned() ? StageReport.missing(result) : "";
    }

    /** Whether what is left of the quantity lies on a sheet of its own, or could. */
    public boolean hasRest() {
        boolean rest = result.isPlanned() && result.runs().size() > 1;
        return !sheet.aroundPart() && (rest || wished.restAround() != null);
    }

    public boolean isRestAround() {
        return Boolean.TRUE.equals(wished.restAround());
    }

    /** Copies that find a place. */
    public int placed() {
        SheetLayout layout = layout();
        return layout == null ? 0 : layout.placed();
    }

    /** Why the sheet cannot be laid out; empty when it can. */
    public String refusal() {
        return result.refusal();
    }

    private SheetLayout layout() {
        return result.isPlanned() ? result.run().layout() : null;
    }

    private FieldView field(Value<SheetChoices> value) {
        return typed(value, sheet, "job", false);
    }

    /** A value that is found, once there is a layout, unless it was set. */
    private FieldView found(Value<SheetChoices> value, SheetChoices of, double found) {
        if (value.get(of).isPresent()) {
            return typed(value, of, "here", true);
        }
        String text = Double.isNaN(found) ? "" : Numbers.plain(found, 3);
        return error.in(
                new FieldView(
                        value.word(),
                        value.label(),
                        text,
                        "",
                        value.unit(),
                        "found",
                        false,
                        false,
                        ""));
    }

    private FieldView typed(
            Value<SheetChoices> value, SheetChoices of, String source, boolean setHere) {
        String text = value.get(of).orElseThrow();
        String plain = Numbers.plain(Typed.parse(text, Map.of()).value(), 4);
        String meaning = plain.equals(text) ? "" : plain;
        return error.in(
                new FieldView(
                        value.word(),
                        value.label(),
                        text,
                        meaning,
                        value.unit(),
                        source,
                        setHere,
                        false,
                        ""));
    }
}
