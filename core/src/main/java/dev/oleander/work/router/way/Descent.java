package dev.oleander.work.router.way;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.tool.Tool;
import java.util.List;
import java.util.Optional;

/**
 * How a tool goes down, never steeper than it may.
 *
 * @param kind empty: what fits first
 * @param ramp steepest way down, radians
 * @param radius of a helix, mm; empty: as is usual
 * @param dead diameter of the tool's middle that does not cut, mm: no post may stay under it
 * @param tool radius, mm
 * @param holes in which a tool with such a middle can come straight down
 */
public record Descent(
        Optional<Entry.Kind> kind,
        double ramp,
        Optional<Double> radius,
        double dead,
        double tool,
        List<Hole> holes) {

    /** A round hole that is there already. */
    public record Hole(Point centre, double radius) {

        /** Whether a tool comes down in it at a place. */
        public boolean takes(Point place, double tool) {
            return centre.distance(place) <= radius - tool + TOLERANCE;
        }
    }

    /** Share of the tool's radius that a helix has, where there is room for it. */
    private static final double HELIX = 0.9;

    /** Times to and fro; more mean that the way is far too short. */
    private static final int MOST = 400;

    private static final double TOLERANCE = 1e-9;

    /** As steep as a tool may, in the way that fits first. */
    public static Descent of(Tool tool) {
        return new Descent(
                Optional.empty(),
                Math.toRadians(tool.edges().rampAngle()),
                Optional.empty(),
                tool.edges().deadDiameter(),
                tool.diameter() / 2,
                List.of());
    }

    /**
     * In the way that fits first.
     *
     * @param ramp steepest way down, radians
     * @param tool radius, mm
     */
    public static Descent at(double ramp, double tool) {
        return new Descent(Optional.empty(), ramp, Optional.empty(), 0, tool, List.of());
    }

    public Descent withHoles(List<Hole> others) {
        return new Descent(kind, ramp, radius, dead, tool, others);
    }

    /** Whether it comes straight down and cannot cut there. */
    public boolean needsHole() {
        return is(Entry.Kind.PLUNGE) && dead > 0;
    }

    public boolean is(Entry.Kind other) {
        return kind.filter(other::equals).isPresent();
    }

    /**
     * Down onto a closed way and once round it.
     *
     * @param way is at the start of the contour
     * @param from height of what is there, mm
     * @param to height of the level, mm
     * @return whether it can; what was added is not to be used otherwise
     */
    boolean onto(ToolWay way, Contour contour, double from, double to) {
        if (is(Entry.Kind.PLUNGE)) {
            way.upright(to, Leg.Pace.PLUNGE);
        } else if (!is(Entry.Kind.ZIGZAG)) {
            return Rounds.spiral(way, contour, List.of(-to), from, ramp);
        } else if (!toAndFro(way, contour, from, to)) {
            return false;
        }
        way.along(contour.segments(), Leg.Pace.FULL);
        return true;
    }

    /**
     * Down along the beginning of a way and back, so often that it ends where it begins.
     *
     * @param from height from which it goes down, mm
     */
    public boolean toAndFro(ToolWay way, Chain line, double from, double to) {
        return toAndFro(way, line, line.length(), from, to);
    }

    /**
     * The same along some of it.
     *
     * @param room how far it may go along the way, mm
     */
    boolean toAndFro(ToolWay way, Chain line, double room, double from, double to) {
        double drop = from - to;
        double tan = Math.tan(ramp);
        double pairs = Math.max(1, Math.ceil(drop / (2 * room * tan) - TOLERANCE));
        if (!(pairs <= MOST)) {
            return false;
        }
        List<Segment> there = line.beginning(drop / (2 * pairs * tan));
        List<Segment> back = new Path(there).reversed().segments();
        double length = there.stream().mapToDouble(Segment::length).sum();
        way.upright(from, Leg.Pace.PLUNGE);
        double step = drop / (2 * pairs);
        for (int i = 0; i < 2 * pairs; i++) {
            double z = from - i * step;
            List<double[]> slope = List.of(new double[] {0, z}, new double[] {length, z - step});
            way.along(i % 2 == 0 ? there : back, HeightLine.of(slope));
        }
        return true;
    }

    /**
     * Down in a helix, and once round at the level.
     *
     * @param room radius about the middle in which the axis may be, mm
     * @param anticlockwise how it turns; it begins and ends to the right of the middle
     * @return radius of the helix; empty when it cannot
     */
    Optional<Double> helix(
            ToolWay way, Point middle, double room, boolean anticlockwise, double from, double to) {
        double wide = Math.min(room, radius.orElse(HELIX * tool));
        if (wide < dead / 2 || wide < TOLERANCE) {
            return Optional.empty();
        }
        Contour round = round(middle, wide, anticlockwise);
        way.leave();
        way.comeTo(round.start(), from);
        return Rounds.spiral(way, round, List.of(-to), from, ramp)
                ? Optional.of(wide)
                : Optional.empty();
    }

    /** A circle that begins to the right of its middle. */
    static Contour round(Point middle, double radius, boolean anticlockwise) {
        Contour circle = Contour.circle(middle, radius).turning(anticlockwise);
        return circle.startedAt(circle.nearest(middle.plus(new Point(radius, 0))));
    }
}
