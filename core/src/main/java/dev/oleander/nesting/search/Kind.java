package dev.oleander.nesting.search;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.OrderLine;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/** A line as the search sees it: its body, and the ways in which it may lie. */
final class Kind {

    final OrderLine line;
    final Body body;

    /** mm by which the body is larger than the part. */
    final double half;

    /** By other body: corners on corners with edges in line. */
    private final Map<Body, Fits> fits = new ConcurrentHashMap<>();

    /** By grain of the sheet: every way with a step between turns; not for any turn. */
    private final Map<Double, Turned[]> ways = new HashMap<>();

    Kind(OrderLine line, Body body, double half, Iterable<Double> grains) {
        this.line = line;
        this.body = body;
        this.half = half;
        if (!line.turns().isAny()) {
            grains.forEach(g -> ways.computeIfAbsent(g, this::waysAt));
        }
    }

    private Turned[] waysAt(double grain) {
        AllowedTurns turns = line.turns();
        int sides = line.mirror() ? 2 : 1;
        Turned[] all = new Turned[sides * turns.count()];
        for (int i = 0; i < all.length; i++) {
            double degrees = (grain + i / sides * turns.step()) % 360;
            all[i] = new Turned(body, degrees, i % sides == 1);
        }
        return all;
    }

    boolean anyTurn() {
        return line.turns().isAny();
    }

    /** Every way on a sheet with a grain. */
    Turned[] ways(double grain) {
        return ways.get(grain);
    }

    /** How it lies along the edges of another body. */
    Fits fitsOn(Body other) {
        return fits.computeIfAbsent(
                other, o -> Fits.of(body, o, anyTurn() ? 0 : Math.min(90, line.turns().step())));
    }

    /** The way that is turned so far; null where it may not lie so. */
    Turned way(double grain, double degrees) {
        if (anyTurn()) {
            return new Turned(body, degrees % 360, false);
        }
        for (Turned way : ways(grain)) {
            double off = Math.abs(way.degrees - degrees) % 360;
            if (!way.mirrored && Math.min(off, 360 - off) <= Fits.PARALLEL) {
                return way;
            }
        }
        return null;
    }

    Turned randomWay(double grain, SplittableRandom random) {
        if (anyTurn()) {
            boolean mirrored = line.mirror() && random.nextBoolean();
            return new Turned(body, random.nextDouble(360), mirrored);
        }
        Turned[] all = ways.get(grain);
        return all[random.nextInt(all.length)];
    }

    /** Whether it has room on an empty sheet in one of the ways in which it may lie. */
    boolean fits(Room room) {
        return anyTurn()
                ? fitsTurned(room)
                : Arrays.stream(ways(room.grain)).anyMatch(way -> isWithin(way, room));
    }

    /** Whether it has room on an empty sheet however it is turned; by whole degrees. */
    boolean fitsTurned(Room room) {
        return IntStream.range(0, 180)
                .mapToObj(degrees -> new Turned(body, degrees, false))
                .anyMatch(way -> isWithin(way, room));
    }

    private static boolean isWithin(Turned way, Room room) {
        return way.width() <= room.width() + Scene.EDGE
                && way.height() <= room.height() + Scene.EDGE;
    }

    /** The middle of the body, where a way lies at the origin. */
    static Point middle(Turned way) {
        Point m = way.body.middle;
        return new Point(way.x(m.x(), m.y()), way.y(m.x(), m.y()));
    }
}
