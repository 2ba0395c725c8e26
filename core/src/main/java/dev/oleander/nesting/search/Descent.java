package dev.oleander.nesting.search;

import dev.oleander.geometry.Point;
import java.util.SplittableRandom;

/** Moves an item from a place to better ones near by, until steps are too small to matter. */
final class Descent {

    /** First step, of the least width of the part. */
    private static final double FIRST_STEP = 0.05;

    private static final double GROW = 1.1;
    private static final double SHRINK = 0.5;
    private static final double DIAGONAL = Math.sqrt(0.5);

    private final Scene scene;
    private final SplittableRandom random;

    Descent(Scene scene, SplittableRandom random) {
        this.scene = scene;
        this.random = random;
    }

    /** By coordinates: to both sides along one of them, longer steps while it gains. */
    void run(int item, Shortlist list, int k, double until) {
        Kind kind = scene.items[item];
        double width = kind.body.hullWidth;
        double step = FIRST_STEP * width;
        double turn = step / (kind.body.diameter / 2);
        double limit = until * width;
        boolean turns = kind.anyTurn();
        while (step > limit && list.cost[k] > 0) {
            if (turns && random.nextInt(3) == 0) {
                turn *= turned(item, list, k, turn) ? GROW : SHRINK;
                if (turn < until) {
                    turns = false;
                }
            } else {
                step *= shifted(item, list, k, step) ? GROW : SHRINK;
            }
        }
    }

    private boolean shifted(int item, Shortlist list, int k, double step) {
        double sx = 0;
        double sy = 0;
        switch (random.nextInt(4)) {
            case 0 -> sx = step;
            case 1 -> sy = step;
            case 2 -> {
                sx = step * DIAGONAL;
                sy = sx;
            }
            default -> {
                sx = step * DIAGONAL;
                sy = -sx;
            }
        }
        boolean gain = tried(item, list, k, list.way[k], list.x[k] + sx, list.y[k] + sy);
        return gain
                | tried(
                        item,
                        list,
                        k,
                        list.way[k],
                        list.x[k] - (gain ? 2 * sx : sx),
                        list.y[k] - (gain ? 2 * sy : sy));
    }

    private boolean turned(int item, Shortlist list, int k, double turn) {
        boolean gain = false;
        double degrees = StrictMath.toDegrees(turn);
        Turned now = list.way[k];
        double px = list.x[k];
        double py = list.y[k];
        Point before = Kind.middle(now);
        for (int side = -1; side <= 1; side += 2) {
            Turned way = new Turned(now.body, now.degrees + side * degrees, now.mirrored);
            Point after = Kind.middle(way);
            gain |=
                    tried(
                            item,
                            list,
                            k,
                            way,
                            px + before.x() - after.x(),
                            py + before.y() - after.y());
        }
        return gain;
    }

    private boolean tried(int item, Shortlist list, int k, Turned way, double px, double py) {
        int r = list.room[k];
        if (!scene.fits(way, r)) {
            return false;
        }
        double cx = Scene.clamp(px, scene.rooms[r].x0 - way.minX, scene.frontX[r] - way.maxX);
        double cy = Scene.clamp(py, scene.rooms[r].y0 - way.minY, scene.frontY[r] - way.maxY);
        double cost = scene.cost(item, way, cx, cy, r, list.cost[k]);
        if (cost < list.cost[k]) {
            list.put(k, way, cx, cy, cost);
            return true;
        }
        return false;
    }
}
