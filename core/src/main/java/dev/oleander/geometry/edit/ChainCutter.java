package dev.oleander.geometry.edit;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Chain.Station;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Cuts chains at places, trims them at other chains and extends their ends. */
public final class ChainCutter {

    /** Parameter below which a place counts as the end of its segment. */
    private static final double END = 1e-12;

    private final double tolerance;

    /**
     * @param tolerance mm; chains nearer than this meet
     */
    public ChainCutter(double tolerance) {
        if (!(tolerance > 0)) {
            throw new IllegalArgumentException("tolerance must be > 0 mm: " + tolerance);
        }
        this.tolerance = tolerance;
    }

    /** A contour opened at a place: a path once round it. */
    public static Path opened(Contour contour, Station at) {
        return new Path(contour.startedAt(at).segments());
    }

    /** Both parts of a path cut at a place; one part when it is an end. */
    public static List<Path> split(Path path, Station at) {
        List<Path> parts = new ArrayList<>(2);
        between(path, start(path), at).ifPresent(parts::add);
        between(path, at, end(path)).ifPresent(parts::add);
        return parts;
    }

    /** Both parts of a contour cut at two different places. */
    public static List<Path> split(Contour contour, Station first, Station second) {
        Path round = opened(contour, first);
        return split(round, round.nearest(second.point()));
    }

    /**
     * The stretch of a path round a place, ended where the knives cross the path first on either
     * side; the whole path when they do not.
     */
    public Path trimmed(Path path, Station keep, List<? extends Chain> knives) {
        Station from = start(path);
        Station to = end(path);
        double place = path.distanceAt(keep);
        for (Station cut : crossings(path, knives)) {
            double at = path.distanceAt(cut);
            if (at <= place - tolerance && at > path.distanceAt(from)) {
                from = cut;
            }
            if (at >= place + tolerance && at < path.distanceAt(to)) {
                to = cut;
            }
        }
        return between(path, from, to).orElse(path);
    }

    /** Where knives cross a chain, in its order. */
    public List<Station> crossings(Chain chain, List<? extends Chain> knives) {
        List<Station> cuts = new ArrayList<>();
        List<Segment> segments = chain.segments();
        for (int i = 0; i < segments.size(); i++) {
            Segment segment = segments.get(i);
            for (Chain knife : knives) {
                for (Segment edge : knife.segments()) {
                    if (segment.box().grown(tolerance).touches(edge.box())) {
                        for (Intersections.Crossing c :
                                Intersections.of(segment, edge, tolerance)) {
                            cuts.add(new Station(i, c.onFirst(), segment));
                        }
                    }
                }
            }
        }
        return cuts;
    }

    /**
     * A path with its end continued along its last line or circle.
     *
     * @param length mm
     * @throws EditException when the last circle would close
     */
    public static Path extended(Path path, double length) {
        if (!(length > 0 && Double.isFinite(length))) {
            throw new IllegalArgumentException("length must be > 0 mm: " + length);
        }
        Segment last = path.segments().get(path.segments().size() - 1);
        return withLast(path, continued(last, length));
    }

    /**
     * A segment continued past its end along its line or circle.
     *
     * @throws EditException when the circle would close
     */
    public static Segment continued(Segment last, double length) {
        double share = 1 + length / last.length();
        if (!(last instanceof Arc arc)) {
            return new Line(last.start(), last.at(share));
        }
        double sweep = arc.sweep() * share;
        if (!(Math.abs(sweep) < 2 * Math.PI)) {
            throw new EditException(
                    arc.end(),
                    "The arc at (%.3f, %.3f) closes to a circle when it is extended by %.3f mm.",
                    arc.end().x(),
                    arc.end().y(),
                    length);
        }
        return new Arc(arc.start(), arc.at(share), Math.tan(sweep / 4));
    }

    /**
     * A path with its end continued along its last line or circle until it meets another chain.
     *
     * @throws EditException when it never does
     */
    public Path extendedTo(Path path, Chain target) {
        Segment last = path.segments().get(path.segments().size() - 1);
        Segment ahead = ahead(last, target);
        Optional<Point> first =
                target.segments().stream()
                        .flatMap(s -> Intersections.of(ahead, s, tolerance).stream())
                        .filter(c -> c.onFirst() * ahead.length() > tolerance)
                        .min(Comparator.comparingDouble(Intersections.Crossing::onFirst))
                        .map(Intersections.Crossing::point);
        Point place =
                first.orElseThrow(
                        () ->
                                new EditException(
                                        last.end(),
                                        "The end at (%.3f, %.3f) does not meet the other line when it goes on.",
                                        last.end().x(),
                                        last.end().y()));
        double more = ahead.nearest(place) * ahead.length();
        return withLast(path, continued(last, more));
    }

    /** What the end can reach: a line past the target, or the rest of the circle. */
    private static Segment ahead(Segment last, Chain target) {
        if (last instanceof Arc arc) {
            double rest = (arc.isLeft() ? 1 : -1) * 2 * Math.PI - arc.sweep();
            return new Arc(arc.end(), arc.start(), Math.tan(rest / 4));
        }
        Point far = target.box().centre();
        double reach = last.end().distance(far) + target.box().width() + target.box().height() + 1;
        return new Line(last.end(), last.end().plus(last.direction(1).times(reach)));
    }

    private static Path withLast(Path path, Segment last) {
        List<Segment> segments = new ArrayList<>(path.segments());
        segments.set(segments.size() - 1, last);
        return new Path(segments);
    }

    private static Station start(Path path) {
        return new Station(0, 0, path.segments().get(0));
    }

    private static Station end(Path path) {
        int last = path.segments().size() - 1;
        return new Station(last, 1, path.segments().get(last));
    }

    /** The stretch between two places in the order of the path; empty when they are the same. */
    private static Optional<Path> between(Path path, Station from, Station to) {
        List<Segment> stretch = new ArrayList<>();
        for (int i = from.index(); i <= to.index(); i++) {
            Segment segment = path.segments().get(i);
            double a = i == from.index() ? from.t() : 0;
            double b = i == to.index() ? to.t() : 1;
            if (b - a > END) {
                stretch.add(a == 0 && b == 1 ? segment : segment.between(a, b));
            }
        }
        return stretch.isEmpty() ? Optional.empty() : Optional.of(new Path(stretch));
    }
}
