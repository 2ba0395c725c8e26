package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Parallel curves of a contour, arcs kept as arcs, outer corners rounded.
 *
 * <p>After X.-Z. Liu, J.-H. Yong, G.-Q. Zheng, J.-G. Sun, "An offset algorithm for polyline
 * curves", Computers in Industry 58 (2007) 240-254: every segment is shifted, neighbours are
 * joined, the raw curve is split at its own crossings, stretches nearer to the source than the
 * distance are dropped, and the rest closes to loops. Contours must not cross themselves.
 */
public final class Offsetter {

    private final double tolerance;

    /**
     * @param tolerance mm; crossings and ends closer than this meet, and a stretch may be nearer to
     *     the source than the distance by ten times this
     */
    public Offsetter(double tolerance) {
        if (!(tolerance > 0)) {
            throw new IllegalArgumentException("tolerance must be > 0 mm: " + tolerance);
        }
        this.tolerance = tolerance;
    }

    /** Meets at 1e-7 mm: a tenth of a thousandth of the finest step our programs write. */
    public static Offsetter fine() {
        return new Offsetter(1e-7);
    }

    /**
     * The contours at the given distance outside (positive, mm) or inside (negative).
     *
     * @return the largest first; loops that run against the source are holes of the grown shape;
     *     empty when nothing is left
     * @throws OffsetException when the remaining stretches do not close
     */
    public List<Contour> offset(Contour contour, double outward) {
        if (outward == 0) {
            return List.of(contour);
        }
        return new Run(contour, outward).loops();
    }

    private final class Run {
        private final Contour source;
        private final SegmentIndex<Segment> sourceIndex;
        private final double left;
        private final double distance;

        Run(Contour source, double outward) {
            this.source = source;
            this.sourceIndex = SegmentIndex.of(source.segments());
            this.left = source.isAnticlockwise() ? -outward : outward;
            this.distance = Math.abs(outward);
        }

        List<Contour> loops() {
            List<Segment> raw = rawCurve();
            List<Segment> pieces = splitAtCrossings(raw);
            List<Segment> kept = pieces.stream().filter(this::keepsDistance).toList();
            return new LoopCloser(2 * tolerance)
                    .close(kept).stream()
                            .sorted(Comparator.comparingDouble(Contour::area).reversed())
                            .toList();
        }

        private List<Segment> rawCurve() {
            List<Segment> raw = new ArrayList<>(2 * source.segments().size());
            List<Segment> segments = source.segments();
            Segment before = segments.get(segments.size() - 1);
            Point lastEnd = shifted(before, 1);
            for (Segment segment : segments) {
                join(before, segment, lastEnd).ifPresent(raw::add);
                Point start = shifted(segment, 0);
                Point end = shifted(segment, 1);
                Optional<Segment> moved = segment.parallel(left);
                if (moved.isPresent()) {
                    raw.add(moved.get().withEnds(start, end));
                } else if (start.distance(end) > tolerance) {
                    // the arc has turned inside out: this stretch is dropped with the near ones, it
                    // only keeps the raw curve connected
                    raw.add(new Line(start, end));
                }
                before = segment;
                lastEnd = end;
            }
            return raw;
        }

        private Point shifted(Segment segment, double t) {
            return segment.at(t).plus(segment.direction(t).left().times(left));
        }

        /**
         * Rounds an outer corner about its vertex; bridges an inner one with a line dropped later.
         */
        private Optional<Segment> join(Segment before, Segment after, Point from) {
            Point to = shifted(after, 0);
            if (from.distance(to) <= tolerance) {
                return from.equals(to) ? Optional.empty() : Optional.of(new Line(from, to));
            }
            Point in = before.direction(1);
            Point out = after.direction(0);
            double turn = Math.atan2(in.cross(out), in.dot(out));
            boolean outer = turn > 0 != left > 0;
            return Optional.of(outer ? new Arc(from, to, Math.tan(turn / 4)) : new Line(from, to));
        }

        private List<Segment> splitAtCrossings(List<Segment> raw) {
            SegmentIndex<Segment> index = SegmentIndex.of(raw);
            List<Segment> pieces = new ArrayList<>(raw.size());
            for (int i = 0; i < raw.size(); i++) {
                Segment segment = raw.get(i);
                List<Double> cuts = new ArrayList<>();
                for (int j : index.positions(segment.box().grown(tolerance))) {
                    if (j != i) {
                        Intersections.of(segment, raw.get(j), tolerance)
                                .forEach(c -> cuts.add(c.onFirst()));
                    }
                }
                pieces.addAll(SegmentSplitter.split(segment, cuts, tolerance));
            }
            return pieces;
        }

        private boolean keepsDistance(Segment piece) {
            Point p = piece.middle();
            double limit = distance - 10 * tolerance;
            for (Segment near : sourceIndex.touching(new Box(p, p).grown(distance))) {
                if (near.distance(p) < limit) {
                    return false;
                }
            }
            return true;
        }
    }
}
