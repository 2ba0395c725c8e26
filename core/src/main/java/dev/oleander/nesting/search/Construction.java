package dev.oleander.nesting.search;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * Lays items one after the other where they are free and the front moves least: a nest to begin
 * with, soon.
 */
final class Construction {

    /** How much less height counts than the way along the packing direction. */
    private static final double ACROSS = 0.05;

    /** mm to which a part is slid to its neighbours. */
    private static final double CLOSE = 0.02;

    /** mm by which flattened edges of both may lie off. */
    private static final double FLAT = 2 * Body.FLATNESS;

    private static final int SLIDES = 6;

    private static final int SIDES = 16;
    private static final int OPENING_TRIES = 24;

    private final Scene scene;
    private final SplittableRandom random;
    private final Pulse pulse;
    private final int tries;

    /** Rooms that were too full for a kind; none while anything may be taken away again. */
    private final Map<Kind, BitSet> refused = new HashMap<>();

    private double best;
    private Turned bestWay;
    private double bestX;
    private double bestY;

    /**
     * @param tries places that are looked at for each item and room
     */
    Construction(Scene scene, SplittableRandom random, Pulse pulse, int tries) {
        this.scene = scene;
        this.random = random;
        this.pulse = pulse;
        this.tries = tries;
    }

    /**
     * Lays an item into the first of some rooms where it finds place.
     *
     * @return whether it did
     */
    boolean lay(int item, int... rooms) {
        if (layInOpening(item)) {
            return true;
        }
        for (int r : rooms) {
            if (layIn(item, r)) {
                return true;
            }
        }
        return false;
    }

    /**
     * Lays all that lies nowhere yet, one after the other; a room that has refused a kind once is
     * not tried with it again, as it only gets fuller.
     *
     * @return how many find no place
     */
    int layAll(int... rooms) {
        int missing = 0;
        for (int i = 0; i < scene.size(); i++) {
            boolean lies = scene.room[i] != Scene.NONE || layOnce(i, rooms);
            missing += lies ? 0 : 1;
        }
        return missing;
    }

    private boolean layOnce(int item, int... rooms) {
        if (layInOpening(item)) {
            return true;
        }
        BitSet full = refused.computeIfAbsent(scene.items[item], kind -> new BitSet());
        for (int r : rooms) {
            if (!full.get(r) && layIn(item, r)) {
                return true;
            }
            full.set(r);
        }
        return false;
    }

    /** Into the smallest opening of what lies already that holds it. */
    private boolean layInOpening(int item) {
        Kind kind = scene.items[item];
        List<Opening> wide = new ArrayList<>();
        for (int j = 0; j < scene.size(); j++) {
            if (scene.room[j] != Scene.NONE && j != item) {
                for (Hollow hollow : scene.way[j].body.hollows) {
                    if (2 * hollow.radius() > kind.body.hullWidth) {
                        wide.add(new Opening(j, hollow));
                    }
                }
            }
        }
        wide.sort(Comparator.comparingDouble(o -> o.hollow.radius()));
        for (Opening opening : wide) {
            for (int t = 0; t < OPENING_TRIES; t++) {
                scene.pairs.placeTried();
                pulse.beat();
                if (triedIn(opening, item, t)) {
                    return true;
                }
            }
        }
        return false;
    }

    private record Opening(int of, Hollow hollow) {}

    private boolean triedIn(Opening opening, int item, int t) {
        Kind kind = scene.items[item];
        int r = scene.room[opening.of];
        Turned round = scene.way[opening.of];
        Turned way = way(item, r, t);
        Hollow hollow = opening.hollow;
        double px = scene.x[opening.of] + round.x(hollow.x(), hollow.y());
        double py = scene.y[opening.of] + round.y(hollow.x(), hollow.y());
        px -= way.x(kind.body.centre.x(), kind.body.centre.y());
        py -= way.y(kind.body.centre.x(), kind.body.centre.y());
        // At its side first: another one may find place beside it.
        double room = hollow.radius() - kind.body.reach;
        if (room > 0 && t < SIDES) {
            double side = Math.PI + 2 * Math.PI * t / SIDES;
            px += StrictMath.cos(side) * Math.max(0, room - FLAT);
            py += StrictMath.sin(side) * Math.max(0, room - FLAT);
        } else if (t > SIDES) {
            double most = Math.max(0, hollow.radius() - kind.body.hullWidth / 2);
            px += (2 * random.nextDouble() - 1) * most;
            py += (2 * random.nextDouble() - 1) * most;
        }
        if (!scene.isFree(item, way, px, py, r)) {
            return false;
        }
        scene.put(item, way, px, py, r);
        return true;
    }

    private boolean layIn(int item, int r) {
        best = Double.POSITIVE_INFINITY;
        int others = 0;
        int[] there = new int[scene.size()];
        for (int j = 0; j < scene.size(); j++) {
            if (scene.room[j] == r) {
                there[others++] = j;
            }
        }
        for (int t = 0; t < tries; t++) {
            scene.pairs.placeTried();
            Turned way = way(item, r, t);
            if (!scene.fits(way, r)) {
                continue;
            }
            look(item, way, r, there, others, t);
            pulse.beat();
        }
        if (bestWay == null || best == Double.POSITIVE_INFINITY) {
            return false;
        }
        slide(item, r);
        scene.put(item, bestWay, bestX, bestY, r);
        return true;
    }

    private Turned way(int item, int r, int t) {
        Kind kind = scene.items[item];
        double grain = scene.rooms[r].grain;
        if (!kind.anyTurn()) {
            Turned[] ways = kind.ways(grain);
            return ways[t % ways.length];
        }
        Turned random = kind.randomWay(grain, this.random);
        // Edges along the sheet are a good beginning.
        List<Anchor> anchors = kind.body.anchors;
        if (t % 3 == 0 || anchors.isEmpty()) {
            return random;
        }
        Anchor along = anchors.get(this.random.nextInt(anchors.size()));
        double quarter = 90 * this.random.nextInt(4);
        double edge = StrictMath.toDegrees(random.mirrored ? -along.out() : along.out());
        return new Turned(kind.body, quarter - edge, random.mirrored);
    }

    private void look(int item, Turned way, int r, int[] there, int others, int t) {
        Room room = scene.rooms[r];
        double lowX = room.x0 - way.minX;
        double lowY = room.y0 - way.minY;
        double highX = scene.frontX[r] - way.maxX;
        double highY = scene.frontY[r] - way.maxY;
        double px;
        double py;
        if (t % 4 == 0 || others == 0 && t % 2 == 0) {
            double sparse = random.nextDouble();
            px = lowX + sparse * sparse * Math.max(0, highX - lowX);
            py = lowY + random.nextDouble() * Math.max(0, highY - lowY);
        } else if (others == 0) {
            px = lowX;
            py = lowY;
        } else {
            int j = there[random.nextInt(others)];
            Turned other = scene.way[j];
            List<Anchor> theirs = other.body.anchors;
            List<Anchor> own = way.body.anchors;
            List<Hollow> hollows = other.body.hollows;
            if (t % 3 == 0 && !hollows.isEmpty()) {
                Hollow in = hollows.get(random.nextInt(hollows.size()));
                px = scene.x[j] + other.x(in.x(), in.y());
                py = scene.y[j] + other.y(in.x(), in.y());
                px -= way.x(way.body.centre.x(), way.body.centre.y());
                py -= way.y(way.body.centre.x(), way.body.centre.y());
            } else if (t % 4 == 1 || theirs.isEmpty() || own.isEmpty()) {
                // Beside it, or above it at the edge.
                boolean beside = random.nextBoolean();
                px =
                        beside
                                ? scene.x[j] + other.maxX - way.minX
                                : scene.x[j] + other.minX - way.minX;
                py =
                        beside
                                ? scene.y[j] + other.minY - way.minY
                                : scene.y[j] + other.maxY - way.minY;
            } else {
                Anchor on = theirs.get(random.nextInt(theirs.size()));
                Anchor mine = own.get(random.nextInt(own.size()));
                px = scene.x[j] + other.x(on.x(), on.y()) - way.x(mine.x(), mine.y());
                py = scene.y[j] + other.y(on.x(), on.y()) - way.y(mine.x(), mine.y());
            }
        }
        double cx = Math.max(lowX, Math.min(highX, px));
        double cy = Math.max(lowY, Math.min(highY, py));
        double measure = measure(way, cx, cy, r);
        if (measure < best && scene.isFree(item, way, cx, cy, r)) {
            best = measure;
            bestWay = way;
            bestX = cx;
            bestY = cy;
        }
    }

    /** How far the front moves, a little also how high the part lies. */
    private double measure(Turned way, double px, double py, int r) {
        Room room = scene.rooms[r];
        double x = way.maxX + px - room.x0;
        double y = way.maxY + py - room.y0;
        double low = way.minX + px - room.x0;
        return room.width() >= room.height()
                ? x + 0.3 * low + ACROSS * y
                : y + 0.3 * (way.minY + py - room.y0) + ACROSS * x;
    }

    /** To the left and down by turns, until it touches. */
    private void slide(int item, int r) {
        for (int s = 0; s < SLIDES; s++) {
            double x = bestX;
            double y = bestY;
            slideBy(item, r, -1, 0);
            slideBy(item, r, 0, -1);
            if (x - bestX + y - bestY < CLOSE) {
                return;
            }
        }
    }

    private void slideBy(int item, int r, int sx, int sy) {
        double step = scene.items[item].body.hullWidth / 2;
        while (step > CLOSE) {
            double px = bestX + sx * step;
            double py = bestY + sy * step;
            if (scene.isFree(item, bestWay, px, py, r)) {
                bestX = px;
                bestY = py;
            } else {
                step /= 2;
            }
        }
    }
}
