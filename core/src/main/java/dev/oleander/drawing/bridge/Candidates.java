package dev.oleander.drawing.bridge;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Straight strips from an island to other pieces: square to each of its straight elements, at the
 * quadrants of its arcs, and along a wished direction through its middle.
 */
final class Candidates {

    /** Shares of the width at which it is looked whether all of a strip is free. */
    private static final double[] ACROSS = {-0.5, -0.25, 0, 0.25, 0.5};

    private static final double MEETS = 1e-7;

    /** In widths: how far a strip is followed at first. */
    private static final double FIRST_LOOK = 8;

    /** Corners of others that a straight element looks at. */
    private static final int CORNERS = 12;

    /** mm that a strip reaches into material beyond what it needs. */
    private static final double INTO = 1e-3;

    private final Pieces pieces;
    private final double width;
    private final Point direction;
    private final SegmentIndex<SegmentIndex.Entry<Integer>> index;
    private final double farthest;

    /**
     * A strip between two kept pieces.
     *
     * @param cost the less the better
     */
    record Candidate(int from, int to, Bridge bridge, double cost) {

        static final Comparator<Candidate> CHEAPEST =
                Comparator.comparingDouble(Candidate::cost)
                        .thenComparingDouble(c -> c.bridge().from().x())
                        .thenComparingDouble(c -> c.bridge().from().y());
    }

    /** Where a line across meets a contour. */
    private record Hit(double along, int contour, boolean curved) {}

    /**
     * @param direction along which bridges are wished; of length 1, or null where none is
     */
    Candidates(Pieces pieces, double width, Point direction) {
        this.pieces = pieces;
        this.width = width;
        this.direction = direction;
        List<SegmentIndex.Entry<Integer>> all = new ArrayList<>();
        for (int i = 0; i < pieces.contours().size(); i++) {
            for (Segment segment : pieces.contours().get(i).segments()) {
                all.add(new SegmentIndex.Entry<>(i, segment));
            }
        }
        this.index = SegmentIndex.ofEntries(all);
        Box box = Box.around(pieces.contours().stream().map(Contour::box).toList());
        this.farthest = Math.hypot(box.width(), box.height()) + 1;
    }

    /** All of an island that are free. */
    List<Candidate> of(int island) {
        List<Candidate> all = new ArrayList<>();
        Contour contour = pieces.contours().get(island);
        for (Segment segment : contour.segments()) {
            for (double t : places(segment, island)) {
                Point way = segment.direction(t);
                // anticlockwise: outside lies to the right
                from(island, segment.at(t), new Point(way.y(), -way.x())).ifPresent(all::add);
            }
        }
        if (direction != null) {
            Point middle = contour.box().centre();
            leaving(island, middle, direction).ifPresent(all::add);
            leaving(island, middle, direction.times(-1)).ifPresent(all::add);
        }
        return all;
    }

    /** The strip from where a ray from within an island leaves it for the last time. */
    Optional<Candidate> leaving(int island, Point middle, Point way) {
        return hits(middle, way, farthest).stream()
                .filter(h -> h.contour() == island)
                .reduce((a, b) -> b)
                .map(h -> middle.plus(way.times(h.along())))
                .flatMap(p -> from(island, p, way));
    }

    /**
     * A strip through a place of what is cut away, whatever it joins.
     *
     * @param way that it runs, of length 1
     * @param wide its width, mm
     * @return empty when its whole width does not begin and end at one contour each
     */
    Optional<Candidate> through(Point at, Point way, double wide) {
        Optional<double[]> there = reach(at, way, wide);
        Optional<double[]> back = reach(at, way.times(-1), wide);
        if (there.isEmpty() || back.isEmpty()) {
            return Optional.empty();
        }
        double[] to = there.get();
        double[] from = back.get();
        Bridge bridge =
                new Bridge(
                        at.minus(way.times(from[0])),
                        at.plus(way.times(to[0])),
                        wide,
                        from[1] - from[0] + INTO,
                        to[1] - to[0] + INTO);
        return Optional.of(
                new Candidate(pieces.piece((int) from[2]), pieces.piece((int) to[2]), bridge, 0));
    }

    /** How far a contour lies from a place in the middle of a strip, at most, and which it is. */
    private Optional<double[]> reach(Point at, Point way, double wide) {
        Point side = new Point(-way.y(), way.x());
        double middle = 0;
        double most = 0;
        int target = -1;
        for (double share : ACROSS) {
            List<Hit> hits = hits(at.plus(side.times(share * wide)), way, farthest);
            if (hits.isEmpty() || target >= 0 && hits.get(0).contour() != target) {
                return Optional.empty();
            }
            target = hits.get(0).contour();
            most = Math.max(most, hits.get(0).along());
            middle = share == 0 ? hits.get(0).along() : middle;
        }
        return Optional.of(new double[] {middle, most, target});
    }

    // ---- where strips may begin

    private List<Double> places(Segment segment, int island) {
        List<Double> places = new ArrayList<>();
        if (segment instanceof Arc arc) {
            places.add(0.5);
            quadrants(arc, places);
            return places;
        }
        double length = segment.length();
        if (length < width) {
            return places;
        }
        double half = width / 2 / length;
        places.add(0.5);
        places.add(half);
        places.add(1 - half);
        beside((Line) segment, island, half, places);
        return places;
    }

    /** Where corners of others lie across from a straight element, the nearest: beside them. */
    private void beside(Line line, int island, double half, List<Double> places) {
        Point way = line.direction(0);
        double reach = line.length();
        List<Point> corners = new ArrayList<>();
        index.visit(
                line.box().grown(reach),
                i -> {
                    if (index.get(i).item() != island) {
                        corners.add(index.get(i).segment().start());
                    }
                });
        corners.sort(Comparator.comparingDouble(line::distance));
        for (Point corner : corners.subList(0, Math.min(CORNERS, corners.size()))) {
            Point from = corner.minus(line.start());
            double t = (from.x() * way.x() + from.y() * way.y()) / line.length();
            for (double place : new double[] {t - half, t + half}) {
                if (place >= half && place <= 1 - half) {
                    places.add(place);
                }
            }
        }
    }

    /** Where an arc looks along the axes, or along the wished direction. */
    private void quadrants(Arc arc, List<Double> places) {
        List<Point> ways =
                new ArrayList<>(
                        List.of(
                                new Point(1, 0),
                                new Point(-1, 0),
                                new Point(0, 1),
                                new Point(0, -1)));
        if (direction != null) {
            ways.add(direction);
            ways.add(direction.times(-1));
        }
        for (Point way : ways) {
            Point place = arc.centre().plus(way.times(arc.radius()));
            double t = arc.nearest(place);
            if (arc.at(t).distance(place) < 1e-6 * arc.radius()) {
                places.add(t);
            }
        }
    }

    // ---- strips

    private Optional<Candidate> from(int island, Point start, Point way) {
        Point side = new Point(-way.y(), way.x());
        double first = 0;
        double last = 0;
        double middle = 0;
        int target = -1;
        boolean curvedFrom = false;
        boolean curvedTo = false;
        double least = Double.POSITIVE_INFINITY;
        for (double share : ACROSS) {
            Point at = start.plus(side.times(share * width)).minus(way.times(width));
            Optional<Hit[]> ends = ends(island, at, way);
            if (ends.isEmpty() || target >= 0 && ends.get()[1].contour() != target) {
                return Optional.empty();
            }
            Hit out = ends.get()[0];
            Hit in = ends.get()[1];
            target = in.contour();
            curvedFrom |= out.curved();
            curvedTo |= in.curved();
            first = Math.min(first, out.along() - width);
            last = Math.max(last, in.along() - width);
            least = Math.min(least, in.along() - width);
            middle = share == 0 ? in.along() - width : middle;
        }
        if (pieces.piece(target) == pieces.piece(island) || middle <= 0) {
            return Optional.empty();
        }
        Bridge bridge =
                new Bridge(
                        start,
                        start.plus(way.times(middle)),
                        width,
                        -first + INTO,
                        last - middle + INTO);
        if (hasOthersWithin(bridge, island, target)) {
            return Optional.empty();
        }
        return Optional.of(
                new Candidate(
                        pieces.piece(island),
                        pieces.piece(target),
                        bridge,
                        cost(bridge, curvedFrom, curvedTo, island, target)));
    }

    /** Where a line leaves the island, at most a width inside it, and where it comes to another. */
    private Optional<Hit[]> ends(int island, Point at, Point way) {
        // most often something is near, and a long line meets everything behind it too
        double far = Math.min(farthest, FIRST_LOOK * width);
        List<Hit> hits = hits(at, way, far);
        Optional<Hit[]> ends = ends(island, hits);
        boolean more = hits.stream().noneMatch(h -> h.along() > 2 * width);
        while (ends.isEmpty() && more && far < farthest) {
            far = Math.min(farthest, 4 * far);
            hits = hits(at, way, far);
            ends = ends(island, hits);
            more = hits.stream().noneMatch(h -> h.along() > 2 * width);
        }
        return ends;
    }

    private Optional<Hit[]> ends(int island, List<Hit> hits) {
        Hit out = null;
        for (Hit hit : hits) {
            boolean near = hit.along() <= 2 * width;
            if (hit.contour() == island && near) {
                out = hit;
            } else if (out != null) {
                return Optional.of(new Hit[] {out, hit});
            } else if (hit.along() > 2 * width) {
                return Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** All crossings of a ray in their order; what is only touched is left out. */
    private List<Hit> hits(Point from, Point way, double far) {
        Line ray = new Line(from, from.plus(way.times(far)));
        List<Hit> hits = new ArrayList<>();
        index.visit(
                ray.box().grown(MEETS),
                i -> {
                    SegmentIndex.Entry<Integer> entry = index.get(i);
                    for (Intersections.Crossing crossing :
                            Intersections.of(ray, entry.segment(), MEETS)) {
                        hits.add(
                                new Hit(
                                        crossing.onFirst() * far,
                                        entry.item(),
                                        entry.segment() instanceof Arc));
                    }
                });
        hits.sort(Comparator.comparingDouble(Hit::along));
        List<Hit> once = new ArrayList<>();
        for (Hit hit : hits) {
            Hit before = once.isEmpty() ? null : once.get(once.size() - 1);
            boolean same =
                    before != null
                            && before.contour() == hit.contour()
                            && hit.along() - before.along() < 1e-6;
            if (!same) {
                once.add(hit);
            }
        }
        return once;
    }

    /** Whether corners of anything lie in the strip, so that a part of it is not free. */
    private boolean hasOthersWithin(Bridge bridge, int island, int target) {
        Contour strip = bridge.strip().outer();
        Box box = strip.box();
        boolean[] found = {false};
        index.visit(
                box,
                i -> {
                    SegmentIndex.Entry<Integer> entry = index.get(i);
                    boolean own = entry.item() == island || entry.item() == target;
                    Point corner = entry.segment().start();
                    found[0] |= !own && box.contains(corner) && strip.contains(corner);
                });
        return found[0];
    }

    // ---- what they cost

    private double cost(
            Bridge bridge, boolean curvedFrom, boolean curvedTo, int island, int target) {
        double cost = bridge.length() / width + (curvedFrom ? 2 : 0) + (curvedTo ? 2 : 0);
        cost += 2 * Math.max(0, 1 - corner(bridge.from(), island) / width);
        cost += 2 * Math.max(0, 1 - corner(bridge.to(), target) / width);
        if (direction != null) {
            Point way = bridge.way();
            cost += 3 * Math.abs(way.x() * direction.y() - way.y() * direction.x());
        }
        return cost;
    }

    /** mm from an end to the nearest corner of its contour. */
    private double corner(Point end, int contour) {
        List<Segment> segments = pieces.contours().get(contour).segments();
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < segments.size(); i++) {
            Segment here = segments.get(i);
            Segment before = segments.get((i + segments.size() - 1) % segments.size());
            Point in = before.direction(1);
            Point out = here.direction(0);
            boolean sharp = in.x() * out.x() + in.y() * out.y() < 0.94;
            if (sharp) {
                least = Math.min(least, here.start().distance(end));
            }
        }
        return least;
    }
}
