package dev.oleander.geometry.fit;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** Points along chains, as many as chords need to stay near the arcs. */
public final class Flattener {

    private final double gap;

    /**
     * @param gap greatest distance between an arc and its chords, mm
     */
    public Flattener(double gap) {
        if (!(gap > 0)) {
            throw new IllegalArgumentException("gap must be > 0 mm: " + gap);
        }
        this.gap = gap;
    }

    /** Points from start to end of the chain; the last of a closed one equals its first. */
    public List<Point> flatten(Chain chain) {
        List<Point> points = new ArrayList<>();
        points.add(chain.start());
        for (Segment segment : chain.segments()) {
            int pieces = segment instanceof Arc arc ? pieces(arc) : 1;
            for (int i = 1; i <= pieces; i++) {
                points.add(segment.at((double) i / pieces));
            }
        }
        return points;
    }

    private int pieces(Arc arc) {
        return (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / step(arc.radius(), gap)));
    }

    /**
     * The angle over which a chord lies {@code gap} from its arc, radians: r (1 - cos(a / 2)) = 2 r
     * sin^2(a / 4), which keeps its digits for the largest radius.
     */
    private static double step(double radius, double gap) {
        return 4 * Math.asin(Math.min(1, Math.sqrt(gap / (2 * radius))));
    }
}
