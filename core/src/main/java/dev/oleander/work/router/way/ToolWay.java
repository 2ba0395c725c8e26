package dev.oleander.work.router.way;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.way.Leg.Pace;
import java.util.ArrayList;
import java.util.List;

/** The way of a tool while it is made: leg after leg, each from where the one before ends. */
public final class ToolWay {

    /** mm; shorter legs are none. */
    private static final double NOTHING = 1e-9;

    private final Heights heights;
    private final List<Leg> legs = new ArrayList<>();
    private Point at;
    private double z;

    /**
     * Heights of the tip over the stock, mm.
     *
     * @param clearance over all clamps
     * @param retract between cuts
     * @param feedHeight over what is left there, from where the feed begins
     */
    public record Heights(double clearance, double retract, double feedHeight) {

        public static final Heights USUAL = new Heights(40, 8, 2);
    }

    public ToolWay(Heights heights) {
        this.heights = heights;
    }

    public List<Leg> legs() {
        return List.copyOf(legs);
    }

    public boolean isEmpty() {
        return legs.isEmpty();
    }

    public Point at() {
        return at;
    }

    public double z() {
        return z;
    }

    /**
     * Goes through the air to above a place, and on to where the feed begins.
     *
     * @param over height of what is left there, mm
     */
    public void comeTo(Point place, double over) {
        double begin = over + heights.feedHeight();
        if (at == null) {
            at = place;
            z = heights.retract();
        }
        boolean there = at.distance(place) < NOTHING;
        if (!there) {
            upright(heights.retract(), Pace.RAPID);
            legs.add(Leg.travel(at, place, z));
            at = place;
        }
        if (z > begin) {
            upright(begin, Pace.RAPID);
        }
    }

    /** Straight up or down, to a height. */
    public void upright(double to, Pace pace) {
        if (Math.abs(to - z) > NOTHING) {
            legs.add(Leg.upright(at, z, to, pace));
            z = to;
        }
    }

    /** Up to where nothing is in the way. */
    public void leave() {
        if (at != null) {
            upright(heights.retract(), Pace.RAPID);
        }
    }

    /** Straight to a place at the height where it is. */
    public void straightTo(Point place) {
        straightTo(place, Pace.CUT);
    }

    /** The same, as fast as is said. */
    public void straightTo(Point place, Pace pace) {
        if (at.distance(place) > NOTHING) {
            legs.add(Leg.along(new Line(at, place), z, z, pace));
            at = place;
        }
    }

    /** Along segments at the height where it is; they begin where it is. */
    public void along(List<Segment> segments) {
        along(segments, Pace.CUT);
    }

    /** The same, as fast as is said. */
    public void along(List<Segment> segments, Pace pace) {
        double length = segments.stream().mapToDouble(Segment::length).sum();
        along(segments, HeightLine.level(z, length), pace);
    }

    /**
     * Along segments at heights of their own.
     *
     * @param segments joined end to start; they begin where the tool is
     */
    public void along(List<Segment> segments, HeightLine line) {
        along(segments, line, Pace.CUT);
    }

    /**
     * The same.
     *
     * @param pace where it does not go down
     */
    public void along(List<Segment> segments, HeightLine line, Pace pace) {
        double before = 0;
        for (Segment segment : segments) {
            double length = segment.length();
            List<Double> knots = line.knots(before, before + length);
            for (int i = 1; i < knots.size(); i++) {
                double from = Math.max(0, (knots.get(i - 1) - before) / length);
                double to = Math.min(1, (knots.get(i) - before) / length);
                if (knots.get(i) - knots.get(i - 1) > NOTHING) {
                    Segment part = from == 0 && to == 1 ? segment : segment.between(from, to);
                    piece(joined(part), line.at(knots.get(i - 1)), line.at(knots.get(i)), pace);
                }
            }
            before += length;
        }
    }

    /** Pieces of a segment begin exactly where the tool is. */
    private Segment joined(Segment part) {
        return part.start().equals(at) ? part : part.withEnds(at, part.end());
    }

    private void piece(Segment part, double from, double to, Pace level) {
        upright(from, Pace.PLUNGE);
        legs.add(Leg.along(part, from, to, to < from - NOTHING ? Pace.RAMP : level));
        at = part.end();
        z = to;
    }
}
