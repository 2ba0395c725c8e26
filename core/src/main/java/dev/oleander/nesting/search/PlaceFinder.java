package dev.oleander.nesting.search;

import java.util.List;
import java.util.SplittableRandom;

/**
 * Finds where an item overlaps least: samples over the rooms, near its place, and corner on corner
 * of others; the best of them descend.
 */
final class PlaceFinder {

    /** How far "near its place" is, of the diameter of a part. */
    private static final double NEAR = 0.3;

    /** Steps at which a descent ends, as shares of the least width. */
    private static final double COARSE = 0.01;

    private static final double FINE = 1e-3;

    /** Others that are looked at for one with an edge of the same length. */
    private static final int PARTNERS = 8;

    private final Scene scene;
    private final SplittableRandom random;
    private final int[] candidates;
    private final Shortlist found = new Shortlist();
    private final Descent descent;

    PlaceFinder(Scene scene, SplittableRandom random) {
        this.scene = scene;
        this.random = random;
        this.candidates = new int[scene.size()];
        this.descent = new Descent(scene, random);
    }

    /** How many samples of each sort. */
    record Samples(int over, int near, int corners) {}

    /**
     * Moves an item to the best place that is found, if that is better than where it lies.
     *
     * @return whether it moved
     */
    boolean improve(int item, Samples samples) {
        double before = scene.weightedOverlap(item);
        search(item, samples, before);
        for (int k = 0; k < found.size() && !found.isFree(); k++) {
            descent.run(item, found, k, COARSE);
        }
        if (found.size() == 0) {
            return false;
        }
        int best = found.best();
        descent.run(item, found, best, FINE);
        if (found.cost[best] >= before) {
            return false;
        }
        scene.put(item, found.way[best], found.x[best], found.y[best], found.room[best]);
        return true;
    }

    private void search(int item, Samples samples, double before) {
        found.clear();
        if (scene.room[item] != Scene.NONE
                && scene.within(scene.way[item], scene.x[item], scene.y[item], scene.room[item])) {
            found.add(scene.way[item], scene.x[item], scene.y[item], scene.room[item], before);
        }
        for (int s = 0; s < samples.near && !found.isFree(); s++) {
            near(item);
        }
        for (int s = 0; s < samples.corners && !found.isFree(); s++) {
            corner(item);
        }
        for (int s = 0; s < samples.over && !found.isFree(); s++) {
            anywhere(item);
        }
    }

    /** A room by area, among all of them. */
    private int randomRoom() {
        if (scene.rooms.length == 1) {
            return 0;
        }
        double sum = 0;
        for (int r = 0; r < scene.rooms.length; r++) {
            sum += openArea(r);
        }
        double at = random.nextDouble() * sum;
        for (int r = 0; r < scene.rooms.length; r++) {
            at -= openArea(r);
            if (at < 0) {
                return r;
            }
        }
        return scene.rooms.length - 1;
    }

    private double openArea(int r) {
        return Math.max(0, scene.frontX[r] - scene.rooms[r].x0)
                * Math.max(0, scene.frontY[r] - scene.rooms[r].y0);
    }

    private void anywhere(int item) {
        int r = randomRoom();
        Turned way = scene.items[item].randomWay(grain(r), random);
        if (!scene.fits(way, r)) {
            return;
        }
        Room room = scene.rooms[r];
        double px = between(room.x0 - way.minX, scene.frontX[r] - way.maxX);
        double py = between(room.y0 - way.minY, scene.frontY[r] - way.maxY);
        look(item, way, px, py, r);
    }

    private double grain(int r) {
        return scene.rooms[r].grain;
    }

    private double between(double low, double high) {
        return high > low ? low + random.nextDouble() * (high - low) : low;
    }

    /** A little shifted, and a little turned or the other way round. */
    private void near(int item) {
        int r = scene.room[item];
        if (r == Scene.NONE) {
            anywhere(item);
            return;
        }
        Kind kind = scene.items[item];
        Turned now = scene.way[item];
        Turned way = now;
        if (kind.anyTurn()) {
            double turn = random.nextInt(3) == 0 ? 0 : gauss() * 20;
            way = turn == 0 ? now : new Turned(kind.body, now.degrees + turn, now.mirrored);
        } else if (random.nextInt(3) == 0) {
            way = kind.randomWay(grain(r), random);
        }
        double reach = NEAR * kind.body.diameter;
        // Turned about its middle, not about the origin of its drawing.
        var before = Kind.middle(now);
        var after = Kind.middle(way);
        double px = scene.x[item] + before.x() - after.x() + gauss() * reach;
        double py = scene.y[item] + before.y() - after.y() + gauss() * reach;
        clamped(item, way, px, py, r);
    }

    /** About -1 to 1, most often near 0. */
    private double gauss() {
        return (random.nextDouble() + random.nextDouble() + random.nextDouble()) * 2 / 3 - 1;
    }

    private void clamped(int item, Turned way, double px, double py, int r) {
        if (!scene.fits(way, r)) {
            return;
        }
        double cx = Scene.clamp(px, scene.rooms[r].x0 - way.minX, scene.frontX[r] - way.maxX);
        double cy = Scene.clamp(py, scene.rooms[r].y0 - way.minY, scene.frontY[r] - way.maxY);
        look(item, way, cx, cy, r);
    }

    /** A corner of the item on a corner of another one, of an obstacle or of the room. */
    private void corner(int item) {
        int r = randomRoom();
        int others = 0;
        for (int j = 0; j < scene.size(); j++) {
            if (j != item && scene.room[j] == r) {
                candidates[others++] = j;
            }
        }
        int obstacles = scene.rooms[r].obstacles.size();
        int pick = random.nextInt(others + obstacles + 1);
        if (pick < others) {
            int j = partner(item, pick, others);
            if (random.nextInt(3) == 0 && inHollow(item, r, j)) {
                return;
            }
            onCorner(item, r, scene.way[j], scene.x[j], scene.y[j]);
        } else if (pick < others + obstacles) {
            Room room = scene.rooms[r];
            int k = pick - others;
            onCorner(item, r, room.obstacles.get(k), room.obstacleX[k], room.obstacleY[k]);
        } else {
            inCorner(item, r);
        }
    }

    /** One of the others, half of the time with an edge that is as long as one of the item. */
    private int partner(int item, int pick, int others) {
        int j = candidates[pick];
        if (random.nextBoolean()) {
            for (int t = 0; t < PARTNERS && !isPartner(item, j); t++) {
                j = candidates[random.nextInt(others)];
            }
        }
        return j;
    }

    private boolean isPartner(int item, int j) {
        return scene.items[item].fitsOn(scene.way[j].body).areWhole();
    }

    /** The middle of the item on the middle of an opening of another one that is wide enough. */
    private boolean inHollow(int item, int r, int other) {
        Kind kind = scene.items[item];
        List<Hollow> hollows = scene.way[other].body.hollows;
        int wide = 0;
        while (wide < hollows.size() && 2 * hollows.get(wide).radius() > kind.body.hullWidth) {
            wide++;
        }
        if (wide == 0) {
            return false;
        }
        Hollow in = hollows.get(random.nextInt(wide));
        Turned way = kind.randomWay(grain(r), random);
        Turned round = scene.way[other];
        double px = scene.x[other] + round.x(in.x(), in.y());
        double py = scene.y[other] + round.y(in.x(), in.y());
        px -= way.x(kind.body.centre.x(), kind.body.centre.y());
        py -= way.y(kind.body.centre.x(), kind.body.centre.y());
        if (scene.within(way, px, py, r)) {
            look(item, way, px, py, r);
        }
        return true;
    }

    private void onCorner(int item, int r, Turned other, double ox, double oy) {
        List<Anchor> theirs = other.body.anchors;
        List<Anchor> own = scene.items[item].body.anchors;
        if (theirs.isEmpty() || own.isEmpty()) {
            anywhere(item);
            return;
        }
        if (random.nextInt(4) > 0 && alongEdges(item, r, other, ox, oy)) {
            return;
        }
        Anchor on = theirs.get(random.nextInt(theirs.size()));
        Anchor mine = own.get(random.nextInt(own.size()));
        boolean first = random.nextBoolean();
        Turned way = scene.items[item].randomWay(grain(r), random);
        if (scene.items[item].anyTurn()) {
            // Edge along edge: the one that leaves their corner against the one that comes to ours.
            double to = other.direction(first ? on.out() : on.in()) + Math.PI;
            double from = first ? mine.in() : mine.out();
            way = along(item, way.mirrored, from, to);
        }
        double px = ox + other.x(on.x(), on.y()) - way.x(mine.x(), mine.y());
        double py = oy + other.y(on.x(), on.y()) - way.y(mine.x(), mine.y());
        if (scene.within(way, px, py, r)) {
            look(item, way, px, py, r);
        } else {
            clamped(item, way, px, py, r);
        }
    }

    /** Corner on corner with edges in line, where the turns of both let that be. */
    private boolean alongEdges(int item, int r, Turned other, double ox, double oy) {
        Kind kind = scene.items[item];
        Fits.Fit fit = kind.fitsOn(other.body).any(random);
        if (fit == null || other.mirrored) {
            return false;
        }
        Turned way = kind.way(grain(r), other.degrees + fit.turn());
        if (way == null) {
            return false;
        }
        Anchor on = fit.on();
        Anchor mine = fit.mine();
        double px = ox + other.x(on.x(), on.y()) - way.x(mine.x(), mine.y());
        double py = oy + other.y(on.x(), on.y()) - way.y(mine.x(), mine.y());
        if (scene.within(way, px, py, r)) {
            look(item, way, px, py, r);
        } else {
            clamped(item, way, px, py, r);
        }
        return true;
    }

    /** Turned so that an edge with one direction gets another. */
    private Turned along(int item, boolean mirrored, double from, double to) {
        double turn = to - (mirrored ? -from : from);
        double degrees = StrictMath.toDegrees(turn) % 360;
        double quarter = Math.rint(degrees / 90) * 90;
        double exact = Math.abs(degrees - quarter) < 1e-9 ? quarter : degrees;
        return new Turned(scene.items[item].body, exact, mirrored);
    }

    private void inCorner(int item, int r) {
        Turned way = scene.items[item].randomWay(grain(r), random);
        if (scene.items[item].anyTurn() && !scene.items[item].body.anchors.isEmpty()) {
            List<Anchor> own = scene.items[item].body.anchors;
            Anchor mine = own.get(random.nextInt(own.size()));
            way = along(item, way.mirrored, mine.out(), random.nextInt(4) * Math.PI / 2);
        }
        boolean right = random.nextBoolean();
        boolean up = random.nextBoolean();
        Room room = scene.rooms[r];
        double px = right ? scene.frontX[r] - way.maxX : room.x0 - way.minX;
        double py = up ? scene.frontY[r] - way.maxY : room.y0 - way.minY;
        if (random.nextBoolean()) {
            if (random.nextBoolean()) {
                px = between(room.x0 - way.minX, scene.frontX[r] - way.maxX);
            } else {
                py = between(room.y0 - way.minY, scene.frontY[r] - way.maxY);
            }
        }
        clamped(item, way, px, py, r);
    }

    private void look(int item, Turned way, double px, double py, int r) {
        double enough = found.enough();
        double cost = scene.cost(item, way, px, py, r, enough);
        if (cost < enough) {
            found.add(way, px, py, r, cost);
        }
    }
}
