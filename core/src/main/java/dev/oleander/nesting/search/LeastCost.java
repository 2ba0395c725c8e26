package dev.oleander.nesting.search;

import java.util.Arrays;

/**
 * Least cost of variables between bounds, under rows {@code sum of factor x variable <= limit}: the
 * dual simplex for variables with two bounds, in a dictionary (Chvatal 1983, Linear Programming,
 * chapters 3, 8 and 10). Only rows that hold as equations are kept in it; all others are looked at
 * as they were given, so a step costs little with few variables, however many rows there are.
 */
final class LeastCost {

    /** By how much a row or a bound may be passed. */
    private static final double EXACT = 1e-8;

    /** Smaller pivots are rounding. */
    private static final double SMALLEST_PIVOT = 1e-7;

    /** Costs that differ by less are the same. */
    private static final double SAME = 1e-13;

    /** Steps for each variable after which it is given up. */
    private static final int MOST_STEPS = 12;

    private static final int NONE = Integer.MIN_VALUE;

    private final int n;
    private final double[] low;
    private final double[] high;

    /** Values of the variables. */
    final double[] x;

    /** What a unit of what is in each column costs. */
    private final double[] price;

    /** By column: a variable at one of its bounds, or -1 - r for a row r that is an equation. */
    private final int[] column;

    /** By variable: whether it stands at its upper bound, when it has a column. */
    private final boolean[] atHigh;

    /** By variable: its column, and its row in the dictionary; -1: it has none. */
    private final int[] columnOf;

    private final int[] place;

    /** Variables between their bounds in terms of the columns. */
    private final double[][] dictionary;

    private final int[] variableAt;
    private int count;

    private final Rows rows = new Rows();

    /** What leaves the dictionary, in terms of the columns. */
    private final double[] leaving;

    private long effort;

    /** Rows as they were given. */
    private static final class Rows {

        private int count;
        private int[] from = new int[256];
        private double[] limit = new double[256];
        private boolean[] isEquation = new boolean[256];
        private int[] variable = new int[2048];
        private double[] factor = new double[2048];

        void begin(double most) {
            if (count + 2 > from.length) {
                from = Arrays.copyOf(from, 2 * from.length);
                limit = Arrays.copyOf(limit, 2 * limit.length);
                isEquation = Arrays.copyOf(isEquation, 2 * isEquation.length);
            }
            limit[count] = most;
            count++;
            from[count] = from[count - 1];
        }

        void add(int of, double by) {
            int at = from[count];
            if (at == variable.length) {
                variable = Arrays.copyOf(variable, 2 * at);
                factor = Arrays.copyOf(factor, 2 * at);
            }
            variable[at] = of;
            factor[at] = by;
            from[count] = at + 1;
        }

        double over(int r, double[] x) {
            double over = -limit[r];
            for (int k = from[r]; k < from[r + 1]; k++) {
                over += factor[k] * x[variable[k]];
            }
            return over;
        }
    }

    /**
     * @param low finite, as {@code high} is
     * @param cost of a unit of each variable
     */
    LeastCost(double[] low, double[] high, double[] cost) {
        this.n = low.length;
        this.low = low;
        this.high = high;
        this.price = cost.clone();
        this.x = new double[n];
        this.column = new int[n];
        this.columnOf = new int[n];
        this.atHigh = new boolean[n];
        this.place = new int[n];
        this.dictionary = new double[n][];
        this.variableAt = new int[n];
        this.leaving = new double[n];
        Arrays.fill(place, -1);
        for (int j = 0; j < n; j++) {
            column[j] = j;
            columnOf[j] = j;
            atHigh[j] = cost[j] < 0;
            x[j] = atHigh[j] ? high[j] : low[j];
        }
    }

    /** Begins a row; its factors follow. */
    void row(double limit) {
        rows.begin(limit);
    }

    /** Another factor of the row that was begun last. */
    void add(int variable, double factor) {
        rows.add(variable, factor);
    }

    /** Multiplications that were made so far. */
    long effort() {
        return effort;
    }

    /**
     * @return whether the values are the cheapest; not when the rows leave no room, or rounding got
     *     in the way
     */
    boolean solve() {
        for (int step = 0; step < MOST_STEPS * n; step++) {
            int worst = worst();
            if (worst == NONE) {
                return true;
            }
            boolean moved = worst >= 0 ? backInBounds(worst) : backBelow(-1 - worst);
            if (!moved) {
                return false;
            }
        }
        return false;
    }

    /** What is passed farthest: a variable in the dictionary, or -1 - r for row r. */
    private int worst() {
        int worst = NONE;
        double most = EXACT;
        for (int r = 0; r < rows.count; r++) {
            double over = rows.isEquation[r] ? 0 : rows.over(r, x);
            if (over > most) {
                most = over;
                worst = -1 - r;
            }
        }
        for (int p = 0; p < count; p++) {
            int j = variableAt[p];
            double over = Math.max(low[j] - x[j], x[j] - high[j]);
            if (over > most) {
                most = over;
                worst = j;
            }
        }
        effort += rows.from[rows.count] + count;
        return worst;
    }

    private boolean backInBounds(int j) {
        boolean toHigh = x[j] > high[j];
        System.arraycopy(dictionary[place[j]], 0, leaving, 0, n);
        int q = makeUp(toHigh ? x[j] - high[j] : low[j] - x[j], toHigh ? -1 : 1);
        if (q < 0) {
            return false;
        }
        takeOut(j);
        int entering = column[q];
        double[] row = solvedFor(q);
        column[q] = j;
        columnOf[j] = q;
        atHigh[j] = toHigh;
        x[j] = toHigh ? high[j] : low[j];
        enter(entering, row);
        return true;
    }

    private boolean backBelow(int r) {
        double over = rows.over(r, x);
        Arrays.fill(leaving, 0);
        for (int k = rows.from[r]; k < rows.from[r + 1]; k++) {
            int j = rows.variable[k];
            double factor = rows.factor[k];
            if (place[j] < 0) {
                leaving[columnOf[j]] -= factor;
            } else {
                addTo(leaving, dictionary[place[j]], -factor);
            }
        }
        int q = makeUp(over, 1);
        if (q < 0) {
            return false;
        }
        int entering = column[q];
        double[] row = solvedFor(q);
        column[q] = -1 - r;
        rows.isEquation[r] = true;
        enter(entering, row);
        return true;
    }

    private void addTo(double[] sum, double[] row, double factor) {
        for (int q = 0; q < n; q++) {
            sum[q] += factor * row[q];
        }
        effort += n;
    }

    /**
     * Moves the columns that cost least for it, until what leaves has changed by so much.
     *
     * @param sense 1: it grows; -1: it shrinks
     * @return the last of these columns, which has to enter; -1: there are none
     */
    private int makeUp(double amount, int sense) {
        double left = amount;
        boolean[] spent = new boolean[n];
        while (true) {
            int q = cheapest(sense, spent);
            if (q < 0) {
                return -1;
            }
            int j = column[q];
            double room = j < 0 ? Double.POSITIVE_INFINITY : high[j] - low[j];
            double most = room * Math.abs(leaving[q]);
            if (most >= left) {
                move(q, sense * left / leaving[q]);
                return q;
            }
            move(q, atHigh[j] ? -room : room);
            atHigh[j] = !atHigh[j];
            x[j] = atHigh[j] ? high[j] : low[j];
            left -= most;
            spent[q] = true;
        }
    }

    /** The column whose price changes sides first; of equal ones that with the largest factor. */
    private int cheapest(int sense, boolean[] spent) {
        int best = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int q = 0; q < n; q++) {
            boolean falls = column[q] >= 0 && atHigh[column[q]];
            double gain = falls ? -sense * leaving[q] : sense * leaving[q];
            if (gain > SMALLEST_PIVOT && !spent[q]) {
                double ratio = Math.abs(price[q]) / gain;
                boolean same = Math.abs(ratio - least) <= SAME;
                if (same ? gain > Math.abs(leaving[best]) : ratio < least) {
                    least = same ? Math.min(least, ratio) : ratio;
                    best = q;
                }
            }
        }
        effort += n;
        return best;
    }

    private void move(int q, double by) {
        if (column[q] >= 0) {
            x[column[q]] += by;
        }
        for (int p = 0; p < count; p++) {
            x[variableAt[p]] += dictionary[p][q] * by;
        }
        effort += count;
    }

    /** What is in a column in terms of the others, with what leaves in its place. */
    private double[] solvedFor(int q) {
        double pivot = leaving[q];
        double[] row = new double[n];
        for (int k = 0; k < n; k++) {
            row[k] = -leaving[k] / pivot;
        }
        row[q] = 1 / pivot;
        for (int p = 0; p < count; p++) {
            substitute(dictionary[p], row, q);
        }
        substitute(price, row, q);
        return row;
    }

    private void substitute(double[] in, double[] row, int q) {
        double factor = in[q];
        if (factor != 0) {
            in[q] = 0;
            addTo(in, row, factor);
        }
    }

    private void enter(int what, double[] row) {
        if (what < 0) {
            rows.isEquation[-1 - what] = false;
            return;
        }
        columnOf[what] = -1;
        place[what] = count;
        variableAt[count] = what;
        dictionary[count] = row;
        count++;
    }

    private void takeOut(int j) {
        int p = place[j];
        count--;
        dictionary[p] = dictionary[count];
        variableAt[p] = variableAt[count];
        place[variableAt[p]] = p;
        place[j] = -1;
    }

    double check() {
        double w = 0;
        for (int r = 0; r < rows.count; r++) w = Math.max(w, rows.over(r, x));
        for (int j = 0; j < n; j++) w = Math.max(w, Math.max(low[j] - x[j], x[j] - high[j]));
        return w;
    }
}
