package dev.oleander.work.router.pocket;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.axis.AxisPoint;
import dev.oleander.geometry.enclose.LargestCircle;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Discs along the middle axis of where a tool may be, from the largest on along all branches, each
 * so far from the one before that a tool that goes round it is never more in the work than it may
 * be (G. Elber, E. Cohen, S. Drake, MATHSM: medial axis transform toward high speed machining of
 * pockets, CAD 37, 2005). What the tool reaches from a disc and those before it is gone without a
 * core, so what the next one takes is a crescent.
 */
public final class DiscWalk {

    /** mm that a corner lies beyond a disc when the way along the walls may take it. */
    private static final double CLOSE = 5e-3;

    /** Share of the tool's radius; in narrower places it goes straight on, as wide as it is. */
    private static final double NARROW = 0.02;

    /** Share of the step that ridges between discs at the walls may be high. */
    private static final double RIDGE = 0.25;

    private static final double PLACES = 8;
    private static final int HALVINGS = 14;
    private static final double LEAST = 1e-9;

    private final Engagement tool;
    private final double most;
    private final double ridge;
    private final List<Step> steps = new ArrayList<>();
    private final Set<Integer> gone = new HashSet<>();
    private final Deque<Begin> open = new ArrayDeque<>();

    /**
     * A disc and how the tool comes to it.
     *
     * @param arcs of its border that lie outside all discs before: from and sweep, radians,
     *     anticlockwise
     * @param before number of the disc from which it comes; -1: it is the first
     * @param straight places that the tool goes straight through to the middle of the disc, as wide
     *     as it is; none: it comes round
     */
    public record Step(Disc disc, List<double[]> arcs, int before, List<Point> straight) {}

    /** A branch to be gone along from a disc. */
    private record Begin(AxisGraph.Way way, double u, int disc) {}

    private DiscWalk(Engagement tool, double most, double ridge) {
        this.tool = tool;
        this.most = most;
        this.ridge = ridge;
    }

    /**
     * @param centres where the axis of the tool may be
     * @param radius of the tool, mm
     * @param step mm that it may be in the work on a straight way
     * @return the largest disc first
     */
    public static List<Step> of(Region centres, double radius, double step) {
        Engagement tool = new Engagement(radius);
        DiscWalk walk = new DiscWalk(tool, tool.straight(step), RIDGE * step);
        walk.go(centres);
        return List.copyOf(walk.steps);
    }

    private void go(Region centres) {
        AxisGraph graph = AxisGraph.of(centres);
        if (graph.all().isEmpty()) {
            // of a circle the axis is one place
            LargestCircle circle = LargestCircle.within(centres);
            put(new Disc(circle.centre(), circle.radius()), -1, List.of());
            return;
        }
        Begin first = widest(graph);
        while (first != null) {
            from(graph, first);
            first = widest(graph);
        }
    }

    private void from(AxisGraph graph, Begin first) {
        int disc = put(disc(first.way().at(first.u())), -1, List.of());
        gone.add(first.way().number());
        open.push(new Begin(first.way(), first.u(), disc));
        open.push(new Begin(first.way().reversed(), 1 - first.u(), disc));
        while (!open.isEmpty()) {
            Begin next = open.pop();
            boolean goesOn = graph.from(next.way().to()).stream().anyMatch(this::isOpen);
            int end = along(next, goesOn);
            if (end >= 0) {
                branch(graph, next.way().to(), end);
            }
        }
    }

    /** The widest place that nothing led to yet; null when what is left is no place to begin. */
    private Begin widest(AxisGraph graph) {
        Begin best = null;
        double most = steps.isEmpty() ? 0 : NARROW * tool.radius();
        for (AxisGraph.Way way : graph.all()) {
            for (int i = 0; i <= PLACES && !gone.contains(way.number()); i++) {
                double u = i / PLACES;
                double radius = way.at(u).radius();
                if (radius > most + LEAST) {
                    most = radius;
                    best = new Begin(way, u, 0);
                }
            }
        }
        return best;
    }

    private boolean isOpen(AxisGraph.Way way) {
        return !gone.contains(way.number());
    }

    /** Goes on along what begins at a place: short ends into corners first. */
    private void branch(AxisGraph graph, AxisGraph.Node at, int disc) {
        graph.from(at).stream()
                .filter(way -> gone.add(way.number()))
                .sorted(Comparator.comparingDouble(way -> -way.at(1).radius()))
                .forEach(way -> open.push(new Begin(way, 0, disc)));
    }

    private static Disc disc(AxisPoint at) {
        return new Disc(new Point(at.x(), at.y()), at.radius());
    }

    // ---- along a branch

    /**
     * Number of the disc from which what begins at its end goes on; -1 when it ends in a corner.
     *
     * @param goesOn whether anything does, so that there need not be a disc at the end itself
     */
    private int along(Begin begin, boolean goesOn) {
        AxisGraph.Way way = begin.way();
        Disc end = disc(way.at(1));
        boolean corner = end.radius() < CLOSE;
        double u = begin.u();
        int at = begin.disc();
        while (u < 1) {
            Disc now = steps.get(at).disc();
            double beyond = now.centre().distance(end.centre()) + end.radius() - now.radius();
            if (beyond < CLOSE || isLeftToWalls(now, beyond)) {
                return corner ? -1 : at;
            }
            if (now.radius() < NARROW * tool.radius() && !corner) {
                double wide = wider(way, u);
                at = put(disc(way.at(wide)), at, straight(way, u, wide));
                u = wide;
                continue;
            }
            double next = farthest(way, u, now);
            if (next <= u) {
                return -1;
            }
            u = next;
            if (u < 1 || !goesOn) {
                at = put(disc(way.at(u)), at, List.of());
            }
        }
        return at;
    }

    /**
     * Whether a way along the walls may take what lies beyond a disc: into a corner it is in the
     * work on both sides.
     */
    private boolean isLeftToWalls(Disc now, double beyond) {
        return beyond <= ridge && 2 * tool.round(now.radius(), now.radius() + beyond) <= most;
    }

    /** Where there is room to go round again, or the end of the branch. */
    private double wider(AxisGraph.Way way, double from) {
        for (int i = 1; i < PLACES; i++) {
            double u = from + (1 - from) * i / PLACES;
            if (way.at(u).radius() >= 2 * NARROW * tool.radius()) {
                return u;
            }
        }
        return 1;
    }

    private static List<Point> straight(AxisGraph.Way way, double from, double to) {
        List<Point> points = new ArrayList<>();
        for (int i = 1; i <= PLACES; i++) {
            points.add(disc(way.at(from + (to - from) * i / PLACES)).centre());
        }
        return points;
    }

    /** The farthest place along a branch whose disc may follow: by growing tries, then halving. */
    private double farthest(AxisGraph.Way way, double from, Disc now) {
        double can = from;
        double cannot = 1;
        double step = (1 - from) / 64;
        while (can < 1) {
            double tried = Math.min(1, can + step);
            if (!follows(now, disc(way.at(tried)))) {
                cannot = tried;
                break;
            }
            can = tried;
            step *= 1.5;
        }
        for (int i = 0; i < HALVINGS && can < 1; i++) {
            double middle = (can + cannot) / 2;
            if (follows(now, disc(way.at(middle)))) {
                can = middle;
            } else {
                cannot = middle;
            }
        }
        return can;
    }

    private boolean follows(Disc now, Disc next) {
        if (now.holds(next)) {
            return true;
        }
        double apart = now.centre().distance(next.centre());
        double least = Math.min(now.radius(), next.radius()) + tool.radius();
        return apart < Math.min(tool.radius(), now.radius() + next.radius())
                && apart * apart / 8 / least <= ridge
                && tool.peak(now, next) <= most;
    }

    private int put(Disc disc, int before, List<Point> straight) {
        steps.add(new Step(disc, outside(disc, before), before, straight));
        return steps.size() - 1;
    }

    // ---- what of a circle is left

    /**
     * Parts of a disc's border outside all discs so far; all of it begins where it touches the one
     * before from outside.
     */
    private List<double[]> outside(Disc disc, int before) {
        List<double[]> covered = new ArrayList<>();
        for (Step step : steps) {
            Disc other = step.disc();
            double r = disc.radius();
            double dx = other.centre().x() - disc.centre().x();
            double dy = other.centre().y() - disc.centre().y();
            double far = r + other.radius();
            if (dx * dx + dy * dy >= far * far) {
                continue;
            }
            if (other.holds(disc)) {
                return List.of();
            }
            double apart = Math.hypot(dx, dy);
            if (apart + other.radius() <= r) {
                continue;
            }
            double cos =
                    (apart * apart + r * r - other.radius() * other.radius()) / (2 * apart * r);
            double half = Math.acos(Math.max(-1, Math.min(1, cos)));
            double middle = other.centre().minus(disc.centre()).angle();
            covered.add(new double[] {middle - half, 2 * half});
        }
        if (covered.isEmpty() && before >= 0) {
            Point there = steps.get(before).disc().centre();
            return List.of(new double[] {there.minus(disc.centre()).angle(), 2 * Math.PI});
        }
        return Turned.without(covered, CLOSE / 10 / disc.radius());
    }
}
