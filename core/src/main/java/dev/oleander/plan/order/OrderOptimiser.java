package dev.oleander.plan.order;

import dev.oleander.progress.Progress;
import java.util.SplittableRandom;

/**
 * Improves an order until no turning round of a stretch and no moving of a short one shortens it,
 * then disturbs it in one place and improves it there again, keeping what is better.
 *
 * <p>The moves are those of G. A. Croes, Operations Research 6(6), 1958, and I. Or, dissertation,
 * Northwestern University, 1976, sought among the nearest neighbours with a queue of visits still
 * to be looked at (J. L. Bentley, ORSA Journal on Computing 4(4), 1992); the disturbance is the
 * local double bridge of D. Applegate, W. Cook and A. Rohe, INFORMS Journal on Computing 15(1),
 * 2003. What must come before what is kept by every move. The same input gives the same order.
 */
public final class OrderOptimiser {

    private static final int TOLD_EVERY = 100;

    /** With fewer visits the gain is not watched, but how long there was none. */
    private static final int MANY = 300;

    /** Disturbances in a row without a gain after which there will be none, and more by visit. */
    private static final int IDLE = 60;

    private static final int IDLE_PER_VISIT = 15;

    /** Disturbances over which the gain is watched, at least; else a quarter of the visits. */
    private static final int WATCHED = 500;

    private final OrderOptions options;

    public OrderOptimiser(OrderOptions options) {
        this.options = options;
    }

    /**
     * @param first a permitted order
     * @return a permitted order that costs no more
     * @throws IllegalArgumentException when the first order is not permitted
     */
    public int[] improve(OrderProblem problem, int[] first, Progress progress) {
        if (!problem.isPermitted(first)) {
            throw new IllegalArgumentException("the order to begin with is not permitted");
        }
        int n = first.length;
        if (n < 3) {
            return first.clone();
        }
        if (FewVisits.solves(problem)) {
            return FewVisits.best(problem, first);
        }
        LocalSearch search = new LocalSearch(problem, first);
        search.improveAll(progress.within(0, 0.1));
        SplittableRandom random = new SplittableRandom(options.seed());
        int watched = n < MANY ? Integer.MAX_VALUE : Math.max(WATCHED, n / 4);
        double before = search.cost();
        int idle = 0;
        for (int k = 0; k < options.kicks(); k++) {
            if (k % TOLD_EVERY == 0) {
                progress.at(0.1 + 0.9 * k / options.kicks(), "Ordering the stops");
            }
            idle = search.kick(random) ? 0 : idle + 1;
            if (n < MANY && options.leastGain() > 0 && idle > IDLE + IDLE_PER_VISIT * n) {
                break;
            }
            if ((k + 1) % watched == 0) {
                double now = search.cost();
                if (before - now < options.leastGain() * now) {
                    break;
                }
                before = now;
            }
        }
        return search.order();
    }
}
