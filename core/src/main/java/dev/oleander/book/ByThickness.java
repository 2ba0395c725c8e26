package dev.oleander.book;

import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Rows that differ in nothing but the thickness, from the thinnest to the thickest.
 *
 * @param <R> the row
 */
public final class ByThickness<R extends BookRow> {

    /** Thicknesses nearer than this, mm, are the same row; tolerances of stock are far wider. */
    private static final double SAME = 1e-6;

    private final List<R> rows;

    public ByThickness(List<R> rows) {
        this.rows = rows.stream().sorted(Comparator.comparingDouble(BookRow::thickness)).toList();
    }

    /** Two rows and a thickness between them. */
    public record Between<R extends BookRow>(R lower, R upper, double thickness) {

        /** A value on the straight line between those of the two rows. */
        public double value(ToDoubleFunction<R> of) {
            double low = of.applyAsDouble(lower);
            double share =
                    (thickness - lower.thickness()) / (upper.thickness() - lower.thickness());
            return low + share * (of.applyAsDouble(upper) - low);
        }
    }

    /** Makes a row between two others. */
    @FunctionalInterface
    public interface Mixing<R extends BookRow> {
        R row(Between<R> between);
    }

    public boolean isEmpty() {
        return rows.isEmpty();
    }

    /** The least thickness, mm. */
    public double least() {
        return rows.get(0).thickness();
    }

    /** The greatest thickness, mm. */
    public double most() {
        return rows.get(rows.size() - 1).thickness();
    }

    /** Whether a thickness is one of the rows or lies between two of them. */
    public boolean reaches(double thickness) {
        return !isEmpty() && thickness >= least() - SAME && thickness <= most() + SAME;
    }

    /**
     * The row for a thickness that is reached.
     *
     * @param mixing makes one that lies between two
     */
    public R at(double thickness, Mixing<R> mixing) {
        int above = 0;
        while (rows.get(above).thickness() < thickness - SAME) {
            above++;
        }
        R upper = rows.get(above);
        boolean exact = Math.abs(upper.thickness() - thickness) <= SAME;
        return exact ? upper : mixing.row(new Between<>(rows.get(above - 1), upper, thickness));
    }
}
