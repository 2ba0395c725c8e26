package dev.oleander.work.sheet.cut;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Turns;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * Takes a path past its sharp outer corners: on along the first edge, round a circle through the
 * scrap, and back in along the second edge. The machine then need not slow down at the corner.
 */
public final class CornerLoops {

    /** Degrees the path must turn for a loop. */
    private static final double SHARP = 30;

    /** Beyond, an edge turns back so far that the circle would not fit beside it. */
    private static final double NEEDLE = 150;

    private final double size;
    private final int scrap;
    private final Predicate<List<Segment>> clear;

    /**
     * @param size mm past the corner before the turn begins
     * @param clear whether a loop keeps off what is kept
     */
    public CornerLoops(double size, Turn turn, Predicate<List<Segment>> clear) {
        this.size = size;
        this.scrap = turn.scrap();
        this.clear = clear;
    }

    /** The path with a loop at every sharp outer corner that has room for one. */
    public Contour along(Contour path) {
        List<Segment> segments = path.segments();
        List<Segment> looped = new ArrayList<>();
        for (int i = 0; i < segments.size(); i++) {
            looped.add(segments.get(i));
            Segment next = segments.get((i + 1) % segments.size());
            double away = -scrap * Turns.signed(segments.get(i), next);
            boolean straight = segments.get(i) instanceof Line && next instanceof Line;
            if (straight && away > SHARP && away < NEEDLE) {
                List<Segment> loop = loop(segments.get(i), next, Math.toRadians(away));
                if (clear.test(loop)) {
                    looped.addAll(loop);
                }
            }
        }
        return looped.size() == segments.size() ? path : new Contour(looped);
    }

    /** From the corner back to it; the lines touch the circle where they meet it. */
    private List<Segment> loop(Segment before, Segment after, double away) {
        Point corner = before.end();
        Point far = corner.plus(before.direction(1).times(size));
        Point near = corner.minus(after.direction(0).times(size));
        double sweep = 2 * Math.PI - away;
        return List.of(
                new Line(corner, far),
                new Arc(far, near, scrap * Math.tan(sweep / 4)),
                new Line(near, corner));
    }
}
