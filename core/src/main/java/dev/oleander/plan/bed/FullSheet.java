package dev.oleander.plan.bed;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Transform;
import java.util.List;
import java.util.Optional;

/**
 * As many copies as a sheet holds in rows and columns, turned as is chosen or by a quarter more.
 *
 * @param turn degrees
 */
public record FullSheet(double turn, int rows, int columns) {

    /** Degrees besides those chosen that are tried. */
    private static final List<Integer> MORE = List.of(0, 90);

    public int copies() {
        return rows * columns;
    }

    /**
     * @param part box of the drawing, mm
     * @param sheet with every size decided
     * @param gap mm between copies
     * @param margin mm at the edges
     * @return empty when not one copy fits, or the stock is made round the parts
     */
    public static Optional<FullSheet> of(Box part, SheetChoices sheet, double gap, double margin) {
        if (sheet.aroundPart() || part.width() <= 0 || part.height() <= 0) {
            return Optional.empty();
        }
        FullSheet best = null;
        for (int more : MORE) {
            double turn = sheet.turn().value() + more;
            FullSheet full = of(part, turn, sheet, gap, margin);
            best = best == null || full.copies() > best.copies() ? full : best;
        }
        return Optional.of(best).filter(f -> f.copies() > 0);
    }

    private static FullSheet of(
            Box part, double turn, SheetChoices sheet, double gap, double margin) {
        Box turned = LayoutPlanner.turnedBox(part, Transform.rotation(Math.toRadians(turn)));
        int columns = LayoutPlanner.fitting(sheet.width().value(), turned.width(), gap, margin);
        int rows = LayoutPlanner.fitting(sheet.height().value(), turned.height(), gap, margin);
        int most = columns == 0 ? 0 : Math.max(1, LayoutPlanner.MOST_COPIES / columns);
        return new FullSheet(
                turn, Math.min(rows, most), Math.min(columns, LayoutPlanner.MOST_COPIES));
    }

    /** A sheet that is laid so. */
    public SheetChoices put(SheetChoices sheet) {
        SheetChoices turned =
                sheet.turn().value() == turn
                        ? sheet
                        : BedValues.TURN.put(sheet, Double.toString(turn));
        return BedValues.COLUMNS.put(
                BedValues.ROWS.put(turned, Integer.toString(rows)), Integer.toString(columns));
    }
}
