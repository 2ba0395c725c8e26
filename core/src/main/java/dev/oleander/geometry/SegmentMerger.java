package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Puts neighbouring segments that continue one line or one circle back into one. */
public final class SegmentMerger {

    private final double tolerance;

    /**
     * @param tolerance mm; how far the merged segment may pass from the joint
     */
    public SegmentMerger(double tolerance) {
        this.tolerance = tolerance;
    }

    /** The same contour with as few segments as possible; a circle keeps two arcs. */
    public Contour merge(Contour contour) {
        List<Segment> merged = merge(contour.segments());
        while (merged.size() > 2) {
            int last = merged.size() - 1;
            Optional<Segment> over = join(merged.get(last), merged.get(0));
            if (over.isEmpty()) {
                break;
            }
            merged.set(0, over.get());
            merged.remove(last);
        }
        return new Contour(merged);
    }

    /** The same chain with as few segments as possible. */
    public Path merge(Path path) {
        return new Path(merge(path.segments()));
    }

    private List<Segment> merge(List<Segment> segments) {
        List<Segment> merged = new ArrayList<>(segments.size());
        for (Segment segment : segments) {
            int last = merged.size() - 1;
            Optional<Segment> joined =
                    last < 0 ? Optional.empty() : join(merged.get(last), segment);
            if (joined.isPresent()) {
                merged.set(last, joined.get());
            } else {
                merged.add(segment);
            }
        }
        return merged;
    }

    private Optional<Segment> join(Segment a, Segment b) {
        if (a instanceof Line && b instanceof Line) {
            return joinLines(a, b);
        }
        if (a instanceof Arc first && b instanceof Arc second) {
            return joinArcs(first, second);
        }
        return Optional.empty();
    }

    private Optional<Segment> joinLines(Segment a, Segment b) {
        if (a.start().equals(b.end()) || a.direction(0).dot(b.direction(0)) <= 0) {
            return Optional.empty();
        }
        Line whole = new Line(a.start(), b.end());
        return whole.distance(a.end()) <= tolerance ? Optional.of(whole) : Optional.empty();
    }

    private Optional<Segment> joinArcs(Arc a, Arc b) {
        double sweep = a.sweep() + b.sweep();
        boolean sameCircle =
                a.isLeft() == b.isLeft()
                        && a.centre().distance(b.centre()) <= tolerance
                        && Math.abs(a.radius() - b.radius()) <= tolerance;
        // three quarters at most: beyond, the centre depends too much on the rounding of the ends
        if (!sameCircle || Math.abs(sweep) > 1.5 * Math.PI || a.start().equals(b.end())) {
            return Optional.empty();
        }
        return Optional.of(new Arc(a.start(), b.end(), Math.tan(sweep / 4)));
    }
}
