package dev.oleander.work.router.way;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.List;
import java.util.Optional;

/**
 * A move of a tool: along a segment, or straight up and down.
 *
 * @param segment its way seen from above; empty: it stays over one place
 * @param from where it begins
 * @param to where it ends
 * @param fromZ height of the tip there, mm above the top of the stock
 * @param toZ height at the end; between them it changes evenly along the way
 */
public record Leg(
        Optional<Segment> segment, Point from, Point to, double fromZ, double toZ, Pace pace) {

    /** How fast a tool goes, by what it does. */
    public enum Pace {
        /** through the air */
        RAPID,
        /** straight down */
        PLUNGE,
        /** down along a way */
        RAMP,
        CUT,
        /** as wide as the tool is, where it is planned for less */
        FULL,
        /** at depth through what is gone */
        LINK,
        /** by another drill of a bank, at the same time as the one before */
        BESIDE
    }

    /** Along a segment. */
    public static Leg along(Segment segment, double fromZ, double toZ, Pace pace) {
        return new Leg(Optional.of(segment), segment.start(), segment.end(), fromZ, toZ, pace);
    }

    /** At one place. */
    public static Leg upright(Point at, double fromZ, double toZ, Pace pace) {
        return new Leg(Optional.empty(), at, at, fromZ, toZ, pace);
    }

    /** Straight through the air at one height. */
    public static Leg travel(Point from, Point to, double z) {
        return along(new Line(from, to), z, z, Pace.RAPID);
    }

    /** Carried to another place in the plane. */
    public Leg transformed(Transform to) {
        return segment.map(
                        s ->
                                along(
                                        new Path(List.of(s)).transformed(to).segments().get(0),
                                        fromZ,
                                        toZ,
                                        pace))
                .orElseGet(() -> upright(to.apply(from), fromZ, toZ, pace));
    }

    /** A straight part of it, by shares of its rise from 0 to 1. */
    public Leg straight(Point start, Point end, double first, double last) {
        double rise = toZ - fromZ;
        return along(new Line(start, end), fromZ + first * rise, fromZ + last * rise, pace);
    }

    /** A part of it, by shares of its way from 0 to 1. */
    public Leg between(double first, double last) {
        double rise = toZ - fromZ;
        return along(
                segment.orElseThrow().between(first, last),
                fromZ + first * rise,
                fromZ + last * rise,
                pace);
    }

    /** Length in space, mm. */
    public double length() {
        return Math.hypot(segment.map(Segment::length).orElse(0.0), toZ - fromZ);
    }

    public double lowest() {
        return Math.min(fromZ, toZ);
    }

    public boolean cuts() {
        return pace != Pace.RAPID;
    }
}
