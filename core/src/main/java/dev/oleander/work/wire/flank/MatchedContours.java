package dev.oleander.work.wire.flank;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.wire.cut.CrossedLinesException;
import dev.oleander.work.wire.cut.Ruling;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;

/**
 * Joins the places of two ways, one in the lower and one in the upper plane, which begin and end
 * together: at anchors that belong together, between them by share of length.
 */
final class MatchedContours {

    /** Sine of a turn from which on a joint is a corner. */
    private static final double CORNER = 0.05;

    /** Shares of length nearer than this are one place. */
    private static final double SAME = 1e-9;

    private final Path lower;
    private final Path upper;
    private final double lowerLength;
    private final double upperLength;

    MatchedContours(List<Segment> lower, List<Segment> upper) {
        this.lower = new Path(lower);
        this.upper = new Path(upper);
        this.lowerLength = this.lower.length();
        this.upperLength = this.upper.length();
    }

    /** Places that belong together: shares of the lengths, 0 to 1. */
    record Anchor(double lower, double upper) {}

    /** Nothing but the ends belongs together. */
    static List<Anchor> byLength() {
        return List.of();
    }

    /**
     * Corner to corner in their order: of all ways to join as many as the contour with fewer
     * corners has, the one whose shares of length differ least (dynamic programming).
     */
    List<Anchor> byCorners() {
        List<Double> below = corners(lower, lowerLength);
        List<Double> above = corners(upper, upperLength);
        boolean swapped = below.size() > above.size();
        List<Double> few = swapped ? above : below;
        List<Double> many = swapped ? below : above;
        int[] chosen = new Assignment(few, many).best();
        List<Anchor> anchors = new ArrayList<>();
        for (int i = 0; i < few.size(); i++) {
            double one = few.get(i);
            double other = many.get(chosen[i]);
            anchors.add(swapped ? new Anchor(other, one) : new Anchor(one, other));
        }
        return anchors;
    }

    private static List<Double> corners(Path path, double length) {
        List<Double> corners = new ArrayList<>();
        double at = 0;
        List<Segment> segments = path.segments();
        for (int i = 0; i + 1 < segments.size(); i++) {
            at += segments.get(i).length();
            Point in = segments.get(i).direction(1);
            Point out = segments.get(i + 1).direction(0);
            if (Math.abs(in.cross(out)) > CORNER || in.dot(out) < 0) {
                corners.add(at / length);
            }
        }
        return corners;
    }

    /** Joins each of few places to one of many, keeping the order. */
    private record Assignment(List<Double> few, List<Double> many) {

        int[] best() {
            int n = few.size();
            int m = many.size();
            double[][] cost = new double[n + 1][m + 1];
            for (int i = 1; i <= n; i++) {
                cost[i][i - 1] = Double.POSITIVE_INFINITY;
                for (int j = i; j <= m; j++) {
                    cost[i][j] = Math.min(cost[i][j - 1], joined(cost, i, j));
                }
            }
            int[] chosen = new int[n];
            int j = m;
            for (int i = n; i > 0; i--) {
                while (j > i && cost[i][j - 1] <= joined(cost, i, j)) {
                    j--;
                }
                chosen[i - 1] = --j;
            }
            return chosen;
        }

        private double joined(double[][] cost, int i, int j) {
            return cost[i - 1][j - 1] + Math.abs(few.get(i - 1) - many.get(j - 1));
        }
    }

    /**
     * The stretches between all ends of elements of either way and all anchors, each with the index
     * of its element of the lower way.
     *
     * @param anchors of shares within 0 and 1
     * @throws CrossedLinesException when anchors cross each other
     */
    List<Flanks.Way> ways(List<Anchor> anchors) {
        List<Anchor> sorted = new ArrayList<>(anchors);
        sorted.sort(Comparator.comparingDouble(Anchor::lower));
        sorted.add(0, new Anchor(0, 0));
        sorted.add(new Anchor(1, 1));
        TreeSet<Double> places = new TreeSet<>();
        sorted.forEach(a -> places.add(a.lower()));
        ends(lower, lowerLength).forEach(places::add);
        ends(upper, upperLength).forEach(u -> places.add(lowerOf(sorted, u)));
        List<Flanks.Way> ways = new ArrayList<>();
        Cutter below = new Cutter(lower, lowerLength);
        Cutter above = new Cutter(upper, upperLength);
        double from = 0;
        for (double to : places) {
            boolean last = to > 1 - SAME;
            if (to - from > SAME) {
                Segment one = below.to(last ? 1 : to);
                Segment other = above.to(last ? 1 : upperOf(sorted, to));
                ways.add(new Flanks.Way(new Ruling(one, other), below.index));
                from = to;
            }
        }
        return ways;
    }

    private static List<Double> ends(Chain chain, double length) {
        List<Double> ends = new ArrayList<>();
        double at = 0;
        for (Segment segment : chain.segments()) {
            at += segment.length();
            ends.add(Math.min(1, at / length));
        }
        return ends;
    }

    static double upperOf(List<Anchor> sorted, double share) {
        for (int i = 1; i < sorted.size(); i++) {
            Anchor a = sorted.get(i - 1);
            Anchor b = sorted.get(i);
            if (b.upper() < a.upper()) {
                throw new CrossedLinesException(
                        "lines between the contours cross at %s and %s of the lower one"
                                .formatted(a.lower(), b.lower()));
            }
            if (share <= b.lower() && b.lower() > a.lower()) {
                double t = (share - a.lower()) / (b.lower() - a.lower());
                return a.upper() + t * (b.upper() - a.upper());
            }
        }
        return 1;
    }

    private static double lowerOf(List<Anchor> sorted, double share) {
        for (int i = 1; i < sorted.size(); i++) {
            Anchor a = sorted.get(i - 1);
            Anchor b = sorted.get(i);
            if (share <= b.upper() && b.upper() > a.upper()) {
                double t = (share - a.upper()) / (b.upper() - a.upper());
                return a.lower() + t * (b.lower() - a.lower());
            }
        }
        return 1;
    }

    /** Cuts pieces off a path, one after the other, each within one segment. */
    private static final class Cutter {
        private final List<Segment> segments;
        private final double length;
        private int index;
        private double begin;
        private double t;
        private Point at;

        Cutter(Path path, double length) {
            this.segments = path.segments();
            this.length = length;
            this.at = path.start();
        }

        /** The piece up to a share of the whole length. */
        Segment to(double share) {
            double place = share * length;
            while (index + 1 < segments.size()
                    && place > begin + segments.get(index).length() * (1 + SAME)
                    && t > 1 - SAME) {
                next();
            }
            if (t > 1 - SAME && index + 1 < segments.size()) {
                next();
            }
            Segment segment = segments.get(index);
            double end = Math.min(1, (place - begin) / segment.length());
            if (end > 1 - SAME || share == 1) {
                end = 1;
            }
            Segment piece = segment.between(t, Math.max(end, Math.nextUp(t)));
            Point to = end == 1 ? segment.end() : piece.end();
            Segment exact = piece.withEnds(at, to);
            t = end;
            at = to;
            return exact;
        }

        private void next() {
            begin += segments.get(index).length();
            index++;
            t = 0;
        }
    }
}
