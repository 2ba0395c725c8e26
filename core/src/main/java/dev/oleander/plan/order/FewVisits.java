package dev.oleander.plan.order;

import java.util.Arrays;

/**
 * The best order of a few visits: for every set of visits and each of them that may be its last,
 * the least it costs to do them first (Held, Karp 1962, A dynamic programming approach to
 * sequencing problems). Heat is left out: what it costs depends on more than the visit before.
 */
final class FewVisits {

    /** Beyond, disturbances find the same sooner. */
    static final int MOST = 9;

    private final int n;
    private final OrderProblem problem;

    /** Visits that must come before each, as bits. */
    private final int[] before;

    private final double[][] way;
    private final double[] least;
    private final byte[] last;

    private FewVisits(OrderProblem problem) {
        this.problem = problem;
        this.n = problem.visits().size();
        this.before = new int[n];
        this.way = new double[n + 1][n];
        for (int b = 0; b < n; b++) {
            for (int earlier : problem.visits().get(b).after()) {
                before[b] |= 1 << earlier;
            }
            for (int a = -1; a < n; a++) {
                way[a + 1][b] = problem.way(a, b);
            }
        }
        this.least = new double[n << n];
        this.last = new byte[n << n];
    }

    /** Whether it finds the best order of a problem, soon. */
    static boolean solves(OrderProblem problem) {
        return problem.visits().size() <= MOST && !problem.heat().matters();
    }

    /**
     * @param first a permitted order
     * @return the best one; the first when no other costs less
     */
    static int[] best(OrderProblem problem, int[] first) {
        int[] best = new FewVisits(problem).order();
        return problem.cost(best) < problem.cost(first) ? best : first.clone();
    }

    private int[] order() {
        Arrays.fill(least, Double.POSITIVE_INFINITY);
        int all = (1 << n) - 1;
        for (int done = 0; done < all; done++) {
            for (int next = 0; next < n; next++) {
                boolean may = (done & 1 << next) == 0 && (before[next] & ~done) == 0;
                if (may) {
                    extend(done, next);
                }
            }
        }
        return backFrom(all);
    }

    private void extend(int done, int next) {
        int with = done | 1 << next;
        double place = loosening(next, Integer.bitCount(done));
        if (done == 0) {
            put(with, next, way[0][next] + place, -1);
            return;
        }
        for (int from = 0; from < n; from++) {
            double so = (done & 1 << from) == 0 ? Double.POSITIVE_INFINITY : least[done * n + from];
            if (so < Double.POSITIVE_INFINITY) {
                put(with, next, so + way[from + 1][next] + place, from);
            }
        }
    }

    /** What it costs that a visit comes so early. */
    private double loosening(int visit, int place) {
        return n < 2 ? 0 : problem.visits().get(visit).loosens() * (n - 1 - place) / (n - 1);
    }

    private void put(int with, int next, double cost, int from) {
        if (cost < least[with * n + next]) {
            least[with * n + next] = cost;
            last[with * n + next] = (byte) from;
        }
    }

    private int[] backFrom(int all) {
        int end = 0;
        for (int v = 1; v < n; v++) {
            end = least[all * n + v] < least[all * n + end] ? v : end;
        }
        int[] order = new int[n];
        int done = all;
        for (int place = n - 1; place >= 0; place--) {
            order[place] = end;
            int from = last[done * n + end];
            done &= ~(1 << end);
            end = from;
        }
        return order;
    }
}
