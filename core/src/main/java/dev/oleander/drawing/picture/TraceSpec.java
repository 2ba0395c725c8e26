package dev.oleander.drawing.picture;

import dev.oleander.quantity.Worded;
import java.util.Optional;

/**
 * How a picture becomes line work.
 *
 * @param mode outlines, or centre lines of strokes
 * @param threshold the level between ink and paper; empty: found
 * @param local whether the level is found at each place for itself
 * @param invert whether what is lighter is the ink
 * @param smooth width of a bell curve by which the picture is smoothed before, pixels
 * @param speckPx pixels below which ink is a speck, and goes
 * @param holePx pixels below which a hole in ink is a pin-hole, and goes
 * @param tolerance greatest distance of line work from the edge, pixels; empty: as sharp as the
 *     picture is
 * @param corner turn from which on there is a corner, degrees
 * @param polish what may be put right
 */
public record TraceSpec(
        Mode mode,
        Optional<Double> threshold,
        boolean local,
        boolean invert,
        double smooth,
        int speckPx,
        int holePx,
        Optional<Double> tolerance,
        double corner,
        Polish polish) {

    /** Turn of a corner unless another is wished, degrees. */
    public static final double CORNER = 35;

    /** What is made of ink. */
    public enum Mode implements Worded {
        OUTLINE,
        CENTRE
    }

    /**
     * What may be put right.
     *
     * @param circles whether what is nearly a circle is one, those of nearly one size of one
     * @param axes whether edges that are nearly along an axis are
     */
    public record Polish(boolean circles, boolean axes) {

        public static final Polish ALL = new Polish(true, true);
    }

    /** Outlines as they are found. */
    public static final TraceSpec USUAL =
            new TraceSpec(
                    Mode.OUTLINE,
                    Optional.empty(),
                    false,
                    false,
                    0,
                    0,
                    0,
                    Optional.empty(),
                    CORNER,
                    Polish.ALL);

    /**
     * How elements are laid along an edge.
     *
     * @param tolerance pixels
     * @param corner radians
     * @param chip length below which what lies beside a corner is part of it, pixels
     */
    record Fit(double tolerance, double corner, double chip, boolean circles, boolean axes) {}

    /** The same less exactly, for a picture with fewer pixels. */
    TraceSpec rough(int by) {
        double least = Tracer.ROUGH * by;
        return new TraceSpec(
                mode,
                threshold,
                local,
                invert,
                smooth,
                speckPx,
                holePx,
                Optional.of(Math.max(least, tolerance.orElse(0.0))),
                corner,
                polish);
    }

    /** The same for a picture with fewer pixels. */
    TraceSpec reduced(int by) {
        return by == 1
                ? this
                : new TraceSpec(
                        mode,
                        threshold,
                        local,
                        invert,
                        smooth / by,
                        speckPx / (by * by),
                        holePx / (by * by),
                        tolerance.map(t -> Math.max(t / by, Tracer.SHARP)),
                        corner,
                        polish);
    }

    Fit fit(double within, double chip) {
        return new Fit(
                tolerance.orElse(within),
                Math.toRadians(corner),
                chip,
                polish.circles(),
                polish.axes());
    }
}
