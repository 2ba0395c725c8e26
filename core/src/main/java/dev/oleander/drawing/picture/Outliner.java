package dev.oleander.drawing.picture;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Few lines and arcs along the points of an edge: corners first, the fewest elements between them,
 * tangent where the way is smooth, straight along the axes where nearly so. Pixels.
 */
final class Outliner {

    /** Way beside a corner whose points are rounded by the pixels. */
    private static final double ROUNDED = 2.2;

    /** Turn between two elements up to which they are made tangent, radians. */
    private static final double SMOOTH = Math.toRadians(15);

    /** Angle to an axis up to which a straight edge is put along it, radians. */
    private static final double AXIS = Math.toRadians(1);

    private final Loop points;
    private final TraceSpec.Fit fit;
    private final double tolerance;

    /** Way from where points go over to another element within which both may meet, pixels. */
    private double reach = 2 * ROUNDED;

    /**
     * An edge as elements.
     *
     * @param off greatest distance of the points of each, pixels
     */
    record Drawn<T>(T chain, List<Double> off) {}

    /** Lines and arcs, and how far the points of each are off. */
    private record Laid(List<Segment> segments, List<Double> off) {}

    /** Elements in a row, and where each begins; the last of the places ends an open one. */
    private record Strung(List<Element> elements, List<Point> joints) {}

    Outliner(Loop points, TraceSpec.Fit fit) {
        this.points = points;
        this.fit = fit;
        this.tolerance = fit.tolerance();
    }

    /** Empty when it has no area to speak of. */
    Optional<Drawn<Contour>> closed() {
        if (points.size() < 4) {
            return Optional.empty();
        }
        Optional<Drawn<Contour>> circle = circle();
        return circle.isPresent() ? circle : ofElements();
    }

    private Optional<Drawn<Contour>> circle() {
        Element round = new ElementFit(points).circle(0, points.size() - 1);
        double most = points.size() < 12 ? Math.max(tolerance, 0.3) : tolerance;
        if (!fit.circles() || round == null || round.greatest() > most) {
            return Optional.empty();
        }
        boolean whole = Math.abs(points.area()) > 0.9 * Math.PI * round.radius() * round.radius();
        Contour circle = Contour.circle(round.at(), round.radius()).turning(points.area() > 0);
        return whole
                ? Optional.of(
                        new Drawn<>(
                                circle,
                                Collections.nCopies(circle.segments().size(), round.greatest())))
                : Optional.empty();
    }

    private Optional<Drawn<Contour>> ofElements() {
        Corners corners = new Corners(points, fit.corner(), tolerance);
        List<Integer> turns = corners.found();
        Strung strung = turns.isEmpty() ? smooth() : between(turns);
        Laid laid = laid(strung, true);
        return laid.segments().size() < 2
                ? Optional.empty()
                : Optional.of(new Drawn<>(new Contour(laid.segments()), laid.off()));
    }

    // ---- without corners

    private Strung smooth() {
        int n = points.size();
        FewestElements fewest = new FewestElements(points, tolerance);
        List<Element> begun = fewest.of(0, n);
        int start = begun.get(0).to();
        List<Element> elements = new ArrayList<>(fewest.of(start, start + n));
        if (elements.size() == 1) {
            return strung(halves(start), true);
        }
        TangentRun.Made made =
                isSmooth(elements, true) ? TangentRun.of(points, elements, true, tolerance) : null;
        if (made == null) {
            return strung(elements, true);
        }
        return new Strung(made.elements(), made.joints().subList(0, elements.size()));
    }

    private List<Element> halves(int start) {
        int n = points.size();
        ElementFit of = new ElementFit(points);
        return List.of(
                of.nearest(start, start + n / 2, tolerance),
                of.nearest(start + n / 2, start + n, tolerance));
    }

    private boolean isSmooth(List<Element> elements, boolean closed) {
        int count = elements.size();
        for (int i = closed ? 0 : 1; i < count; i++) {
            if (!isSmooth(elements.get((i + count - 1) % count), elements.get(i))) {
                return false;
            }
        }
        return true;
    }

    private boolean isSmooth(Element before, Element then) {
        Point joint = point(then.from());
        double turn =
                then.direction(then.nearest(joint)).angle()
                        - before.direction(before.nearest(joint)).angle();
        boolean small = Math.abs(Math.IEEEremainder(turn, 2 * Math.PI)) <= SMOOTH;
        return small && !(before.isLine() && then.isLine());
    }

    private Strung strung(List<Element> elements, boolean closed) {
        List<Point> joints = new ArrayList<>();
        int count = elements.size();
        for (int i = 0; i < count; i++) {
            Element own = elements.get(i);
            Point at = point(own.from());
            joints.add(
                    i == 0 && !closed
                            ? own.nearest(at)
                            : joint(elements.get((i + count - 1) % count), own, at));
        }
        if (!closed) {
            Element last = elements.get(count - 1);
            joints.add(last.nearest(point(last.to())));
        }
        return new Strung(elements, joints);
    }

    /** Where the points go from one to the other; nearly tangent ones meet anywhere. */
    private Point joint(Element before, Element own, Point at) {
        Point half = before.nearest(at).midpoint(own.nearest(at));
        Point meeting = Meeting.of(before, own, at);
        return meeting.distance(at) <= reach ? meeting : half;
    }

    private Point point(int i) {
        return new Point(points.x(i), points.y(i));
    }

    // ---- with corners

    /** Twice: only from what meets there is it known where exactly a corner is. */
    private Strung between(List<Integer> turns) {
        List<Point> corners = turns.stream().map(this::point).toList();
        Strung begun = between(turns, corners);
        List<Point> met = new ArrayList<>();
        for (int i = 0; i < turns.size(); i++) {
            Point near = corners.get(i);
            met.add(
                    begun.joints().stream()
                            .min(Comparator.comparingDouble(near::distance))
                            .filter(p -> p.distance(near) < 2 * ROUNDED)
                            .orElse(near));
        }
        return between(turns, met);
    }

    private Strung between(List<Integer> turns, List<Point> corners) {
        List<Strung> runs = new ArrayList<>();
        int count = turns.size();
        for (int i = 0; i < count; i++) {
            int from = turns.get(i);
            int to = i + 1 < count ? turns.get(i + 1) : turns.get(0) + points.size();
            runs.add(run(from, to, corners.get(i), corners.get((i + 1) % count)));
        }
        List<Element> elements = new ArrayList<>();
        List<Point> joints = new ArrayList<>();
        for (int i = 0; i < runs.size(); i++) {
            List<Element> before = runs.get((i + runs.size() - 1) % runs.size()).elements();
            Strung own = runs.get(i);
            joints.add(
                    Meeting.of(
                            before.get(before.size() - 1),
                            own.elements().get(0),
                            point(turns.get(i))));
            joints.addAll(own.joints().subList(1, own.elements().size()));
            elements.addAll(own.elements());
        }
        return new Strung(elements, joints);
    }

    /** From one corner to the next. */
    private Strung run(int from, int to, Point corner, Point next) {
        int first = from;
        while (first < to && point(first).distance(corner) < ROUNDED) {
            first++;
        }
        int last = to;
        while (last > from && point(last).distance(next) < ROUNDED) {
            last--;
        }
        if (last - first < 2) {
            first = from;
            last = to;
        }
        List<Element> elements =
                withoutChips(new FewestElements(points, tolerance).of(first, last));
        if (elements.size() == 1) {
            return strung(List.of(alongAxis(elements.get(0))), false);
        }
        return joined(elements);
    }

    /** Beside a corner of a rough edge points belong to neither side. */
    private List<Element> withoutChips(List<Element> all) {
        List<Element> kept = new ArrayList<>(all);
        while (kept.size() > 1 && isChip(kept.get(0))) {
            kept.remove(0);
        }
        while (kept.size() > 1 && isChip(kept.get(kept.size() - 1))) {
            kept.remove(kept.size() - 1);
        }
        return kept;
    }

    private boolean isChip(Element element) {
        return point(element.from()).distance(point(element.to())) < fit.chip();
    }

    /** Stretches that are smooth are made tangent, each for itself. */
    private Strung joined(List<Element> elements) {
        List<Element> all = new ArrayList<>();
        List<Point> joints = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= elements.size(); i++) {
            if (i == elements.size() || !isSmooth(elements.get(i - 1), elements.get(i))) {
                List<Element> stretch = elements.subList(from, i);
                TangentRun.Made made = TangentRun.of(points, stretch, false, tolerance);
                Strung own =
                        made == null
                                ? strung(stretch, false)
                                : new Strung(made.elements(), made.joints());
                joints.add(
                        all.isEmpty()
                                ? own.joints().get(0)
                                : joint(
                                        all.get(all.size() - 1),
                                        own.elements().get(0),
                                        point(stretch.get(0).from())));
                joints.addAll(own.joints().subList(1, own.elements().size()));
                all.addAll(own.elements());
                from = i;
            }
        }
        Element last = all.get(all.size() - 1);
        joints.add(last.nearest(point(last.to())));
        return new Strung(all, joints);
    }

    private Element alongAxis(Element element) {
        if (!fit.axes() || !element.isLine()) {
            return element;
        }
        double angle = element.along().angle();
        double square = Math.rint(angle / (Math.PI / 2)) * (Math.PI / 2);
        if (Math.abs(angle - square) > AXIS) {
            return element;
        }
        Point along = new Point(Math.rint(Math.cos(square)), Math.rint(Math.sin(square)));
        Element put =
                new Element(element.at(), along, 0, true, element.from(), element.to(), 0, 0)
                        .judged(points);
        return put.greatest() <= tolerance ? put : element;
    }

    // ---- open

    /**
     * Along points from the first to the last, and on from there.
     *
     * @param begin near which it begins
     * @param end near which it ends
     * @param cap what lies between elements that meet near it and is shorter is none, pixels
     */
    Optional<Drawn<Path>> open(Point begin, Point end, double cap) {
        int last = points.size() - 1;
        if (last < 1) {
            return Optional.empty();
        }
        reach = Math.max(reach, 2 * cap);
        List<Element> all = new FewestElements(points, tolerance).of(0, last);
        Strung run = joined(withoutCaps(all, cap));
        List<Element> elements = run.elements();
        List<Point> joints = new ArrayList<>(run.joints());
        joints.set(0, elements.get(0).nearest(begin));
        joints.set(elements.size(), elements.get(elements.size() - 1).nearest(end));
        Strung strung = new Strung(elements, joints);
        Laid laid = laid(strung, false);
        return laid.segments().isEmpty()
                ? Optional.empty()
                : Optional.of(new Drawn<>(new Path(laid.segments()), laid.off()));
    }

    /** The way over a corner is rounded by the width of the stroke. */
    private List<Element> withoutCaps(List<Element> all, double cap) {
        List<Element> kept = new ArrayList<>(all);
        for (int i = 1; i < kept.size() - 1; i++) {
            Element own = kept.get(i);
            Point begin = point(own.from());
            Point end = point(own.to());
            Element before = kept.get(i - 1);
            Element after = kept.get(i + 1);
            Point near = begin.midpoint(end);
            boolean isShort = begin.distance(end) < cap;
            if (isShort && Meeting.of(before, after, near).distance(near) < 2 * cap) {
                kept.remove(i);
                i--;
            }
        }
        return kept;
    }

    // ---- as segments

    private Laid laid(Strung strung, boolean closed) {
        List<Segment> segments = new ArrayList<>();
        List<Double> off = new ArrayList<>();
        List<Point> joints = strung.joints();
        int count = strung.elements().size();
        Point begun = joints.get(0);
        for (int i = 0; i < count; i++) {
            Point end =
                    i + 1 < count ? joints.get(i + 1) : closed ? joints.get(0) : joints.get(i + 1);
            if (begun.distance(end) > 1e-6) {
                segments.add(Segment.of(begun, end, bulge(strung.elements().get(i), begun, end)));
                off.add(strung.elements().get(i).greatest());
                begun = end;
            }
        }
        return new Laid(segments, off);
    }

    /** Of the arc between two places; the points say how far it turns. */
    private double bulge(Element element, Point from, Point to) {
        if (element.isLine()) {
            return 0;
        }
        double turn = to.minus(element.at()).angle() - from.minus(element.at()).angle();
        double way = element.left() ? turn : -turn;
        double sweep = way - 2 * Math.PI * Math.floor(way / (2 * Math.PI));
        double length = 0;
        for (int i = element.from(); i < element.to(); i++) {
            length += point(i).distance(point(i + 1));
        }
        if (Math.abs(sweep - length / element.radius()) > Math.PI) {
            return 0;
        }
        return (element.left() ? 1 : -1) * Math.tan(sweep / 4);
    }
}
