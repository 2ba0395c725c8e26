package dev.oleander.drawing.draw;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.mend.Mended.Joined;
import dev.oleander.drawing.mend.Mender;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Makes a closed contour of everything that lines bound together, and moves the contours away from
 * each other so far that a cut has room between them. All keep their place in the pattern: what
 * lies twice as far from the middle moves twice as far.
 */
final class PartsApart {

    /** mm; how far chords may leave arcs. */
    private static final double CHORD = 5e-3;

    /** mm; how exactly the gap is met. */
    private static final double FINE = 1e-4;

    private static final int MOST = 500;

    private final Sketch sketch;
    private final DrawStep step;
    private final double gap;

    /**
     * @param gap mm between neighbours, at least
     */
    PartsApart(Sketch sketch, DrawStep step, double gap) {
        this.sketch = sketch;
        this.step = step;
        this.gap = gap;
    }

    /**
     * Replaces entities by the contours that they bound; what bounds nothing stays as it is.
     *
     * @param entities split where they meet
     * @throws DrawException when they bound fewer than two, or too many, contours
     */
    void replace(List<Entity> entities) {
        List<Joined> joined = new Mender(MendOptions.defaults()).mend(entities).chains();
        List<Joined> closed = joined.stream().filter(j -> j.chain() instanceof Contour).toList();
        if (closed.size() < 2) {
            throw new DrawException("These lines bound fewer than two parts.");
        }
        if (closed.size() > MOST) {
            throw new DrawException(
                    "These lines bound %d parts; at most %d are moved apart at once.",
                    closed.size(), MOST);
        }
        List<Contour> contours = closed.stream().map(j -> (Contour) j.chain()).toList();
        List<Point> shifts = shifts(contours);
        entities.forEach(sketch::remove);
        for (int i = 0; i < contours.size(); i++) {
            Transform to = Transform.translation(shifts.get(i));
            sketch.copy(step, closed.get(i).first(), contours.get(i).transformed(to));
        }
        joined.stream()
                .filter(j -> !(j.chain() instanceof Contour))
                .forEach(j -> sketch.copy(step, j.first(), j.chain()));
    }

    /** Two contours that lie too near to each other. */
    private record Pair(int a, int b, double shared) {}

    private List<Point> shifts(List<Contour> contours) {
        List<Point> centres = contours.stream().map(c -> c.box().centre()).toList();
        Point middle =
                centres.stream().reduce(Point.ORIGIN, Point::plus).times(1.0 / centres.size());
        FlatShapes flat = new FlatShapes(CHORD);
        List<Polygon> polygons = contours.stream().map(flat::polygon).toList();
        Stretch stretch = new Stretch(0, 0);
        for (Pair pair : near(polygons)) {
            stretch = apart(pair, polygons, centres, stretch);
        }
        Stretch whole = stretch;
        return centres.stream().map(c -> whole.of(c.minus(middle))).toList();
    }

    /** Those that share the longest edges first: they decide which way the others go. */
    private List<Pair> near(List<Polygon> polygons) {
        List<Pair> pairs = new ArrayList<>();
        for (int a = 0; a < polygons.size(); a++) {
            for (int b = a + 1; b < polygons.size(); b++) {
                Polygon first = polygons.get(a);
                Polygon second = polygons.get(b);
                if (first.isWithinDistance(second, gap - FINE)) {
                    double shared =
                            first.getBoundary().intersection(second.getBoundary()).getLength();
                    pairs.add(new Pair(a, b, shared));
                }
            }
        }
        pairs.sort(Comparator.comparingDouble(p -> -p.shared()));
        return pairs;
    }

    /** How much wider a pattern gets along x and y: shares of the distance from its middle. */
    private record Stretch(double x, double y) {

        Point of(Point fromMiddle) {
            return new Point(x * fromMiddle.x(), y * fromMiddle.y());
        }
    }

    /** Wide enough for a pair, along the axis along which it moves less. */
    private Stretch apart(Pair pair, List<Polygon> polygons, List<Point> centres, Stretch before) {
        Polygon first = polygons.get(pair.a());
        Polygon second = polygons.get(pair.b());
        Point away = centres.get(pair.b()).minus(centres.get(pair.a()));
        Point moved = before.of(away);
        if (isApart(first, second, moved)) {
            return before;
        }
        double x = needed(first, second, moved, new Point(Math.signum(away.x()), 0));
        double y = needed(first, second, moved, new Point(0, Math.signum(away.y())));
        if (x == Double.POSITIVE_INFINITY && y == Double.POSITIVE_INFINITY) {
            throw new DrawException(
                    "Parts that reach round each other cannot be moved apart by %s. Move them one by one.",
                    Numbers.length(gap));
        }
        return x <= y
                ? new Stretch(before.x() + x / Math.abs(away.x()), before.y())
                : new Stretch(before.x(), before.y() + y / Math.abs(away.y()));
    }

    /** How far the second has to move besides, mm; infinite where that does not help. */
    private double needed(Polygon first, Polygon second, Point moved, Point along) {
        if (along.equals(Point.ORIGIN)) {
            return Double.POSITIVE_INFINITY;
        }
        double high = gap;
        double most = gap + reach(first) + reach(second);
        while (!isApart(first, second, moved.plus(along.times(high)))) {
            if (high > most) {
                return Double.POSITIVE_INFINITY;
            }
            high *= 2;
        }
        double low = 0;
        while (high - low > FINE) {
            double between = (low + high) / 2;
            if (isApart(first, second, moved.plus(along.times(between)))) {
                high = between;
            } else {
                low = between;
            }
        }
        return high;
    }

    private static double reach(Polygon polygon) {
        return polygon.getEnvelopeInternal().getDiameter();
    }

    private boolean isApart(Polygon first, Polygon second, Point moved) {
        var there = AffineTransformation.translationInstance(moved.x(), moved.y());
        return !first.isWithinDistance(there.transform(second), gap - FINE);
    }
}
