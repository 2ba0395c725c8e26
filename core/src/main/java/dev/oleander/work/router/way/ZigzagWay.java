package dev.oleander.work.router.way;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.work.router.pocket.Reach;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The way of a tool that clears a pocket in straight lines to and fro, along the grain, and then
 * goes round its walls. Lines end a little before the walls, so that the way from one to the next
 * never cuts into them.
 */
public final class ZigzagWay implements Clearing {

    /** Share of the radius before the walls at which lines end; the round along them takes more. */
    private static final double BEFORE = 0.25;

    /** Steps from the end of a line to the beginning of the next, at most. */
    private static final double FARTHEST = 4;

    /** mm; shorter lines are none. */
    private static final double LEAST = 1e-3;

    private static final double TOLERANCE = 1e-9;

    private final double radius;
    private final Descent down;
    private final List<Region> centres;
    private final List<List<Line>> chains = new ArrayList<>();
    private final List<Contour> walls = new ArrayList<>();

    /**
     * @param allowance mm that is left at the walls
     * @param step from one line to the next, mm, above 0 and at most the diameter
     * @param angle of the lines, degrees
     * @param wallOnRight whether the walls lie on the right of the travel
     * @param down how it goes down
     */
    public ZigzagWay(
            Reach reach,
            double allowance,
            double step,
            double angle,
            boolean wallOnRight,
            Descent down) {
        this.radius = reach.radius();
        this.down = down;
        this.centres =
                allowance > 0
                        ? Offsetter.round().offset(reach.centres(), -allowance)
                        : reach.centres();
        Transform turn = Transform.rotation(Math.toRadians(angle));
        Transform back = Transform.rotation(-Math.toRadians(angle));
        for (Region region : centres) {
            for (Region inner : Offsetter.round().offset(region, -BEFORE * radius)) {
                lines(inner.transformed(back), region.transformed(back), step)
                        .forEach(chain -> chains.add(turned(chain, turn)));
            }
            walls.add(ContourWay.startedOnLine(region.outer().turning(wallOnRight)));
            region.openings()
                    .forEach(o -> walls.add(ContourWay.startedOnLine(o.turning(!wallOnRight))));
        }
    }

    private static List<Line> turned(List<Line> chain, Transform turn) {
        return chain.stream()
                .map(l -> new Line(turn.apply(l.start()), turn.apply(l.end())))
                .toList();
    }

    // ---- lines

    /** A line within the region, of a row. */
    private static final class Piece {

        private final double y;
        private final double left;
        private final double right;
        private boolean done;

        Piece(double y, double left, double right) {
            this.y = y;
            this.left = left;
            this.right = right;
        }

        Line from(boolean leftwards) {
            Point a = new Point(left, y);
            Point b = new Point(right, y);
            return leftwards ? new Line(b, a) : new Line(a, b);
        }
    }

    /** Lines one after the other, as far as the way between them stays within the walls. */
    private static List<List<Line>> lines(Region inner, Region walls, double step) {
        double most = FARTHEST * step;
        Box box = inner.box();
        int rows = (int) Math.max(1, Math.ceil(box.height() / step - TOLERANCE));
        List<List<Piece>> all = new ArrayList<>();
        for (int i = 0; i < rows; i++) {
            all.add(row(inner, box.min().y() + (i + 0.5) * box.height() / rows));
        }
        List<List<Line>> chains = new ArrayList<>();
        for (int i = 0; i < rows; i++) {
            for (Piece piece : all.get(i)) {
                if (!piece.done) {
                    chains.add(chain(all, i, piece, new Bounds(walls, most)));
                }
            }
        }
        return chains;
    }

    private static List<Piece> row(Region region, double y) {
        Box box = region.box();
        Line across = new Line(new Point(box.min().x() - 1, y), new Point(box.max().x() + 1, y));
        List<Double> at = new ArrayList<>();
        for (Contour contour : region.contours()) {
            for (Segment segment : contour.segments()) {
                Intersections.of(across, segment, TOLERANCE).forEach(c -> at.add(c.point().x()));
            }
        }
        at.sort(Comparator.naturalOrder());
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i + 1 < at.size(); i++) {
            double left = at.get(i);
            double right = at.get(i + 1);
            if (right - left > LEAST && region.contains(new Point((left + right) / 2, y))) {
                pieces.add(new Piece(y, left, right));
            }
        }
        return pieces;
    }

    private static List<Line> chain(List<List<Piece>> all, int row, Piece first, Bounds bounds) {
        List<Line> chain = new ArrayList<>();
        Piece piece = first;
        boolean leftwards = false;
        int i = row;
        while (piece != null) {
            piece.done = true;
            Line line = piece.from(leftwards);
            if (!chain.isEmpty()) {
                chain.add(new Line(chain.get(chain.size() - 1).end(), line.start()));
            }
            chain.add(line);
            leftwards = !leftwards;
            i++;
            piece = i < all.size() ? next(all.get(i), line.end(), leftwards, bounds) : null;
        }
        return chain;
    }

    private static Piece next(List<Piece> row, Point at, boolean leftwards, Bounds bounds) {
        return row.stream()
                .filter(p -> !p.done)
                .filter(p -> bounds.allow(new Line(at, p.from(leftwards).start())))
                .min(Comparator.comparingDouble(p -> p.from(leftwards).start().distance(at)))
                .orElse(null);
    }

    /**
     * What ways from one line to the next must keep to.
     *
     * @param most mm, for they cut on their full width
     */
    private record Bounds(Region walls, double most) {

        boolean allow(Line link) {
            return link.length() <= most
                    && walls.contains(link.middle())
                    && walls.contours().stream()
                            .flatMap(c -> c.segments().stream())
                            .allMatch(s -> Intersections.of(link, s, TOLERANCE).isEmpty());
        }
    }

    // ---- the way

    @Override
    public boolean add(ToolWay way, List<Double> levels, double top) {
        double from = top;
        for (double depth : levels) {
            for (List<Line> chain : chains) {
                way.comeTo(chain.get(0).start(), from);
                if (!begin(way, chain.get(0), from, -depth)) {
                    return false;
                }
                way.along(List.of(chain.get(0)), Leg.Pace.FULL);
                chain.stream().skip(1).forEach(line -> way.along(List.of(line)));
                way.leave();
            }
            for (Contour wall : walls) {
                way.comeTo(wall.start(), from);
                if (!down.onto(way, wall, from, -depth)) {
                    return false;
                }
                way.leave();
            }
            from = -depth;
        }
        return true;
    }

    private boolean begin(ToolWay way, Line line, double from, double to) {
        if (down.is(Entry.Kind.PLUNGE)) {
            way.upright(to, Leg.Pace.PLUNGE);
            return true;
        }
        return down.toAndFro(way, new Path(List.of(line)), from, to);
    }

    // ---- what it leaves

    @Override
    public double leftArea() {
        List<Region> swaths = new ArrayList<>();
        for (List<Line> chain : chains) {
            swaths.addAll(Offsetter.round().band(new Path(List.copyOf(chain)), radius));
        }
        walls.forEach(w -> swaths.addAll(Offsetter.round().band(new Path(w.segments()), radius)));
        List<Region> reached = Offsetter.round().offset(centres, radius);
        return Reach.area(
                Overlay.difference(reached, Overlay.union(swaths)).stream()
                        .filter(r -> r.area() > LEAST)
                        .toList());
    }
}
