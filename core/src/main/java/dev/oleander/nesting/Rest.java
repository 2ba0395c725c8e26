package dev.oleander.nesting;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import java.util.Optional;

/** What is left of a sheet and worth keeping: a rectangle beside or above all parts. */
public final class Rest {

    private Rest() {}

    /** The rest of a sheet with what lies on it; empty when none is worth keeping. */
    public static Optional<Box> of(NestTask task, NestedSheet sheet) {
        if (sheet.placements().isEmpty()) {
            return Optional.empty();
        }
        double right = Double.NEGATIVE_INFINITY;
        double top = Double.NEGATIVE_INFINITY;
        for (NestPlacement p : sheet.placements()) {
            Box box = task.line(p.line()).shape().transformed(p.transform()).box();
            right = Math.max(right, box.max().x());
            top = Math.max(top, box.max().y());
        }
        return sheet.part().reachesEnd()
                ? beyond(whole(task, sheet), right, above(sheet, top), task.rules())
                : Optional.empty();
    }

    /** mm2 of a sheet or stretch in its full height. */
    static double area(NestTask task, NestedSheet sheet) {
        return whole(task, sheet).region().area();
    }

    /** In its full height, whatever one of the heads may cut of it. */
    private static SheetStock whole(NestTask task, NestedSheet sheet) {
        return sheet.part().full(task.sheet(sheet.stock()));
    }

    /** Where several heads cut, the highest reaches to the top. */
    private static double above(NestedSheet sheet, double top) {
        return sheet.heads() == 1 ? top : Double.POSITIVE_INFINITY;
    }

    /**
     * @param right highest x of the parts, mm
     * @param top highest y
     */
    public static Optional<Box> beyond(
            SheetStock stock, double right, double top, NestRules rules) {
        if (rules.remnant().isEmpty() || !stock.isPlain()) {
            return Optional.empty();
        }
        double least = rules.remnant().get().least();
        Box sheet = stock.region().box();
        double beside = area(sheet.max().x() - right - rules.gap(), sheet.height(), least);
        double above = area(sheet.width(), sheet.max().y() - top - rules.gap(), least);
        if (Math.max(beside, above) == 0) {
            return Optional.empty();
        }
        Point corner =
                beside >= above
                        ? new Point(right + rules.gap(), sheet.min().y())
                        : new Point(sheet.min().x(), top + rules.gap());
        return Optional.of(new Box(corner, sheet.max()));
    }

    private static double area(double width, double height, double least) {
        return Math.min(width, height) >= least ? width * height : 0;
    }
}
