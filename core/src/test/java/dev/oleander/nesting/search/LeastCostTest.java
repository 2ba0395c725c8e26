package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Linear programs against every corner of what their rows allow. */
class LeastCostTest {

    private static final int VARIABLES = 3;
    private static final double EXACT = 1e-6;

    /** sum of a x <= limit */
    private record Row(double[] a, double limit) {

        double over(double[] x) {
            double over = -limit;
            for (int j = 0; j < x.length; j++) {
                over += a[j] * x[j];
            }
            return over;
        }
    }

    private static List<Row> randomRows(SplittableRandom random, boolean holdOrigin) {
        List<Row> rows = new ArrayList<>();
        for (int r = 0; r < 1 + random.nextInt(8); r++) {
            double[] a = new double[VARIABLES];
            for (int j = 0; j < VARIABLES; j++) {
                a[j] = random.nextInt(3) == 0 ? 0 : random.nextDouble() * 2 - 1;
            }
            double limit = random.nextInt(3) == 0 ? 0 : random.nextDouble();
            rows.add(new Row(a, holdOrigin ? limit : limit - 0.5));
        }
        return rows;
    }

    private static List<Row> bounds() {
        List<Row> rows = new ArrayList<>();
        for (int j = 0; j < VARIABLES; j++) {
            for (int sign = -1; sign <= 1; sign += 2) {
                double[] a = new double[VARIABLES];
                a[j] = sign;
                rows.add(new Row(a, 1));
            }
        }
        return rows;
    }

    /** Least cost at a corner where three of the rows meet; infinite: there is none. */
    private static double leastOfCorners(List<Row> rows, double[] cost) {
        double least = Double.POSITIVE_INFINITY;
        for (int p = 0; p < rows.size(); p++) {
            for (int q = 0; q < p; q++) {
                for (int r = 0; r < q; r++) {
                    double[] x = corner(rows.get(p), rows.get(q), rows.get(r));
                    if (x != null && rows.stream().allMatch(row -> row.over(x) < 1e-9)) {
                        least = Math.min(least, cost(cost, x));
                    }
                }
            }
        }
        return least;
    }

    private static double[] corner(Row p, Row q, Row r) {
        double det = determinant(p.a, q.a, r.a);
        if (Math.abs(det) < 1e-9) {
            return null;
        }
        double[] x = new double[VARIABLES];
        for (int j = 0; j < VARIABLES; j++) {
            x[j] = determinant(with(p, j), with(q, j), with(r, j)) / det;
        }
        return x;
    }

    private static double[] with(Row row, int j) {
        double[] a = row.a.clone();
        a[j] = row.limit;
        return a;
    }

    private static double determinant(double[] a, double[] b, double[] c) {
        return a[0] * (b[1] * c[2] - b[2] * c[1])
                - a[1] * (b[0] * c[2] - b[2] * c[0])
                + a[2] * (b[0] * c[1] - b[1] * c[0]);
    }

    private static double cost(double[] cost, double[] x) {
        return cost[0] * x[0] + cost[1] * x[1] + cost[2] * x[2];
    }

    private static LeastCost program(List<Row> rows, double[] cost) {
        LeastCost program = new LeastCost(new double[] {-1, -1, -1}, new double[] {1, 1, 1}, cost);
        for (Row row : rows) {
            program.row(row.limit);
            for (int j = 0; j < VARIABLES; j++) {
                program.add(j, row.a[j]);
            }
        }
        return program;
    }

    @Test
    void findsTheCheapestCorner() {
        SplittableRandom random = new SplittableRandom(3);
        int impossible = 0;
        for (int k = 0; k < 4000; k++) {
            List<Row> rows = randomRows(random, k % 2 == 0);
            double[] cost = random.doubles(VARIABLES, -1, 1).toArray();
            cost[random.nextInt(VARIABLES)] *= random.nextInt(2);
            List<Row> all = new ArrayList<>(rows);
            all.addAll(bounds());
            double least = leastOfCorners(all, cost);

            LeastCost program = program(rows, cost);
            boolean solved = program.solve();

            assertThat(solved).as("program %d", k).isEqualTo(least < Double.POSITIVE_INFINITY);
            if (solved) {
                assertThat(all).allMatch(row -> row.over(program.x) < EXACT);
                assertThat(cost(cost, program.x))
                        .as("program %d", k)
                        .isCloseTo(least, within(EXACT));
            } else {
                impossible++;
            }
        }
        assertThat(impossible).isBetween(100, 1900);
    }

    /** A chain of parts in a row is pushed against the edge, each to the one before. */
    @Test
    void pushesAChainTogether() {
        int n = 120;
        double[] low = new double[n];
        double[] high = new double[n];
        double[] cost = new double[n];
        java.util.Arrays.fill(low, -500);
        java.util.Arrays.fill(high, 500);
        cost[n - 1] = 1;
        LeastCost program = new LeastCost(low, high, cost);
        for (int j = 0; j < n; j++) {
            program.row(j == 0 ? 3 : 1);
            program.add(j, -1);
            if (j > 0) {
                program.add(j - 1, 1);
            }
        }
        assertThat(program.solve()).isTrue();
        assertThat(program.x[n - 1]).isCloseTo(-3 - (n - 1), within(EXACT));
        assertThat(program.effort()).isPositive();
    }
}
