package dev.oleander.work.router.way;

import java.util.Optional;

/**
 * Cuts along walls after everything else of an operation.
 *
 * @param cuts how many, each nearer to the wall
 * @param width mm that each of them takes
 * @param atDepth whether they go round only at the full depth; otherwise at every level
 * @param lead radius of the arcs in which the tool comes to the wall and leaves it, mm; empty: that
 *     of the tool
 * @param over mm that the tool goes on beyond where it came to the wall
 */
public record Finish(int cuts, double width, boolean atDepth, Optional<Double> lead, double over) {

    /** mm that a cut takes where nothing is said. */
    public static final double USUAL_WIDTH = 0.2;

    public static final Finish NONE = new Finish(0, 0, false, Optional.empty(), 0);

    /** mm that is left at the wall before the first of them. */
    public double left() {
        return cuts * width;
    }
}
