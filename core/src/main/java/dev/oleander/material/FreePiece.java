package dev.oleander.material;

import dev.oleander.geometry.Region;
import dev.oleander.plan.stop.Stop;

/**
 * A piece that a cut sets free.
 *
 * @param stop that closes its outline
 * @param kept whether it is a part, else it is waste
 * @param item position in the program of the move that closes it
 * @param moment machine time at the end of that move, s
 * @param region where it lies on the sheet, by the drawn lines
 * @param area of its upper side, mm2; of waste less what the kerf takes
 */
public record FreePiece(
        Stop stop, boolean kept, int item, double moment, Region region, double area, Rest rest) {

    private static final double MM2_PER_M2 = 1e6;
    private static final double MM_PER_M = 1e3;

    /**
     * The same piece, free after another move.
     *
     * @param by position of that move
     * @param at machine time at its end, s
     */
    FreePiece freedBy(int by, double at, Rest then) {
        return new FreePiece(stop, kept, by, at, region, area, then);
    }

    /** Whether tabs were meant to hold it, and do not. */
    public boolean isLoose() {
        return !stop.tabs().isEmpty() && rest != Rest.HELD;
    }

    /**
     * Its mass, kg.
     *
     * @param thickness mm
     * @param density kg/m3
     */
    public double mass(double thickness, double density) {
        return area / MM2_PER_M2 * thickness / MM_PER_M * density;
    }
}
