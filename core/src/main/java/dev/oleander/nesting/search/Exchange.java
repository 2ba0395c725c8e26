package dev.oleander.nesting.search;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/** Two different large parts change places; what lies in the hollows of one goes with it. */
final class Exchange {

    private static final int TRIES = 20;
    private static final int TURNS = 30;

    private final Scene scene;
    private final SplittableRandom random;

    Exchange(Scene scene, SplittableRandom random) {
        this.scene = scene;
        this.random = random;
    }

    void run() {
        if (scene.size() < 2) {
            return;
        }
        int first = large();
        int second = otherThan(first);
        Place a = new Place(first);
        Place b = new Place(second);
        List<Integer> withFirst = within(first, second);
        List<Integer> withSecond = within(second, first);
        withSecond.removeAll(withFirst);
        centre(first, b);
        centre(second, a);
        withFirst.forEach(i -> follow(i, first, a));
        withSecond.forEach(i -> follow(i, second, b));
    }

    private int otherThan(int first) {
        int second = large();
        for (int t = 0; t < TRIES && isSame(first, second); t++) {
            second = large();
        }
        return second;
    }

    private boolean isSame(int first, int second) {
        return scene.items[first].body == scene.items[second].body;
    }

    /** Where a part lay. */
    private final class Place {

        final Turned way;
        final double x;
        final double y;
        final int room;

        Place(int item) {
            this.way = scene.way[item];
            this.x = scene.x[item];
            this.y = scene.y[item];
            this.room = scene.room[item];
        }

        double middleX() {
            return x + (way.minX + way.maxX) / 2;
        }

        double middleY() {
            return y + (way.minY + way.maxY) / 2;
        }
    }

    /** One of those that make up most of the area: of several at random the largest. */
    private int large() {
        int best = random.nextInt(scene.size());
        for (int k = 0; k < 2; k++) {
            int other = random.nextInt(scene.size());
            if (scene.items[other].body.hullArea > scene.items[best].body.hullArea) {
                best = other;
            }
        }
        return best;
    }

    /** Smaller parts whose largest disc lies in the hull of one, but for the other. */
    private List<Integer> within(int item, int other) {
        List<Integer> all = new ArrayList<>();
        Body body = scene.items[item].body;
        for (int j = 0; j < scene.size(); j++) {
            if (j != item
                    && j != other
                    && scene.room[j] == scene.room[item]
                    && scene.room[j] != Scene.NONE
                    && scene.items[j].body.hullArea < body.hullArea
                    && holds(item, j)) {
                all.add(j);
            }
        }
        return all;
    }

    private boolean holds(int item, int j) {
        Turned way = scene.way[item];
        Point middle = Kind.middle(scene.way[j]);
        double px = scene.x[j] + middle.x() - scene.x[item];
        double py = scene.y[j] + middle.y() - scene.y[item];
        Body body = way.body;
        int[] hull = body.hull;
        Turned.Outline at = way.outline();
        double side = way.mirrored ? -1 : 1;
        for (int k = 0; k < hull.length; k++) {
            int from = hull[k];
            int to = hull[(k + 1) % hull.length];
            double cross =
                    (at.xs[to] - at.xs[from]) * (py - at.ys[from])
                            - (at.ys[to] - at.ys[from]) * (px - at.xs[from]);
            if (side * cross < 0) {
                return false;
            }
        }
        return true;
    }

    /** Lays a part on the middle of where another one lay. */
    private void centre(int item, Place at) {
        Turned way = scene.way[item];
        if (scene.room[item] != at.room || !scene.fits(way, at.room)) {
            way = fitting(item, at.room);
        }
        double x = at.middleX() - (way.minX + way.maxX) / 2;
        double y = at.middleY() - (way.minY + way.maxY) / 2;
        scene.putWithin(item, way, x, y, at.room);
    }

    private Turned fitting(int item, int r) {
        double grain = scene.rooms[r].grain;
        Turned way = scene.items[item].randomWay(grain, random);
        for (int t = 0; t < TURNS && !scene.fits(way, r); t++) {
            way = scene.items[item].randomWay(grain, random);
        }
        return way;
    }

    /** Moves a part as another one was moved, where it may be turned so. */
    private void follow(int item, int other, Place before) {
        Turned after = scene.way[other];
        int r = scene.room[other];
        if (after.mirrored != before.way.mirrored) {
            return;
        }
        double turn = after.degrees - before.way.degrees;
        Turned way = turn == 0 ? scene.way[item] : turned(item, r, turn);
        if (way == null || !scene.fits(way, r)) {
            return;
        }
        Point was = Kind.middle(scene.way[item]);
        double dx = scene.x[item] + was.x() - before.x;
        double dy = scene.y[item] + was.y() - before.y;
        double angle = StrictMath.toRadians(turn);
        double cos = StrictMath.cos(angle);
        double sin = StrictMath.sin(angle);
        Point is = Kind.middle(way);
        double x = scene.x[other] + cos * dx - sin * dy - is.x();
        double y = scene.y[other] + sin * dx + cos * dy - is.y();
        scene.putWithin(item, way, x, y, r);
    }

    private Turned turned(int item, int r, double turn) {
        Turned now = scene.way[item];
        double degrees = ((now.degrees + turn) % 360 + 360) % 360;
        return now.mirrored ? null : scene.items[item].way(scene.rooms[r].grain, degrees);
    }
}
