package dev.oleander.geometry.edit;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes tiny segments out of chains and joins their neighbours. Only a segment much shorter than
 * both neighbours is a crumb: a fine curve of many short pieces stays as it is.
 */
public final class Crumbs {

    /** A neighbour of a crumb is at least this many times longer. */
    private static final double MUCH_LONGER = 10;

    /** Segments that a chain keeps. */
    private static final int FEWEST = 3;

    private Crumbs() {}

    /** Is told of what is taken out. */
    @FunctionalInterface
    public interface Told {
        /**
         * @param joint where its neighbours meet now
         * @param length mm it was long
         */
        void of(Point joint, double length);
    }

    /**
     * The chain without its crumbs; the same when it has none.
     *
     * @param longest mm of a crumb
     */
    public static Chain without(Chain chain, double longest, Told told) {
        List<Segment> segments = new ArrayList<>(chain.segments());
        boolean closed = chain instanceof Contour;
        for (int i = 0; i < segments.size(); i++) {
            if (segments.size() > FEWEST && isCrumb(segments, i, closed, longest)) {
                takeOut(segments, i, told);
                i = -1;
            }
        }
        if (segments.size() == chain.segments().size()) {
            return chain;
        }
        return closed ? new Contour(segments) : new Path(segments);
    }

    private static boolean isCrumb(List<Segment> segments, int i, boolean closed, double longest) {
        double length = segments.get(i).length();
        int n = segments.size();
        boolean inside = i > 0 && i < n - 1;
        return length <= longest
                && (closed || inside)
                && segments.get((i + n - 1) % n).length() > MUCH_LONGER * length
                && segments.get((i + 1) % n).length() > MUCH_LONGER * length;
    }

    private static void takeOut(List<Segment> segments, int i, Told told) {
        int n = segments.size();
        int before = (i + n - 1) % n;
        int after = (i + 1) % n;
        Point joint = segments.get(i).middle();
        double length = segments.get(i).length();
        Segment first = segments.get(before);
        Segment second = segments.get(after);
        segments.set(before, first.withEnds(first.start(), joint));
        segments.set(after, second.withEnds(joint, second.end()));
        segments.remove(i);
        told.of(joint, length);
    }
}
