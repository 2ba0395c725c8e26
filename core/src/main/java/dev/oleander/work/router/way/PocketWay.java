package dev.oleander.work.router.way;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.enclose.LargestCircle;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.pocket.Rings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The way of a tool that clears a pocket by rounds at equal distances from its walls, the innermost
 * first, and goes aside through what they leave between them.
 */
public final class PocketWay implements Clearing {

    /** Times that what is left is gone through before it is told. */
    private static final int TRIES = 4;

    /** mm2 that a piece may have after it was gone through: rounding along its border. */
    private static final double NOTHING = 1e-3;

    private static final double NEAR = 1e-4;

    private final double fills;
    private final Descent down;
    private final boolean anticlockwise;
    private final List<Region> centres;
    private final List<RingTree.Round> walls;
    private final Map<RingTree.Round, List<Aside>> asides = new HashMap<>();
    private final List<Region> gaps;
    private final List<Region> left;

    /**
     * A way aside from a round and back.
     *
     * @param at place on the round
     * @param places to go to in turn
     */
    private record Aside(Point at, List<Point> places) {}

    /**
     * @param allowance mm that is left at the walls
     * @param step from one round to the next, mm, above 0 and at most the diameter
     * @param climb whether the walls lie on the right of the travel
     * @param down how it goes down
     */
    public PocketWay(Reach reach, double allowance, double step, boolean climb, Descent down) {
        this(reach, allowance, step, climb, down, reach.radius());
    }

    /**
     * @param fills see {@link Rings#of(Reach, double, double, double)}
     */
    public PocketWay(
            Reach reach, double allowance, double step, boolean climb, Descent down, double fills) {
        this.fills = fills;
        this.down = down;
        this.anticlockwise = climb;
        Rings rings = Rings.of(reach, allowance, step, fills);
        this.centres = rings.rings().isEmpty() ? List.of() : rings.rings().get(0);
        this.walls = RingTree.of(rings.rings(), climb);
        this.gaps = rings.between();
        this.left = throughAll(gaps);
    }

    @Override
    public List<Region> gaps() {
        return gaps;
    }

    @Override
    public double leftArea() {
        return Reach.area(left);
    }

    private List<Region> throughAll(List<Region> between) {
        List<Region> pieces = between;
        List<Region> done = new ArrayList<>();
        for (int i = 0; i < TRIES && !pieces.isEmpty(); i++) {
            for (Region piece : pieces) {
                goThrough(piece).ifPresent(done::add);
            }
            pieces =
                    Overlay.difference(pieces, Overlay.union(done)).stream()
                            .filter(r -> r.area() > NOTHING)
                            .toList();
        }
        return pieces;
    }

    /** Adds a way aside through a piece; gives what it clears. */
    private Optional<Region> goThrough(Region piece) {
        List<Point> ends = MiddleWalk.ends(piece);
        RingTree.Round nearest = null;
        Point place = null;
        Point begin = null;
        double least = Double.POSITIVE_INFINITY;
        for (RingTree.Round round : all()) {
            for (Point end : ends) {
                Point on = round.contour.nearest(end).point();
                if (on.distance(end) < least) {
                    least = on.distance(end);
                    nearest = round;
                    place = on;
                    begin = end;
                }
            }
        }
        if (nearest == null) {
            return Optional.empty();
        }
        List<Point> walk = MiddleWalk.of(piece, begin);
        asides.computeIfAbsent(nearest, r -> new ArrayList<>()).add(new Aside(place, walk));
        return swath(place, walk);
    }

    private Optional<Region> swath(Point from, List<Point> walk) {
        List<Segment> lines = new ArrayList<>();
        Point at = from;
        for (Point p : walk) {
            if (p.distance(at) > 1e-9) {
                lines.add(new Line(at, p));
                at = p;
            }
        }
        return lines.isEmpty()
                ? Optional.empty()
                : Offsetter.round().band(new Path(lines), fills).stream().findFirst();
    }

    private List<RingTree.Round> all() {
        List<RingTree.Round> all = new ArrayList<>(walls);
        for (int i = 0; i < all.size(); i++) {
            all.addAll(all.get(i).before);
        }
        return all;
    }

    @Override
    public boolean add(ToolWay way, List<Double> levels, double top) {
        double from = top;
        for (double depth : levels) {
            for (RingTree.Round wall : walls) {
                if (!cut(way, wall, from, -depth)) {
                    return false;
                }
                way.leave();
            }
            from = -depth;
        }
        return true;
    }

    private boolean cut(ToolWay way, RingTree.Round round, double from, double to) {
        for (int i = 0; i < round.before.size(); i++) {
            if (!cut(way, round.before.get(i), from, to)) {
                return false;
            }
            if (i < round.before.size() - 1) {
                way.leave();
            }
        }
        Contour contour = round.contour;
        if (round.before.isEmpty()) {
            return begin(way, round, from, to);
        }
        Chain.Station nearest = contour.nearest(way.at());
        way.straightTo(nearest.point(), Leg.Pace.FULL);
        along(way, round, contour.startedAt(nearest));
        return true;
    }

    /** Down onto a round that nothing leads to, and round it. */
    private boolean begin(ToolWay way, RingTree.Round round, double from, double to) {
        Contour contour = round.contour;
        if (down.is(Entry.Kind.HELIX) || down.needsHole()) {
            boolean isDown =
                    down.needsHole() ? intoHole(way, round, from, to) : helix(way, round, from, to);
            if (!isDown) {
                return false;
            }
            contour = contour.startedAt(contour.nearest(way.at()));
            way.straightTo(contour.start(), Leg.Pace.FULL);
            along(way, round, contour);
            return true;
        }
        way.comeTo(contour.start(), from);
        // the rounds down end with a level one, but asides are gone from one of its own
        boolean isDown = down.onto(way, contour, from, to);
        if (isDown && asides.containsKey(round)) {
            along(way, round, contour);
        }
        return isDown;
    }

    /** Into the nearest hole from which it can go straight to the round. */
    private boolean intoHole(ToolWay way, RingTree.Round round, double from, double to) {
        Optional<Point> hole =
                down.holes().stream()
                        .map(Descent.Hole::centre)
                        .filter(c -> centres.stream().anyMatch(r -> isFree(r, c, round)))
                        .min(
                                Comparator.comparingDouble(
                                        c -> round.contour.nearest(c).point().distance(c)));
        hole.ifPresent(
                at -> {
                    way.comeTo(at, from);
                    way.upright(to, Leg.Pace.PLUNGE);
                });
        return hole.isPresent();
    }

    private static boolean isFree(Region where, Point from, RingTree.Round round) {
        return where.contains(from) && isFree(where, from, round.contour.nearest(from).point());
    }

    /** Where there is most room beside an innermost round, or on it. */
    private boolean helix(ToolWay way, RingTree.Round round, double from, double to) {
        Point widest = LargestCircle.within(round.ring).centre();
        Point on = round.contour.nearest(widest).point();
        Point middle = isFree(round.ring, widest, on) ? widest : round.contour.start();
        double room = Double.POSITIVE_INFINITY;
        for (Region region : centres) {
            for (Contour wall : region.contours()) {
                room = Math.min(room, wall.nearest(middle).point().distance(middle));
            }
        }
        return down.helix(way, middle, room, anticlockwise, from, to).isPresent();
    }

    /** Whether a straight way to a place of the border stays within. */
    private static boolean isFree(Region ring, Point from, Point to) {
        if (from.distance(to) < NEAR) {
            return true;
        }
        Line way = new Line(from, to.plus(from.minus(to).unit().times(NEAR)));
        return ring.contours().stream()
                .flatMap(c -> c.segments().stream())
                .allMatch(s -> Intersections.of(way, s, NEAR / 2).isEmpty());
    }

    private void along(ToolWay way, RingTree.Round round, Contour contour) {
        List<Aside> own =
                asides.getOrDefault(round, List.of()).stream()
                        .sorted(Comparator.comparingDouble(a -> distance(contour, a.at())))
                        .toList();
        double done = 0;
        for (Aside aside : own) {
            double at = distance(contour, aside.at());
            way.along(stretch(contour, done, at));
            done = Math.max(done, at);
            Point back = way.at();
            aside.places().forEach(way::straightTo);
            way.straightTo(back);
        }
        way.along(stretch(contour, done, contour.length()));
    }

    private static double distance(Contour contour, Point p) {
        return contour.distanceAt(contour.nearest(p));
    }

    /** Segments between two distances along a contour. */
    private static List<Segment> stretch(Contour contour, double from, double to) {
        List<Segment> all = new ArrayList<>();
        double before = 0;
        for (Segment segment : contour.segments()) {
            double length = segment.length();
            double first = Math.max(0, (from - before) / length);
            double last = Math.min(1, (to - before) / length);
            if (last - first > 1e-12) {
                all.add(first == 0 && last == 1 ? segment : segment.between(first, last));
            }
            before += length;
        }
        return all;
    }
}
