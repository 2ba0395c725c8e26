package dev.oleander.drawing.read;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentMerger;
import java.util.List;
import java.util.OptionalDouble;

/** Names the form of a contour from its lines and arcs. */
final class FormFinder {

    private static final int MOST_SEGMENTS = 64;

    /** Segments shorter than this many tolerances are the seams of mended corners. */
    private static final double SEAM = 2;

    private final double tolerance;

    /**
     * @param tolerance mm; how far sizes that should be equal may differ
     */
    FormFinder(double tolerance) {
        this.tolerance = tolerance;
    }

    Form of(Contour contour, OptionalDouble diameter) {
        if (diameter.isPresent()) {
            double d = diameter.getAsDouble();
            return new Form(Form.Kind.CIRCLE, d, d, d / 2, 0);
        }
        Box box = contour.box();
        Form other = Form.other(box.width(), box.height());
        if (contour.vertices().edges() > MOST_SEGMENTS) {
            return other;
        }
        List<Segment> segments = new SegmentMerger(SEAM * tolerance / 10).merge(contour).segments();
        int n = segments.size();
        long arcs = segments.stream().filter(Arc.class::isInstance).count();
        if (arcs == 0) {
            return n == 4 && isRectangle(segments)
                    ? rectangle(segments, 0)
                    : regular(segments, other);
        }
        if (n == 4 && arcs == 2 && alternates(segments)) {
            return roundEnded(segments, other);
        }
        if (n == 8 && arcs == 4 && alternates(segments)) {
            return rounded(segments, other);
        }
        return other;
    }

    private static boolean alternates(List<Segment> segments) {
        for (int i = 0; i < segments.size(); i++) {
            boolean line = segments.get(i) instanceof Line;
            if (line == (segments.get((i + 1) % segments.size()) instanceof Line)) {
                return false;
            }
        }
        return true;
    }

    private boolean isRectangle(List<Segment> s) {
        for (int i = 0; i < 4; i++) {
            Point along = s.get(i).direction(0);
            Point next = s.get((i + 1) % 4).direction(0);
            if (Math.abs(along.dot(next)) * s.get(i).length() > tolerance) {
                return false;
            }
        }
        return isEqual(s.get(0).length(), s.get(2).length())
                && isEqual(s.get(1).length(), s.get(3).length());
    }

    private boolean isEqual(double a, double b) {
        return Math.abs(a - b) <= tolerance;
    }

    private static Form rectangle(List<Segment> sides, double radius) {
        double a = sides.get(0).length() + 2 * radius;
        double b = sides.get(1).length() + 2 * radius;
        return new Form(Form.Kind.RECTANGLE, Math.max(a, b), Math.min(a, b), radius, 0);
    }

    private Form regular(List<Segment> s, Form other) {
        int n = s.size();
        double side = s.get(0).length();
        double turn = 2 * Math.PI / n;
        for (int i = 0; i < n; i++) {
            Point in = s.get(i).direction(0);
            Point out = s.get((i + 1) % n).direction(0);
            double here = Math.atan2(in.cross(out), in.dot(out));
            if (!isEqual(s.get(i).length(), side) || Math.abs(here - turn) * side > 2 * tolerance) {
                return other;
            }
        }
        double corners = side / Math.sin(Math.PI / n);
        double flats = side / Math.tan(Math.PI / n);
        return new Form(Form.Kind.REGULAR, corners, flats, 0, n);
    }

    /** Two lines and two arcs: a slot when these are equal half circles, else perhaps a keyhole. */
    private Form roundEnded(List<Segment> s, Form other) {
        int firstArc = s.get(0) instanceof Arc ? 0 : 1;
        Arc a = (Arc) s.get(firstArc);
        Arc b = (Arc) s.get(firstArc + 2);
        Segment one = s.get(firstArc + 1);
        Segment two = s.get((firstArc + 3) % 4);
        boolean parallel =
                Math.abs(one.direction(0).cross(two.direction(0))) * one.length() <= tolerance;
        if (!parallel || !a.isLeft() || !b.isLeft() || !isEqual(one.length(), two.length())) {
            return other;
        }
        double centres = a.centre().distance(b.centre());
        double length = centres + a.radius() + b.radius();
        if (isEqual(a.radius(), b.radius()) && isHalf(a) && isHalf(b)) {
            return new Form(Form.Kind.SLOT, length, 2 * a.radius(), a.radius(), 0);
        }
        Arc head = a.radius() > b.radius() ? a : b;
        Arc end = head == a ? b : a;
        if (isHalf(end) && head.sweep() > Math.PI && head.radius() > end.radius()) {
            return new Form(Form.Kind.KEYHOLE, length, 2 * end.radius(), head.radius(), 0);
        }
        return other;
    }

    private boolean isHalf(Arc arc) {
        return Math.abs(Math.abs(arc.sweep()) - Math.PI) * arc.radius() <= 2 * tolerance;
    }

    private Form rounded(List<Segment> s, Form other) {
        int firstArc = s.get(0) instanceof Arc ? 0 : 1;
        double radius = ((Arc) s.get(firstArc)).radius();
        for (int i = firstArc; i < 8; i += 2) {
            Arc arc = (Arc) s.get(i);
            boolean quarter =
                    Math.abs(arc.sweep() - Math.PI / 2) * radius <= 2 * tolerance
                            && isEqual(arc.radius(), radius);
            if (!quarter) {
                return other;
            }
        }
        List<Segment> sides = s.stream().filter(Line.class::isInstance).toList();
        return isRectangle(sides) ? rectangle(sides, radius) : other;
    }
}
