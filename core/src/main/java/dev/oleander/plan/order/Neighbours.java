package dev.oleander.plan.order;

import dev.oleander.geometry.Point;
import java.util.Arrays;
import java.util.List;

/** The nearest visits of each visit, by where they begin. A grid with about two places per cell. */
final class Neighbours {

    private final double[] x;
    private final double[] y;
    private final int[] firstOfCell;
    private final int[] byCell;
    private final double left;
    private final double bottom;
    private final double cell;
    private final int columns;
    private final int rows;

    /** Neighbours of i from {@code i * each}, the nearest first; -1 where there are no more. */
    private final int[] found;

    private final int each;

    Neighbours(List<OrderProblem.Visit> visits, int most) {
        int n = visits.size();
        this.each = Math.min(most, n - 1);
        this.x = visits.stream().map(OrderProblem.Visit::begin).mapToDouble(Point::x).toArray();
        this.y = visits.stream().map(OrderProblem.Visit::begin).mapToDouble(Point::y).toArray();
        this.left = Arrays.stream(x).min().orElse(0);
        this.bottom = Arrays.stream(y).min().orElse(0);
        double width = Arrays.stream(x).max().orElse(0) - left;
        double height = Arrays.stream(y).max().orElse(0) - bottom;
        double longer = Math.max(Math.max(width, height), 1e-9);
        int across = Math.max(1, (int) Math.sqrt(n / 2.0));
        this.cell = longer / across;
        this.columns = Math.min(across, (int) (width / cell)) + 1;
        this.rows = Math.min(across, (int) (height / cell)) + 1;
        this.firstOfCell = new int[columns * rows + 1];
        this.byCell = new int[n];
        sortIntoCells(n);
        this.found = new int[n * Math.max(1, each)];
        for (int i = 0; i < n && each > 0; i++) {
            find(i);
        }
    }

    private void sortIntoCells(int n) {
        for (int i = 0; i < n; i++) {
            firstOfCell[cellOf(i) + 1]++;
        }
        for (int c = 0; c + 1 < firstOfCell.length; c++) {
            firstOfCell[c + 1] += firstOfCell[c];
        }
        int[] next = firstOfCell.clone();
        for (int i = 0; i < n; i++) {
            byCell[next[cellOf(i)]++] = i;
        }
    }

    private int column(int i) {
        return Math.min(columns - 1, (int) ((x[i] - left) / cell));
    }

    private int row(int i) {
        return Math.min(rows - 1, (int) ((y[i] - bottom) / cell));
    }

    private int cellOf(int i) {
        return row(i) * columns + column(i);
    }

    /** Looks at rings of cells until the last one found is nearer than what is not looked at. */
    private void find(int i) {
        double[] distances = new double[each];
        int count = 0;
        int reach = Math.max(columns, rows);
        for (int ring = 0; ring <= reach; ring++) {
            double seen = (ring - 1) * cell;
            if (count == each && ring > 0 && distances[each - 1] <= seen * seen) {
                break;
            }
            count = lookAtRing(i, ring, distances, count);
        }
        Arrays.fill(found, i * each + count, (i + 1) * each, -1);
    }

    private int lookAtRing(int i, int ring, double[] distances, int count) {
        int now = count;
        int column = column(i);
        int row = row(i);
        for (int r = Math.max(0, row - ring); r <= Math.min(rows - 1, row + ring); r++) {
            int step = Math.abs(r - row) == ring || ring == 0 ? 1 : 2 * ring;
            for (int c = column - ring; c <= column + ring; c += step) {
                if (c >= 0 && c < columns) {
                    now = lookAtCell(i, r * columns + c, distances, now);
                }
            }
        }
        return now;
    }

    private int lookAtCell(int i, int number, double[] distances, int count) {
        int now = count;
        for (int k = firstOfCell[number]; k < firstOfCell[number + 1]; k++) {
            int other = byCell[k];
            double dx = x[other] - x[i];
            double dy = y[other] - y[i];
            double distance = dx * dx + dy * dy;
            if (other != i && (now < each || distance < distances[each - 1])) {
                now = insert(i, other, distance, distances, now);
            }
        }
        return now;
    }

    private int insert(int i, int other, double distance, double[] distances, int count) {
        int place = Math.min(count, each - 1);
        while (place > 0 && distances[place - 1] > distance) {
            distances[place] = distances[place - 1];
            found[i * each + place] = found[i * each + place - 1];
            place--;
        }
        distances[place] = distance;
        found[i * each + place] = other;
        return Math.min(each, count + 1);
    }

    /** How many each visit has. */
    int each() {
        return each;
    }

    /** The k-th nearest of a visit, from 0; -1 when there are no more. */
    int of(int visit, int k) {
        return found[visit * each + k];
    }
}
