package dev.oleander.web.bench;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.machine.HeldEdge;
import dev.oleander.machine.Machine;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.bed.UsualStock;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Word;
import dev.oleander.web.job.StageReport;
import dev.oleander.web.job.document.KeepOutText;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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
                ? List.of(field("allowance", "Allowance", "mm", sheet.allowance()))
                : List.of(
                        optional("width", "Width", "mm", wished.width(), sheet.width().value()),
                        optional(
                                "height", "Height", "mm", wished.height(), sheet.height().value()));
    }

    public List<FieldView> grid() {
        SheetLayout layout = layout();
        return List.of(
                field("turn", "Turn", "°", sheet.turn()),
                optional(
                        "rows",
                        "Rows",
                        "",
                        sheet.rows(),
                        layout == null ? Double.NaN : layout.rows()),
                optional(
                        "columns",
                        "Columns",
                        "",
                        sheet.columns(),
                        layout == null ? Double.NaN : layout.columns()),
                optional(
                        "gap",
                        "Gap",
                        "mm",
                        sheet.gap(),
                        layout == null ? Double.NaN : layout.gap()),
                optional(
                        "margin",
                        "Margin",
                        "mm",
                        sheet.margin(),
                        layout == null ? Double.NaN : layout.margin()));
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
        return sheet.zeroOf().name().toLowerCase(Locale.ROOT);
    }

    public String anchor() {
        return sheet.anchor().name().toLowerCase(Locale.ROOT);
    }

    public List<Word> anchors() {
        return List.of(
                new Word("bottom_left", "bottom left"),
                new Word("bottom_right", "bottom right"),
                new Word("top_left", "top left"),
                new Word("top_right", "top right"),
                new Word("centre", "centre"));
    }

    /** Where the stock is held; empty: where it usually is on the machine. */
    public String heldAt() {
        return sheet.heldAt() == null ? "" : word(sheet.heldAt());
    }

    public List<Word> edges() {
        List<Word> edges = new ArrayList<>();
        edges.add(new Word("", "as usual: " + label(hold().edge())));
        for (HeldEdge edge : HeldEdge.values()) {
            edges.add(new Word(word(edge), label(edge)));
        }
        return edges;
    }

    /** Where clamps are. */
    public FieldView clamps() {
        String text = KeepOutText.write(sheet.keepOut());
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

    private static String word(HeldEdge edge) {
        return edge.name().toLowerCase(Locale.ROOT);
    }

    private static String label(HeldEdge edge) {
        return edge == HeldEdge.NONE ? "nowhere" : word(edge) + " edge";
    }

    /** What came of it. */
    public List<ShapeSlip.Figure> figures() {
        SheetLayout layout = layout();
        if (layout == null) {
            return List.of();
        }
        return List.of(
                new ShapeSlip.Figure(
                        "Stock",
                        "%s × %s mm"
                                .formatted(
                                        Numbers.plain(layout.stock().width(), 1),
                                        Numbers.plain(layout.stock().height(), 1))),
                new ShapeSlip.Figure(
                        "Placed", "%d of %d".formatted(layout.placed(), layout.asked())),
                new ShapeSlip.Figure(
                        "Grid", "%d rows × %d columns".formatted(layout.rows(), layout.columns())),
                new ShapeSlip.Figure(
                        "Used",
                        Numbers.plain(100 * StageReport.usedShare(result), 1) + " % of the stock"));
    }

    /** Says how many copies find no place; empty when all do. */
    public String left() {
        SheetLayout layout = layout();
        if (layout == null || layout.left() == 0) {
            return "";
        }
        if (layout.asked() == 1) {
            return "The part does not fit on this stock.";
        }
        String fit = layout.left() == 1 ? "does" : "do";
        return "%d of %d copies %s not fit on this stock."
                .formatted(layout.left(), layout.asked(), fit);
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

    private FieldView field(String name, String label, String unit, Typed typed) {
        String plain = Numbers.plain(typed.value(), 4);
        String meaning = plain.equals(typed.text()) ? "" : plain;
        return error.in(
                new FieldView(name, label, typed.text(), meaning, unit, "job", false, false, ""));
    }

    /** A value that is found, once there is a layout, unless it was set. */
    private FieldView optional(String name, String label, String unit, Typed typed, double found) {
        if (typed != null) {
            FieldView view = field(name, label, unit, typed);
            return new FieldView(
                    name,
                    label,
                    view.text(),
                    view.meaning(),
                    unit,
                    "here",
                    true,
                    false,
                    view.error());
        }
        String text = Double.isNaN(found) ? "" : Numbers.plain(found, 3);
        return error.in(new FieldView(name, label, text, "", unit, "found", false, false, ""));
    }
}
