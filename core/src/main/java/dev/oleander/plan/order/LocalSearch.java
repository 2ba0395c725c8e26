package dev.oleander.plan.order;

import dev.oleander.progress.Progress;
import java.util.Arrays;
import java.util.SplittableRandom;

/** An order with the moves that make it better, and one disturbance that may be taken back. */
final class LocalSearch {

    private static final int NEIGHBOURS = 8;

    /** Visits in a stretch that is moved elsewhere, at most. */
    private static final int LONGEST_MOVED = 3;

    /** Visits in each of the two stretches that a disturbance swaps, at most. */
    private static final int KICK = 30;

    /** After a disturbance only stretches up to this are turned or passed over. */
    private static final int NEAR = 50_000;

    /** Seconds; less is rounding. */
    private static final double GAIN = 1e-9;

    private final Tour tour;
    private final Neighbours neighbours;
    private final int n;

    /** Visits to look at: a ring from {@code head}, {@code waiting} of them. */
    private final int[] queue;

    private final boolean[] queued;
    private int head;
    private int waiting;

    /** Stretches that were turned round since the disturbance, two numbers each. */
    private int[] journal = new int[256];

    private int turned;
    private int reach;

    LocalSearch(OrderProblem problem, int[] first) {
        this.tour = new Tour(problem, first);
        this.n = first.length;
        this.neighbours = new Neighbours(problem.visits(), NEIGHBOURS);
        this.queue = new int[n];
        this.queued = new boolean[n];
        this.reach = n;
    }

    /** Of the whole order, seconds. */
    double cost() {
        return tour.cost(0, n - 1);
    }

    int[] order() {
        return tour.order.clone();
    }

    /** Until no move helps any more. */
    void improveAll(Progress progress) {
        reach = n;
        for (int i = 0; i < n; i++) {
            look(i);
        }
        long steps = 0;
        while (waiting > 0) {
            if (++steps % n == 0) {
                progress.at(1 - 1.0 / (1 + steps / n), "Ordering the stops");
            }
            improve(next());
        }
        reach = Math.min(n, NEAR);
    }

    /**
     * Swaps two stretches that follow each other somewhere, and keeps it if that leads to less.
     *
     * @return whether it did
     */
    boolean kick(SplittableRandom random) {
        int from = random.nextInt(n - 1);
        int middle = Math.min(n - 1, from + 1 + random.nextInt(KICK));
        int to = Math.min(n - 1, middle + random.nextInt(KICK));
        if (!tour.maySwap(from, middle, to)) {
            return false;
        }
        turned = 0;
        double ways = swapChange(from, middle, to);
        double change = doing(from, to, ways, true, () -> swap(from, middle, to));
        while (waiting > 0) {
            change += improve(next());
        }
        boolean better = change <= -GAIN;
        if (!better) {
            takeBack(0);
        }
        return better;
    }

    // ---- the queue of visits to look at

    private void look(int place) {
        if (place < 0 || place >= n) {
            return;
        }
        int visit = tour.order[place];
        if (!queued[visit]) {
            queued[visit] = true;
            queue[(head + waiting++) % n] = visit;
        }
    }

    private int next() {
        int visit = queue[head];
        head = (head + 1) % n;
        waiting--;
        queued[visit] = false;
        return visit;
    }

    // ---- moves

    /** Makes moves at a visit as long as they help; seconds, not above 0. */
    private double improve(int visit) {
        double sum = 0;
        double change = betterAt(visit);
        while (change < 0) {
            sum += change;
            change = betterAt(visit);
        }
        return sum;
    }

    /**
     * Looks for a move that puts a near neighbour beside a visit in the place of the way there or
     * onward, when the neighbour is nearer than what that way leads to.
     */
    private double betterAt(int visit) {
        int i = tour.position[visit];
        double there = tour.wayTo(i);
        double onward = tour.wayTo(i + 1);
        double longest = Math.max(there, onward);
        double change = 0;
        for (int k = 0; k < neighbours.each() && change >= 0; k++) {
            int other = neighbours.of(visit, k);
            double way = other < 0 ? longest : tour.way(visit, other);
            if (way >= longest) {
                return 0;
            }
            int j = tour.position[other];
            if (Math.abs(i - j) <= reach) {
                change = way < onward ? onwardTo(i, j) : 0;
                change = change >= 0 && way < there ? from(i, j) : change;
            }
        }
        return Math.min(0, change);
    }

    /** The way onward from place i is given up for one to place j. */
    private double onwardTo(int i, int j) {
        double change = j > i ? reverse(i + 1, j) : reverse(j + 1, i);
        for (int length = 1; change >= 0 && length <= LONGEST_MOVED; length++) {
            change = move(i - length + 1, i, j, true);
        }
        return change;
    }

    /** The way to place i is given up for one from place j. */
    private double from(int i, int j) {
        double change = j > i ? reverse(i, j - 1) : reverse(j, i - 1);
        for (int length = 1; change >= 0 && length <= LONGEST_MOVED; length++) {
            change = move(i, i + length - 1, j, false);
        }
        return change;
    }

    private double reverse(int from, int to) {
        if (from < 0 || to >= n || to <= from) {
            return 0;
        }
        double change = endsReversed(from, to);
        if (change > -GAIN) {
            return 0;
        }
        change += turnedOver(from, to);
        if (change > -GAIN || !tour.mayReverse(from, to)) {
            return 0;
        }
        return doing(from, to, change, false, () -> turn(from, to));
    }

    /** What the ways into and out of a stretch change by when it is turned round. */
    private double endsReversed(int from, int to) {
        double left = tour.wayTo(from) + tour.wayTo(to + 1);
        left -= tour.way(tour.at(from - 1), tour.order[to]);
        if (left > 0 && to + 1 < n) {
            left -= tour.way(tour.order[from], tour.order[to + 1]);
        }
        return -left;
    }

    /**
     * Tries a stretch beside the visit at a place, so that one end of it comes next to that.
     *
     * @param atEnd whether it is the last visit of the stretch, else the first
     */
    private double move(int from, int to, int beside, boolean atEnd) {
        if (from < 0 || to >= n || (beside >= from && beside <= to)) {
            return 0;
        }
        double change = place(from, to, beside, atEnd, false);
        return change < 0 || from == to ? change : place(from, to, beside, !atEnd, true);
    }

    /** Puts a stretch before or after the visit at a place, as it is or turned over. */
    private double place(int from, int to, int beside, boolean before, boolean over) {
        boolean onward = beside > to;
        int first = onward ? from : before ? beside : beside + 1;
        int middle = onward ? to + 1 : from;
        int last = onward ? before ? beside - 1 : beside : to;
        boolean stays = first >= middle || middle > last;
        return stays ? 0 : swapIfBetter(first, middle, last, onward, over);
    }

    private double swapIfBetter(int from, int middle, int to, boolean firstMoves, boolean over) {
        double change = over ? overGain(from, middle, to, firstMoves) : swapGain(from, middle, to);
        if (change > -GAIN || !tour.maySwap(from, middle, to)) {
            return 0;
        }
        int low = firstMoves ? from : middle;
        int high = firstMoves ? middle - 1 : to;
        if (over && !tour.mayReverse(low, high)) {
            return 0;
        }
        return doing(from, to, change, false, () -> swapOver(from, middle, to, firstMoves, over));
    }

    /** What it changes when two stretches that follow each other change places. */
    private double swapChange(int from, int middle, int to) {
        int[] o = tour.order;
        double out = to + 1 < n ? tour.way(o[middle - 1], o[to + 1]) : 0;
        return tour.way(tour.at(from - 1), o[middle])
                + tour.way(o[to], o[from])
                + out
                - ended(from, middle, to);
    }

    /** The ways that end when two stretches change places. */
    private double ended(int from, int middle, int to) {
        return tour.wayTo(from) + tour.wayTo(middle) + tour.wayTo(to + 1);
    }

    /**
     * The same as far as it can still help: not below 0 when it cannot. The ways that begin are
     * taken one after the other from what those that end have left.
     */
    private double swapGain(int from, int middle, int to) {
        int[] o = tour.order;
        double left = ended(from, middle, to) - tour.way(tour.at(from - 1), o[middle]);
        if (left > 0) {
            left -= tour.way(o[to], o[from]);
        }
        if (left > 0 && to + 1 < n) {
            left -= tour.way(o[middle - 1], o[to + 1]);
        }
        return -left;
    }

    /** The same with the stretch that moves turned over. */
    private double overGain(int from, int middle, int to, boolean firstMoves) {
        int[] o = tour.order;
        int before = tour.at(from - 1);
        int into = firstMoves ? o[middle] : o[to];
        int joint = firstMoves ? o[to] : o[middle];
        int next = firstMoves ? o[middle - 1] : o[from];
        double left = ended(from, middle, to) - tour.way(before, into);
        if (left > 0) {
            left -= tour.way(joint, next);
        }
        if (left > 0 && to + 1 < n) {
            left -= tour.way(firstMoves ? o[from] : o[middle - 1], o[to + 1]);
        }
        return left > 0
                ? -left + turnedOver(firstMoves ? from : middle, firstMoves ? middle - 1 : to)
                : -left;
    }

    /** What the ways within a stretch change by when it is turned over. */
    private double turnedOver(int from, int to) {
        double change = 0;
        for (int i = from + 1; i <= to; i++) {
            change += tour.way(tour.order[i], tour.order[i - 1]) - tour.wayTo(i);
        }
        return change;
    }

    private void swapOver(int from, int middle, int to, boolean firstMoves, boolean over) {
        swap(from, middle, to);
        if (over) {
            int length = firstMoves ? middle - from : to - middle + 1;
            turn(firstMoves ? to - length + 1 : from, firstMoves ? to : from + length - 1);
        }
    }

    private void swap(int from, int middle, int to) {
        int joint = from + (to - middle);
        turn(from, to);
        turn(from, joint);
        turn(joint + 1, to);
    }

    /**
     * Does something to a stretch. When an order costs more than its ways, what that changes is
     * measured too, and what does not help after all is taken back, unless it is wanted in any
     * case.
     *
     * @param ways what it changes of the ways, seconds
     * @return what it changes in all, seconds; 0 when it was taken back
     */
    private double doing(int from, int to, double ways, boolean inAnyCase, Runnable deed) {
        int mark = turned;
        double change = ways;
        if (!tour.isPriced()) {
            deed.run();
        } else {
            int end = to + 1 + tour.echo();
            double before = tour.cost(from, end);
            deed.run();
            change = tour.cost(from, end) - before;
            if (change > -GAIN && !inAnyCase) {
                takeBack(mark);
                return 0;
            }
        }
        lookAround(mark);
        return change;
    }

    private void turn(int from, int to) {
        if (to > from) {
            tour.reverse(from, to);
        }
        if (2 * turned + 2 > journal.length) {
            journal = Arrays.copyOf(journal, 2 * journal.length);
        }
        journal[2 * turned] = from;
        journal[2 * turned + 1] = to;
        turned++;
    }

    /** The ends of what was turned since a mark have new neighbours. */
    private void lookAround(int mark) {
        for (int k = mark; k < turned; k++) {
            int from = journal[2 * k];
            int to = journal[2 * k + 1];
            look(from - 1);
            look(from);
            look(to);
            look(to + 1);
        }
    }

    private void takeBack(int mark) {
        for (int k = turned - 1; k >= mark; k--) {
            if (journal[2 * k + 1] > journal[2 * k]) {
                tour.reverse(journal[2 * k], journal[2 * k + 1]);
            }
        }
        turned = mark;
    }
}
