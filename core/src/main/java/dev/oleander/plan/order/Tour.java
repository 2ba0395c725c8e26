package dev.oleander.plan.order;

import java.util.List;

/** An order that is changed in place, with the cost of its stretches. */
final class Tour {

    /** Visits back from a start that are looked at for heat. */
    private static final int MEMORY = 12;

    /** Visits up to which all ways between them are kept: they are looked at very often. */
    private static final int MOST_KEPT = 400;

    final int[] order;
    final int[] position;
    private final double[] beginX;
    private final double[] beginY;
    private final double[] endX;
    private final double[] endY;
    private final double[] seconds;
    private final double[] turn;
    private final Turning turning;

    /** Seconds for each visit that comes later. */
    private final double[] loosens;

    private final boolean priced;
    private final int[][] after;
    private final double fromX;
    private final double fromY;
    private final TravelTime travel;
    private final Heat heat;

    /** From each visit to each, after those from where the head begins; null: too many to keep. */
    private final double[] ways;

    Tour(OrderProblem problem, int[] order) {
        List<OrderProblem.Visit> visits = problem.visits();
        int n = visits.size();
        this.order = order.clone();
        this.position = new int[n];
        this.beginX = new double[n];
        this.beginY = new double[n];
        this.endX = new double[n];
        this.endY = new double[n];
        this.seconds = new double[n];
        this.turn = new double[n];
        this.turning = problem.turning();
        this.loosens = new double[n];
        this.after = new int[n][];
        for (int i = 0; i < n; i++) {
            OrderProblem.Visit visit = visits.get(i);
            beginX[i] = visit.begin().x();
            beginY[i] = visit.begin().y();
            endX[i] = visit.end().x();
            endY[i] = visit.end().y();
            seconds[i] = visit.seconds();
            turn[i] = visit.turn();
            loosens[i] = visit.loosens() / Math.max(1, n - 1);
            after[i] = visit.after().stream().mapToInt(Integer::intValue).toArray();
            position[this.order[i]] = i;
        }
        this.fromX = problem.from().x();
        this.fromY = problem.from().y();
        this.travel = problem.travel();
        this.heat = problem.heat();
        this.ways = n <= MOST_KEPT ? ways(n) : null;
        this.priced = heat.matters() || visits.stream().anyMatch(v -> v.loosens() > 0);
    }

    int size() {
        return order.length;
    }

    private double[] ways(int n) {
        double[] kept = new double[(n + 1) * n];
        for (int a = -1; a < n; a++) {
            for (int b = 0; b < n; b++) {
                kept[(a + 1) * n + b] = measured(a, b);
            }
        }
        return kept;
    }

    /** Time of the way from one visit to another; -1 stands for where the head begins. */
    double way(int a, int b) {
        return ways == null ? measured(a, b) : ways[(a + 1) * order.length + b];
    }

    private double measured(int a, int b) {
        double x = a < 0 ? fromX : endX[a];
        double y = a < 0 ? fromY : endY[a];
        double dx = beginX[b] - x;
        double dy = beginY[b] - y;
        double turned = a < 0 ? turning.from() : turn[a];
        return travel.over(Math.sqrt(dx * dx + dy * dy)) + turning.over(turned, turn[b]);
    }

    /** The visit at a place; -1 before the first one. */
    int at(int place) {
        return place < 0 ? -1 : order[place];
    }

    /** Time of the way to the visit at a place; none beyond the last. */
    double wayTo(int place) {
        return place < 0 || place >= order.length ? 0 : way(at(place - 1), order[place]);
    }

    /** Whether an order costs more than its ways. */
    boolean isPriced() {
        return priced;
    }

    /** Ways to the visits of a stretch, both ends included, and what their places cost. */
    double cost(int from, int to) {
        double sum = 0;
        for (int i = Math.max(0, from); i <= Math.min(to, order.length - 1); i++) {
            sum += wayTo(i) + (heat.matters() ? heatAt(i) : 0);
            sum += loosens[order[i]] * (order.length - 1 - i);
        }
        return sum;
    }

    /** How far beyond a stretch its change is felt. */
    int echo() {
        return heat.matters() ? MEMORY : 0;
    }

    private double heatAt(int place) {
        int here = order[place];
        double since = wayTo(place);
        double sum = 0;
        for (int i = place - 1; i >= Math.max(0, place - MEMORY) && since < heat.seconds(); i--) {
            int hot = order[i];
            double dx = beginX[here] - endX[hot];
            double dy = beginY[here] - endY[hot];
            double distance = Math.sqrt(dx * dx + dy * dy);
            if (distance < heat.distance()) {
                sum +=
                        heat.cost()
                                * (1 - since / heat.seconds())
                                * (1 - distance / heat.distance());
            }
            since += seconds[hot] + wayTo(i);
        }
        return sum;
    }

    /** Turns a stretch round, both ends included. */
    void reverse(int from, int to) {
        int i = from;
        int j = to;
        while (i < j) {
            int held = order[i];
            put(i++, order[j]);
            put(j--, held);
        }
        if (i == j) {
            position[order[i]] = i;
        }
    }

    private void put(int place, int visit) {
        order[place] = visit;
        position[visit] = place;
    }

    /** Whether nothing in a stretch has to come after something else in it. */
    boolean mayReverse(int from, int to) {
        for (int i = from; i <= to; i++) {
            for (int earlier : after[order[i]]) {
                if (position[earlier] >= from && position[earlier] <= to) {
                    return false;
                }
            }
        }
        return true;
    }

    /**
     * Whether two stretches that follow each other, the second from {@code middle}, may change
     * places.
     */
    boolean maySwap(int from, int middle, int to) {
        for (int i = middle; i <= to; i++) {
            for (int earlier : after[order[i]]) {
                if (position[earlier] >= from && position[earlier] < middle) {
                    return false;
                }
            }
        }
        return true;
    }
}
