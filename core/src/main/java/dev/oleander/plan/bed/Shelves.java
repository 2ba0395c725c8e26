package dev.oleander.plan.bed;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts different parts on the stock in rows: the highest first, each in the first row that has room
 * (first fit by decreasing height: Coffman, Garey, Johnson, Tarjan 1980).
 */
final class Shelves {

    private static final double SLACK = 1e-6;

    private final double width;
    private final double height;
    private final double gap;

    /**
     * Room for parts; mm.
     *
     * @param gap between neighbours
     */
    Shelves(double width, double height, double gap) {
        this.width = width;
        this.height = height;
        this.gap = gap;
    }

    /** A part as it was turned, with its box there. */
    record Turned(PartRef part, Box box) {}

    /** A part at its place. */
    record Laid(Turned what, Point corner) {}

    private static final class Row {
        private final double y;
        private final double height;
        private double x;
        private int count;

        Row(double y, double height) {
            this.y = y;
            this.height = height;
        }
    }

    /** All that found a place, in the order in which they were put. */
    record Filled(List<Laid> laid, int rows, int columns) {

        /** Round all of them; nothing when there are none. */
        Point reach() {
            double x = 0;
            double y = 0;
            for (Laid one : laid) {
                x = Math.max(x, one.corner().x() + one.what().box().width());
                y = Math.max(y, one.corner().y() + one.what().box().height());
            }
            return new Point(x, y);
        }
    }

    /** The parts of a demand, turned. */
    static Map<Turned, Integer> turned(Reading reading, Demand demand, Transform turn) {
        Map<Turned, Integer> all = new LinkedHashMap<>();
        demand.of()
                .forEach(
                        (part, n) ->
                                all.put(
                                        new Turned(
                                                part,
                                                LayoutPlanner.turnedBox(part.box(reading), turn)),
                                        n));
        return all;
    }

    Filled fill(Map<Turned, Integer> wanted) {
        List<Turned> highest = new ArrayList<>(wanted.keySet());
        highest.sort(Comparator.comparingDouble((Turned t) -> t.box().height()).reversed());
        List<Row> rows = new ArrayList<>();
        List<Laid> laid = new ArrayList<>();
        for (Turned part : highest) {
            for (int i = 0; i < wanted.get(part) && put(part, rows, laid); i++) {
                // the rest finds no room either
            }
        }
        int most = rows.stream().mapToInt(r -> r.count).max().orElse(0);
        return new Filled(laid, rows.size(), most);
    }

    private boolean put(Turned part, List<Row> rows, List<Laid> laid) {
        for (Row row : rows) {
            boolean fits =
                    part.box().height() <= row.height + SLACK
                            && row.x + part.box().width() <= width + SLACK;
            if (fits) {
                add(part, row, laid);
                return true;
            }
        }
        double y = rows.isEmpty() ? 0 : last(rows).y + last(rows).height + gap;
        if (y + part.box().height() > height + SLACK || part.box().width() > width + SLACK) {
            return false;
        }
        rows.add(new Row(y, part.box().height()));
        add(part, last(rows), laid);
        return true;
    }

    private static Row last(List<Row> rows) {
        return rows.get(rows.size() - 1);
    }

    private void add(Turned part, Row row, List<Laid> laid) {
        laid.add(new Laid(part, new Point(row.x, row.y)));
        row.x += part.box().width() + gap;
        row.count++;
    }
}
