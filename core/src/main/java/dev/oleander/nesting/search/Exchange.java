package dev.oleander.nesting.search;

import java.util.SplittableRandom;

/** Two different large parts change places. */
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
        centre(first, b);
        centre(second, a);
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
}
