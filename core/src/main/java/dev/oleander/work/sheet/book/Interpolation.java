package dev.oleander.work.sheet.book;

import dev.oleander.quantity.Numbers;
import java.util.function.ToDoubleFunction;

/** Linear interpolation between two rows of the book by thickness. */
public final class Interpolation {

    private final CutRow lower;
    private final CutRow upper;
    private final double share;

    private Interpolation(CutRow lower, CutRow upper, double thickness) {
        this.lower = lower;
        this.upper = upper;
        this.share = (thickness - lower.thickness()) / (upper.thickness() - lower.thickness());
    }

    public static CutRow between(CutRow lower, CutRow upper, double thickness) {
        return new Interpolation(lower, upper, thickness).row(thickness);
    }

    private CutRow row(double thickness) {
        return new CutRow(
                lower.id() + "~" + Numbers.plain(thickness, 3),
                lower.material(),
                thickness,
                lower.quality(),
                true,
                value(CutRow::kerf),
                value(CutRow::feed),
                value(CutRow::markFeed),
                value(CutRow::pierceSeconds),
                value(CutRow::pierceHeight),
                value(CutRow::cutHeight),
                value(CutRow::smallestHole),
                value(CutRow::lead),
                value(CutRow::pierceClearance),
                value(CutRow::overRun),
                value(CutRow::power),
                lower.gas(),
                value(CutRow::pressure),
                new CutRow.Corner(
                        value(r -> r.corner().over()),
                        value(r -> r.corner().share()),
                        value(r -> r.corner().within())),
                new CutRow.Cost(value(r -> r.cost().hour()), value(r -> r.cost().pierce())));
    }

    private double value(ToDoubleFunction<CutRow> field) {
        double low = field.applyAsDouble(lower);
        return low + share * (field.applyAsDouble(upper) - low);
    }
}
