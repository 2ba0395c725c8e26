package dev.oleander.work.sheet.order;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Points that come and go, asked for the nearest to a place. A grid with about one point per cell;
 * cells are looked at in rings round the place. Of equally near points the lowest number wins.
 */
final class NearestFinder {

    /** With so few left, looking at all is quicker than at empty cells. */
    private static final int FEW = 24;

    private final Point[] points;
    private final double left;
    private final double bottom;
    private final double cell;
    private final int columns;
    private final int rows;
    private final List<List<Integer>> cells;
    private final List<Integer> present = new ArrayList<>();

    /** Position of each number in {@code present}; -1 when it is not there. */
    private final int[] positions;

    /**
     * @param points by number; null where a number never comes
     */
    NearestFinder(Point[] points) {
        this.points = points;
        double minX = Double.POSITIVE_INFINITY;
        double minY = Double.POSITIVE_INFINITY;
        double maxX = Double.NEGATIVE_INFINITY;
        double maxY = Double.NEGATIVE_INFINITY;
        int count = 0;
        for (Point p : points) {
            if (p != null) {
                minX = Math.min(minX, p.x());
                minY = Math.min(minY, p.y());
                maxX = Math.max(maxX, p.x());
                maxY = Math.max(maxY, p.y());
                count++;
            }
        }
        double width = Math.max(maxX - minX, 1e-6);
        double height = Math.max(maxY - minY, 1e-6);
        this.left = count == 0 ? 0 : minX;
        this.bottom = count == 0 ? 0 : minY;
        int across = (int) Math.ceil(Math.sqrt(Math.max(1, count)));
        this.cell = count == 0 ? 1 : Math.max(width, height) / across;
        this.columns = count == 0 ? 1 : (int) (width / cell) + 1;
        this.rows = count == 0 ? 1 : (int) (height / cell) + 1;
        this.cells = new ArrayList<>(columns * rows);
        for (int i = 0; i < columns * rows; i++) {
            cells.add(null);
        }
        this.positions = new int[points.length];
        Arrays.fill(positions, -1);
    }

    void add(int number) {
        positions[number] = present.size();
        present.add(number);
        int at = cellOf(points[number]);
        if (cells.get(at) == null) {
            cells.set(at, new ArrayList<>(2));
        }
        cells.get(at).add(number);
    }

    void remove(int number) {
        int last = present.remove(present.size() - 1);
        if (last != number) {
            present.set(positions[number], last);
            positions[last] = positions[number];
        }
        positions[number] = -1;
        cells.get(cellOf(points[number])).remove((Integer) number);
    }

    boolean isEmpty() {
        return present.isEmpty();
    }

    boolean has(int number) {
        return positions[number] >= 0;
    }

    private int cellOf(Point p) {
        return row(p.y()) * columns + column(p.x());
    }

    private int column(double x) {
        return Math.max(0, Math.min(columns - 1, (int) Math.floor((x - left) / cell)));
    }

    private int row(double y) {
        return Math.max(0, Math.min(rows - 1, (int) Math.floor((y - bottom) / cell)));
    }

    /** The number of the nearest point present; -1 when there is none. */
    int nearest(Point place) {
        Best best = new Best(place);
        if (present.size() <= FEW) {
            present.forEach(best::offer);
            return best.number;
        }
        int column = column(place.x());
        int row = row(place.y());
        int reach = Math.max(columns, rows);
        for (int ring = 0; ring <= reach; ring++) {
            lookAtRing(column, row, ring, best);
            // what is not in this ring's square is farther than its edge
            if (best.number >= 0 && best.distance <= edge(place, column, row, ring)) {
                break;
            }
        }
        return best.number;
    }

    /** Distance from a place to the nearest side of the square of cells, beyond which is more. */
    private double edge(Point place, int column, int row, int ring) {
        double west = place.x() - (left + (column - ring) * cell);
        double east = left + (column + ring + 1) * cell - place.x();
        double south = place.y() - (bottom + (row - ring) * cell);
        double north = bottom + (row + ring + 1) * cell - place.y();
        return Math.min(
                Math.min(open(column - ring > 0, west), open(column + ring < columns - 1, east)),
                Math.min(open(row - ring > 0, south), open(row + ring < rows - 1, north)));
    }

    /** A side with no cells beyond it limits nothing. */
    private static double open(boolean more, double distance) {
        return more ? distance : Double.POSITIVE_INFINITY;
    }

    private void lookAtRing(int column, int row, int ring, Best best) {
        for (int y = Math.max(0, row - ring); y <= Math.min(rows - 1, row + ring); y++) {
            boolean side = Math.abs(y - row) == ring;
            int step = side || ring == 0 ? 1 : 2 * ring;
            for (int x = column - ring; x <= column + ring; x += step) {
                if (x >= 0 && x < columns) {
                    List<Integer> here = cells.get(y * columns + x);
                    if (here != null) {
                        here.forEach(best::offer);
                    }
                }
            }
        }
    }

    private final class Best {
        private final Point place;
        private int number = -1;
        private double distance = Double.POSITIVE_INFINITY;

        Best(Point place) {
            this.place = place;
        }

        void offer(int candidate) {
            double d = points[candidate].distance(place);
            if (d < distance || (d == distance && candidate < number)) {
                distance = d;
                number = candidate;
            }
        }
    }
}
