package dev.oleander.nesting.search;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Items on rooms, with their overlaps and the weights of these. Rooms have a front that may stand
 * before their end.
 */
final class Scene {

    /** Room of what lies nowhere. */
    static final int NONE = -1;

    /** Ways and rooms that are tried for an item that may fit few of them. */
    private static final int MOST_TRIES = 200;

    /** mm by which a body may stick out of its room: rounding. */
    static final double EDGE = 1e-9;

    final Kind[] items;
    final Room[] rooms;
    final Turned[] way;
    final double[] x;
    final double[] y;
    final int[] room;
    final double[] frontX;
    final double[] frontY;
    final PairTest pairs;

    /** Overlap of each pair of items, mm of a sort; of each item with its room's obstacles. */
    private final double[] overlap;

    private final double[] weight;
    private final double[] fixedOverlap;
    private final double[] fixedWeight;

    /** Boxes of the bodies where they lie: low x, low y, high x, high y. */
    private final double[] boxes;

    private final BoxGrid grid;

    /** Used again by each question. */
    private final int[] near;

    private final int[] fixedFrom;
    private final int fixed;

    Scene(Kind[] items, Room[] rooms, PairTest pairs) {
        this.pairs = pairs;
        this.items = items;
        this.rooms = rooms;
        int n = items.length;
        this.way = new Turned[n];
        this.x = new double[n];
        this.y = new double[n];
        this.room = new int[n];
        Arrays.fill(room, NONE);
        this.frontX = Arrays.stream(rooms).mapToDouble(r -> r.x1).toArray();
        this.frontY = Arrays.stream(rooms).mapToDouble(r -> r.y1).toArray();
        this.overlap = new double[n * n];
        this.weight = new double[n * n];
        this.boxes = new double[4 * n];
        this.grid = new BoxGrid(rooms, n);
        this.near = new int[n];
        this.fixedFrom = new int[rooms.length];
        int count = 0;
        for (int r = 0; r < rooms.length; r++) {
            fixedFrom[r] = count;
            count += rooms[r].obstacles.size();
        }
        this.fixed = count;
        this.fixedOverlap = new double[n * count];
        this.fixedWeight = new double[n * count];
        forgetWeights();
    }

    int size() {
        return items.length;
    }

    void forgetWeights() {
        Arrays.fill(weight, 1);
        Arrays.fill(fixedWeight, 1);
    }

    /** Whether a body lies within the box of a room up to its front. */
    boolean within(Turned body, double px, double py, int r) {
        return body.minX + px >= rooms[r].x0 - EDGE
                && body.minY + py >= rooms[r].y0 - EDGE
                && body.maxX + px <= frontX[r] + EDGE
                && body.maxY + py <= frontY[r] + EDGE;
    }

    /** Whether a body that lies this way has room at all. */
    boolean fits(Turned body, int r) {
        return body.width() <= frontX[r] - rooms[r].x0 + EDGE
                && body.height() <= frontY[r] - rooms[r].y0 + EDGE;
    }

    /**
     * Weighted overlap of an item if it lay somewhere else.
     *
     * @param enough no need to go on beyond this
     */
    double cost(int item, Turned body, double px, double py, int r, double enough) {
        pairs.placeTried();
        double sum = costAmongItems(item, body, px, py, r, enough);
        return sum > enough ? sum : sum + costOfRoom(item, body, px, py, r, enough - sum);
    }

    /**
     * First of those whose discs overlap, which is soon seen and mostly enough; then of those whose
     * edges have to be looked at.
     */
    private double costAmongItems(
            int item, Turned body, double px, double py, int r, double enough) {
        int count = meeting(item, body, px, py, r);
        double sum = 0;
        int unsure = 0;
        for (int k = 0; k < count && sum <= enough; k++) {
            int j = near[k];
            if (pairs.areDeep(body, way[j], px - x[j], py - y[j])) {
                sum += weightedDepth(item, j, body, px, py, enough - sum);
            } else {
                near[unsure++] = j;
            }
        }
        for (int k = 0; k < unsure && sum <= enough; k++) {
            int j = near[k];
            if (pairs.edgesMeet(body, way[j], px - x[j], py - y[j])) {
                sum += weightedDepth(item, j, body, px, py, enough - sum);
            }
        }
        return sum;
    }

    /** Finds the other items whose boxes meet that of a body; how many. */
    private int meeting(int item, Turned body, double px, double py, int r) {
        double lowX = body.minX + px;
        double lowY = body.minY + py;
        double highX = body.maxX + px;
        double highY = body.maxY + py;
        int count = grid.near(r, lowX, lowY, highX, highY, near);
        int meeting = 0;
        for (int k = 0; k < count; k++) {
            int j = near[k];
            if (boxes[4 * j] < highX
                    && boxes[4 * j + 2] > lowX
                    && boxes[4 * j + 1] < highY
                    && boxes[4 * j + 3] > lowY
                    && j != item) {
                near[meeting++] = j;
            }
        }
        return meeting;
    }

    private double weightedDepth(
            int item, int j, Turned body, double px, double py, double enough) {
        double w = weight[item * items.length + j];
        return w * pairs.depth(body, way[j], px - x[j], py - y[j], enough / w);
    }

    private double costOfRoom(int item, Turned body, double px, double py, int r, double enough) {
        Room of = rooms[r];
        double sum = 0;
        for (int k = 0; k < of.obstacles.size() && sum <= enough; k++) {
            double w = fixedWeight[item * fixed + fixedFrom[r] + k];
            double dx = px - of.obstacleX[k];
            double dy = py - of.obstacleY[k];
            sum += w * pairs.overlap(body, of.obstacles.get(k), dx, dy, (enough - sum) / w);
        }
        return sum;
    }

    /** Of all bodies that lie somewhere, mm2. */
    double laidArea() {
        double sum = 0;
        for (int i = 0; i < items.length; i++) {
            sum += room[i] == NONE ? 0 : items[i].body.area;
        }
        return sum;
    }

    int[] allRooms() {
        return IntStream.range(0, rooms.length).toArray();
    }

    /** Lays an item at a place, or as near as the room lets it. */
    void putWithin(int item, Turned body, double px, double py, int r) {
        double cx = clamp(px, rooms[r].x0 - body.minX, frontX[r] - body.maxX);
        double cy = clamp(py, rooms[r].y0 - body.minY, frontY[r] - body.maxY);
        put(item, body, cx, cy, r);
    }

    /**
     * Lays an item somewhere, whatever lies there.
     *
     * @return whether some room is large enough for it
     */
    boolean putAnywhere(int item, SplittableRandom random) {
        for (int t = 0; t < MOST_TRIES; t++) {
            int r = random.nextInt(rooms.length);
            Turned body = items[item].randomWay(rooms[r].grain, random);
            if (fits(body, r)) {
                double px = rooms[r].x0 + random.nextDouble() * rooms[r].width() - body.minX;
                double py = rooms[r].y0 + random.nextDouble() * rooms[r].height() - body.minY;
                putWithin(item, body, px, py, r);
                return true;
            }
        }
        return false;
    }

    static double clamp(double value, double low, double high) {
        return Math.max(low, Math.min(high, value));
    }

    /** Whether an item would lie free. */
    boolean isFree(int item, Turned body, double px, double py, int r) {
        return within(body, px, py, r) && cost(item, body, px, py, r, 0) == 0;
    }

    /** Lays an item down and finds its overlaps. */
    void put(int item, Turned body, double px, double py, int r) {
        clear(item);
        if (room[item] != NONE) {
            grid.mark(item, room[item], boxes, false);
        }
        way[item] = body;
        x[item] = px;
        y[item] = py;
        room[item] = r;
        if (r == NONE) {
            return;
        }
        boxes[4 * item] = body.minX + px;
        boxes[4 * item + 1] = body.minY + py;
        boxes[4 * item + 2] = body.maxX + px;
        boxes[4 * item + 3] = body.maxY + py;
        int n = items.length;
        int count =
                grid.near(r, body.minX + px, body.minY + py, body.maxX + px, body.maxY + py, near);
        grid.mark(item, r, boxes, true);
        for (int k = 0; k < count; k++) {
            int j = near[k];
            if (j != item) {
                double o = pairs.overlap(body, way[j], px - x[j], py - y[j]);
                overlap[item * n + j] = o;
                overlap[j * n + item] = o;
            }
        }
        Room of = rooms[r];
        for (int k = 0; k < of.obstacles.size(); k++) {
            fixedOverlap[item * fixed + fixedFrom[r] + k] =
                    pairs.overlap(
                            body, of.obstacles.get(k), px - of.obstacleX[k], py - of.obstacleY[k]);
        }
    }

    private void clear(int item) {
        int n = items.length;
        for (int j = 0; j < n; j++) {
            overlap[item * n + j] = 0;
            overlap[j * n + item] = 0;
        }
        Arrays.fill(fixedOverlap, item * fixed, (item + 1) * fixed, 0);
    }

    void take(int item) {
        put(item, way[item], x[item], y[item], NONE);
    }

    /** Overlap of an item with everything, without weights. */
    double overlap(int item) {
        double sum = 0;
        int n = items.length;
        for (int j = 0; j < n; j++) {
            sum += overlap[item * n + j];
        }
        for (int k = 0; k < fixed; k++) {
            sum += fixedOverlap[item * fixed + k];
        }
        return sum;
    }

    double weightedOverlap(int item) {
        double sum = 0;
        int n = items.length;
        for (int j = 0; j < n; j++) {
            double o = overlap[item * n + j];
            if (o > 0) {
                sum += weight[item * n + j] * o;
            }
        }
        for (int k = 0; k < fixed; k++) {
            sum += fixedWeight[item * fixed + k] * fixedOverlap[item * fixed + k];
        }
        return sum;
    }

    /** Overlaps of all pairs. */
    double total() {
        double sum = 0;
        int n = items.length;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < i; j++) {
                sum += overlap[i * n + j];
            }
        }
        for (double o : fixedOverlap) {
            sum += o;
        }
        return sum;
    }

    /**
     * Pairs that overlap count more from now on, the deeper the more; others slowly less (Umetani
     * et al. 2009).
     */
    void raiseWeights(double least, double more, double decay) {
        double most = 0;
        for (double o : overlap) {
            most = Math.max(most, o);
        }
        for (double o : fixedOverlap) {
            most = Math.max(most, o);
        }
        raise(weight, overlap, most, least, more, decay);
        raise(fixedWeight, fixedOverlap, most, least, more, decay);
    }

    private static void raise(
            double[] weights,
            double[] overlaps,
            double most,
            double least,
            double more,
            double decay) {
        for (int i = 0; i < weights.length; i++) {
            double o = overlaps[i];
            if (o > 0) {
                weights[i] *= least + more * o / most;
            } else if (weights[i] > 1) {
                weights[i] = Math.max(1, weights[i] * decay);
            }
        }
    }

    /** Where everything lies. */
    record Places(
            Turned[] way, double[] x, double[] y, int[] room, double[] frontX, double[] frontY) {

        /** The same on the first few rooms, when nothing lies on the others. */
        Places within(int rooms) {
            return new Places(
                    way, x, y, room, Arrays.copyOf(frontX, rooms), Arrays.copyOf(frontY, rooms));
        }
    }

    Places places() {
        return new Places(
                way.clone(), x.clone(), y.clone(), room.clone(), frontX.clone(), frontY.clone());
    }

    /** Lays everything as it was once, fronts too. */
    void restore(Places places) {
        System.arraycopy(places.frontX, 0, frontX, 0, frontX.length);
        System.arraycopy(places.frontY, 0, frontY, 0, frontY.length);
        for (int i = 0; i < items.length; i++) {
            if (room[i] != NONE) {
                grid.mark(i, room[i], boxes, false);
                room[i] = NONE;
            }
        }
        for (int i = 0; i < items.length; i++) {
            put(i, places.way[i], places.x[i], places.y[i], places.room[i]);
        }
    }
}
