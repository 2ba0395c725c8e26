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

    /** A chord over the angle a lies r (1 - cos(a / 2)) from its arc. */
    private int pieces(Arc arc) {
        double angle = 2 * Math.acos(Math.max(0, 1 - gap / arc.radius()));
        return (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / angle));
    }
}
