package dev.oleander.nesting.search;

import java.util.SplittableRandom;

/**
 * Pushes all parts of the last sheet at once: of all small moves that keep near bodies apart, those
 * that let the front move back most (a linear program), again and again (Li, Milenkovic 1995;
 * Gomes, Oliveira 2006). Small overlaps are pushed apart on the way.
 */
final class Compaction {

    /** Bound of all moves at first, as a share of the least width of the parts on average. */
    private static final double FIRST = 0.06;

    /** Bound of all moves as a share of the narrowest part: nothing may get past another. */
    private static final double NARROW = 0.2;

    /** mm; with moves smaller than this little more is gained. */
    private static final double LAST = 0.05;

    private static final double GROW = 1.5;
    private static final double SHRINK = 0.5;

    /**
     * Gains larger than this share of the bound let it grow, smaller ones than the other shrink.
     */
    private static final double GOOD = 0.5;

    private static final double POOR = 0.15;

    /** Programs solved at most. */
    private static final int MOST = 40;

    /** Programs solved at most until nothing overlaps any more. */
    private static final int LAST_TRIES = 8;

    /** Multiplications after which it is brought to an end: about a third of a second. */
    private static final long MOST_EFFORT = 120_000_000;

    /** Overlaps deeper than this share of the bound let it shrink. */
    private static final double DEEP = 0.3;

    /** More items than this take too long. */
    private static final int MOST_ITEMS = 200;

    /** What a mm of each part away from the packing side costs, against one of the front. */
    private static final double PULL = 1e-4;

    /** Multiplications in the time in which a corner is held against an edge. */
    private static final int EDGE_EFFORT = 4;

    private final Scene scene;
    private final SheetSet set;
    private final SplittableRandom random;
    private final int room;
    private Scene.Places legal;
    private double deepest;
    private long effort;

    Compaction(Scene scene, SheetSet set, SplittableRandom random) {
        this.scene = scene;
        this.set = set;
        this.random = random;
        this.room = set.front();
    }

    /**
     * Pushes until little is gained; the front of the scene stands at the end of the sheet then.
     *
     * @return whether nothing overlaps now
     */
    boolean run() {
        scene.frontX[room] = scene.rooms[room].x1;
        scene.frontY[room] = scene.rooms[room].y1;
        double widest = bound();
        if (!(widest > 0)) {
            return scene.total() == 0;
        }
        double bound = widest;
        legal = null;
        keep();
        for (int k = 0; k < MOST && bound > LAST && effort < MOST_EFFORT; k++) {
            double before = reach();
            boolean moved = push(bound);
            double gain = before - reach();
            keep();
            if (!moved || gain < POOR * bound || deepest > DEEP * bound) {
                bound *= SHRINK;
            } else if (gain > GOOD * bound) {
                bound = Math.min(widest, GROW * bound);
            }
        }
        bound = Math.min(bound, Math.max(LAST, 2 * deepest));
        for (int k = 0; k < LAST_TRIES && scene.total() > 0; k++) {
            push(bound);
            bound *= SHRINK * SHRINK;
        }
        if (!keep() && legal != null) {
            scene.restore(legal);
        }
        return scene.total() == 0;
    }

    /** Whether nothing overlaps; then it is gone on from here whatever happens. */
    private boolean keep() {
        boolean clean = scene.total() == 0;
        legal = clean ? scene.places() : legal;
        return clean;
    }

    /** mm by which parts may move at once; 0 when there are too many of them, or none. */
    private double bound() {
        double sum = 0;
        double least = Double.POSITIVE_INFINITY;
        int n = 0;
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == room) {
                double width = scene.items[i].body.hullWidth;
                sum += width;
                least = Math.min(least, width);
                n++;
            }
        }
        return n == 0 || n > MOST_ITEMS ? 0 : Math.min(FIRST * sum / n, NARROW * least);
    }

    /** How far parts reach, mm. */
    double reach() {
        double reach = set.origin();
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == room) {
                reach = Math.max(reach, end(scene.way[i], scene.x[i], scene.y[i]));
            }
        }
        return reach;
    }

    private double end(Turned way, double x, double y) {
        return set.alongX() ? way.maxX + x : way.maxY + y;
    }

    /**
     * The best moves of at most so many mm.
     *
     * @return whether there are any
     */
    private boolean push(double bound) {
        Moves moves = new Moves(scene, room);
        LeastCost program = program(moves, bound);
        Contacts contacts = new Contacts(moves, program, bound);
        for (int a = 0; a < moves.size(); a++) {
            Contacts.Laid one = moves.laid(a);
            for (int b = 0; b < a; b++) {
                contacts.between(one, moves.laid(b));
            }
            Room of = scene.rooms[room];
            for (int o = 0; o < of.obstacles.size(); o++) {
                contacts.between(
                        one,
                        new Contacts.Laid(
                                -1, of.obstacles.get(o), of.obstacleX[o], of.obstacleY[o]));
            }
            edges(moves, program, a, bound);
        }
        deepest = contacts.deepest();
        boolean solved = program.solve();
        effort += program.effort() + EDGE_EFFORT * contacts.looked();
        if (solved) {
            moves.make(program.x, room);
        }
        return solved;
    }

    /** Without rows: what moves cost. The last variable is the front, from where it is now. */
    private LeastCost program(Moves moves, double bound) {
        int n = moves.variables() + 1;
        double[] low = new double[n];
        double[] high = new double[n];
        double[] cost = new double[n];
        for (int j = 0; j < n; j++) {
            low[j] = -bound;
            high[j] = bound;
            cost[j] = PULL * (random.nextDouble() - 0.5) / 2;
        }
        for (int k = 0; k < moves.size(); k++) {
            cost[moves.first(k) + (set.alongX() ? 0 : 1)] = PULL * (0.5 + random.nextDouble());
        }
        low[n - 1] = -2 * bound;
        high[n - 1] = 2 * bound;
        cost[n - 1] = 1;
        return new LeastCost(low, high, cost);
    }

    /** Parts stay on the sheet, and behind the front. */
    private void edges(Moves moves, LeastCost program, int k, double bound) {
        Contacts.Laid part = moves.laid(k);
        Turned way = part.way();
        Room of = scene.rooms[room];
        double near = 3 * bound;
        double front = reach();
        for (int i : way.body.hull) {
            double px = way.x(way.body.xs[i], way.body.ys[i]) + part.x();
            double py = way.y(way.body.xs[i], way.body.ys[i]) + part.y();
            stay(moves, program, k, px, py, -1, 0, px - of.x0, near);
            stay(moves, program, k, px, py, 0, -1, py - of.y0, near);
            stay(moves, program, k, px, py, 1, 0, of.x1 - px, near);
            stay(moves, program, k, px, py, 0, 1, of.y1 - py, near);
            double left = front - (set.alongX() ? px : py);
            if (left < near + 2 * bound) {
                program.row(left);
                moves.add(program, k, px, py, set.alongX() ? 1 : 0, set.alongX() ? 0 : 1);
                program.add(moves.variables(), -1);
            }
        }
    }

    private static void stay(
            Moves moves,
            LeastCost program,
            int k,
            double px,
            double py,
            double dx,
            double dy,
            double left,
            double near) {
        if (left < near) {
            program.row(left);
            moves.add(program, k, px, py, dx, dy);
        }
    }
}
