package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;

/**
 * Joins directed pieces end to start into closed loops. Where several may follow, the straightest
 * continuation is taken.
 */
final class LoopCloser {

    private final double tolerance;

    LoopCloser(double tolerance) {
        this.tolerance = tolerance;
    }

    /**
     * @throws OffsetException when a piece has no follower
     */
    List<Contour> close(List<Segment> pieces) {
        return new Run(pieces).loops();
    }

    private final class Run {
        private final List<Segment> pieces;
        private final SegmentIndex<Point> starts;
        private final boolean[] used;

        Run(List<Segment> pieces) {
            this.pieces = pieces;
            this.starts = SegmentIndex.ofPoints(pieces.stream().map(Segment::start).toList());
            this.used = new boolean[pieces.size()];
        }

        List<Contour> loops() {
            List<Contour> loops = new ArrayList<>();
            for (int i = 0; i < pieces.size(); i++) {
                if (!used[i]) {
                    List<Segment> loop = walk(i);
                    if (!loop.isEmpty()) {
                        loops.add(close(loop));
                    }
                }
            }
            return loops.stream().filter(l -> l.area() > tolerance * l.length()).toList();
        }

        /** The loop from this piece on; empty when it was only rounding dust at a tangency. */
        private List<Segment> walk(int first) {
            List<Segment> loop = new ArrayList<>();
            int at = first;
            while (true) {
                used[at] = true;
                loop.add(pieces.get(at));
                Segment last = pieces.get(at);
                int next = follower(last, first);
                if (next == first) {
                    return isDust(loop) ? List.of() : loop;
                }
                if (next < 0) {
                    if (isDust(loop)) {
                        return List.of();
                    }
                    throw new OffsetException(last.end());
                }
                at = next;
            }
        }

        private boolean isDust(List<Segment> loop) {
            return loop.stream().mapToDouble(Segment::length).sum() <= 100 * tolerance;
        }

        private int follower(Segment last, int first) {
            Box near = new Box(last.end(), last.end()).grown(tolerance);
            int best = -1;
            double least = Double.POSITIVE_INFINITY;
            for (int i : starts.positions(near)) {
                if (!used[i] || i == first) {
                    Segment next = pieces.get(i);
                    double turn = Math.abs(turn(last, next));
                    double cost = i == first ? turn - 1e-3 : turn;
                    if (cost < least) {
                        least = cost;
                        best = i;
                    }
                }
            }
            return best;
        }

        private double turn(Segment last, Segment next) {
            Point in = last.direction(1);
            Point out = next.direction(0);
            return Math.atan2(in.cross(out), in.dot(out));
        }

        /**
         * Makes ends meet exactly and puts split stretches of one line or circle together again.
         */
        private Contour close(List<Segment> loop) {
            List<Segment> exact = new ArrayList<>(loop.size());
            for (int i = 0; i < loop.size(); i++) {
                Segment segment = loop.get(i);
                Point end = loop.get((i + 1) % loop.size()).start();
                if (!segment.start().equals(end)) {
                    exact.add(segment.withEnds(segment.start(), end));
                }
            }
            return new SegmentMerger(tolerance).merge(new Contour(exact));
        }
    }
}
