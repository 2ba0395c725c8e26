package dev.oleander.work.sheet.lead;

import dev.oleander.geometry.Box;
import java.util.function.Consumer;

/** Square cells of the plane, each with a number, for things that come one after the other. */
final class Cells {

    /** Odd, so that no two cells get the same number; without it diagonals would hash alike. */
    private static final long SPREAD = 0x9E3779B97F4A7C15L;

    private Cells() {}

    /** Numbers of all cells that a box touches. */
    static void visit(Box box, double side, Consumer<Long> visitor) {
        for (long x = cell(box.min().x(), side); x <= cell(box.max().x(), side); x++) {
            for (long y = cell(box.min().y(), side); y <= cell(box.max().y(), side); y++) {
                visitor.accept(SPREAD * (x << 32 ^ (y & 0xffffffffL)));
            }
        }
    }

    private static long cell(double coordinate, double side) {
        return (long) Math.floor(coordinate / side);
    }
}
