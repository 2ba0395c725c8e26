package dev.oleander.nesting.search;

/** The best few places that were found for an item, the best one first. */
final class Shortlist {

    static final int MOST = 3;

    final Turned[] way = new Turned[MOST];
    final double[] x = new double[MOST];
    final double[] y = new double[MOST];
    final int[] room = new int[MOST];
    final double[] cost = new double[MOST];
    private int size;

    void clear() {
        size = 0;
    }

    int size() {
        return size;
    }

    /** Whether nothing better can be found. */
    boolean isFree() {
        return size > 0 && cost[0] == 0;
    }

    /** What a place must cost less than to get on the list. */
    double enough() {
        return size == MOST ? cost[MOST - 1] : Double.POSITIVE_INFINITY;
    }

    void add(Turned body, double px, double py, int r, double costs) {
        int at = Math.min(size, MOST - 1);
        while (at > 0 && cost[at - 1] > costs) {
            move(at - 1, at);
            at--;
        }
        put(at, body, px, py, costs);
        room[at] = r;
        size = Math.min(MOST, size + 1);
    }

    private void move(int from, int to) {
        way[to] = way[from];
        x[to] = x[from];
        y[to] = y[from];
        room[to] = room[from];
        cost[to] = cost[from];
    }

    /** A better place in the same room in place of one of the list. */
    void put(int k, Turned body, double px, double py, double costs) {
        way[k] = body;
        x[k] = px;
        y[k] = py;
        cost[k] = costs;
    }

    int best() {
        int best = 0;
        for (int k = 1; k < size; k++) {
            if (cost[k] < cost[best]) {
                best = k;
            }
        }
        return best;
    }
}
