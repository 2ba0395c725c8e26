package dev.oleander.drawing.draw;

import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** Puts chains whose ends meet into one. */
final class Joining {

    /** mm; ends nearer than this are brought together. */
    private static final double NEAR = 0.01;

    private Joining() {}

    /** Adds an open entity to either end of a chain, turned where it has to be. */
    static boolean append(List<Segment> chain, Entity entity) {
        if (!(entity.chain() instanceof Path path)) {
            return false;
        }
        Point start = chain.get(0).start();
        Point end = chain.get(chain.size() - 1).end();
        if (path.start().distance(end) <= NEAR) {
            return addAfter(chain, path);
        }
        if (path.end().distance(end) <= NEAR) {
            return addAfter(chain, path.reversed());
        }
        if (path.end().distance(start) <= NEAR) {
            return addBefore(chain, path);
        }
        return path.start().distance(start) <= NEAR && addBefore(chain, path.reversed());
    }

    private static boolean addAfter(List<Segment> chain, Path path) {
        List<Segment> more = new ArrayList<>(path.segments());
        Segment first = more.get(0);
        more.set(0, first.withEnds(chain.get(chain.size() - 1).end(), first.end()));
        return chain.addAll(more);
    }

    private static boolean addBefore(List<Segment> chain, Path path) {
        List<Segment> more = new ArrayList<>(path.segments());
        int last = more.size() - 1;
        more.set(last, more.get(last).withEnds(more.get(last).start(), chain.get(0).start()));
        return chain.addAll(0, more);
    }

    /** A contour when the ends meet. */
    static Chain chain(List<Segment> segments) {
        Point start = segments.get(0).start();
        int last = segments.size() - 1;
        Segment end = segments.get(last);
        if (last > 0 && end.end().distance(start) <= NEAR) {
            List<Segment> round = new ArrayList<>(segments);
            round.set(last, end.withEnds(end.start(), start));
            return new Contour(round);
        }
        return new Path(segments);
    }
}
