package dev.oleander.drawing.picture;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** Strokes that end within half a width of another one end on it. */
final class MetStrokes {

    private final List<Chain> all;
    private final double within;

    /**
     * @param within pixels
     */
    MetStrokes(List<Chain> all, double within) {
        this.all = all;
        this.within = within;
    }

    List<Chain> met() {
        List<Chain> met = new ArrayList<>();
        for (Chain chain : all) {
            met.add(chain instanceof Path open ? met(open) : chain);
        }
        return met;
    }

    private Path met(Path path) {
        List<Segment> segments = new ArrayList<>(path.segments());
        int last = segments.size() - 1;
        Segment first = segments.get(0);
        moved(segments, 0, other(path, first.start()), first.end());
        Segment end = segments.get(last);
        moved(segments, last, end.start(), other(path, end.end()));
        return new Path(segments);
    }

    private static void moved(List<Segment> segments, int at, Point start, Point end) {
        if (start.distance(end) > 1e-6) {
            segments.set(at, segments.get(at).withEnds(start, end));
        }
    }

    /** The nearest point of another stroke, if it is near; else the point itself. */
    private Point other(Path own, Point end) {
        Point best = end;
        double least = within;
        for (Chain chain : all) {
            boolean near = chain != own && chain.box().grown(within).contains(end);
            if (near) {
                Point there = chain.nearest(end).point();
                if (there.distance(end) < least) {
                    least = there.distance(end);
                    best = there;
                }
            }
        }
        return best;
    }
}
