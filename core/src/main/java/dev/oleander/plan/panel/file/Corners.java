package dev.oleander.plan.panel.file;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.panel.PanelException;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** An outline as corners with bulges to the next. */
final class Corners {

    /** mm by which something may lie outside because of how numbers are written. */
    private static final double WRITTEN = 1e-4;

    private static final int MOST = 10_000;

    private final List<Point> points = new ArrayList<>();
    private final List<Double> bulges = new ArrayList<>();
    private final String what;

    Corners(List<List<Amount>> rows, Map<String, Double> names, String what) {
        this.what = what;
        if (rows.size() > MOST) {
            throw new PanelException(
                    "%s has %d corners; %d at most.".formatted(what, rows.size(), MOST));
        }
        for (List<Amount> row : rows) {
            if (row == null || row.size() < 2 || row.size() > 3) {
                throw new PanelException(what + ": a corner has two or three numbers.");
            }
            points.add(new Point(row.get(0).in(names, what), row.get(1).in(names, what)));
            bulges.add(row.size() == 3 ? row.get(2).in(names, what) : 0.0);
        }
    }

    int count() {
        return points.size();
    }

    Contour contour() {
        boolean enough = count() >= 3 || count() == 2 && bulges.stream().anyMatch(b -> b != 0);
        if (!enough) {
            throw new PanelException(
                    "%s has %d corners; it needs 3, or 2 with a bulge.".formatted(what, count()));
        }
        return new Contour(segments(count()));
    }

    Path path() {
        if (count() < 2) {
            throw new PanelException("%s has %d corners; a line needs 2.".formatted(what, count()));
        }
        return new Path(segments(count() - 1));
    }

    private List<Segment> segments(int number) {
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < number; i++) {
            Point from = points.get(i);
            Point to = points.get((i + 1) % count());
            segments.add(
                    bulges.get(i) == 0 ? new Line(from, to) : new Arc(from, to, bulges.get(i)));
        }
        return segments;
    }

    /**
     * @throws PanelException when a box lies partly outside
     */
    void requireWithin(Box box, double across, double up) {
        requireWithin(box, across, up, what);
    }

    static void requireWithin(Box box, double across, double up, String what) {
        requireBetween(box.min().x(), box.max().x(), across, what);
        requireBetween(box.min().y(), box.max().y(), up, what);
    }

    private static void requireBetween(double least, double most, double end, String what) {
        if (least < -WRITTEN) {
            throw outside(what, -least, least + " < 0");
        }
        if (most > end + WRITTEN) {
            throw outside(
                    what,
                    most - end,
                    "%s > %s".formatted(Numbers.plain(most, 3), Numbers.plain(end, 3)));
        }
    }

    private static PanelException outside(String what, double by, String why) {
        return new PanelException(
                "%s lies %s mm outside the panel (%s).".formatted(what, Numbers.plain(by, 3), why));
    }
}
