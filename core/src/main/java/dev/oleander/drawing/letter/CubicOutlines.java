package dev.oleander.drawing.letter;

import dev.oleander.geometry.Point;
import java.awt.geom.GeneralPath;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;

/** Outlines of a CFF table, whose numbers a path of floats holds exactly. */
final class CubicOutlines {

    private final List<List<Span>> outlines = new ArrayList<>();
    private List<Span> spans = new ArrayList<>();
    private Point start = Point.ORIGIN;
    private Point at = Point.ORIGIN;

    private CubicOutlines() {}

    static List<List<Span>> of(GeneralPath path) {
        CubicOutlines outlines = new CubicOutlines();
        double[] n = new double[6];
        for (PathIterator i = path.getPathIterator(null); !i.isDone(); i.next()) {
            switch (i.currentSegment(n)) {
                case PathIterator.SEG_MOVETO -> outlines.move(new Point(n[0], n[1]));
                case PathIterator.SEG_LINETO -> outlines.to(new Point(n[0], n[1]));
                case PathIterator.SEG_QUADTO ->
                        outlines.to(new Point(n[0], n[1]), new Point(n[2], n[3]));
                case PathIterator.SEG_CUBICTO ->
                        outlines.to(
                                new Point(n[0], n[1]),
                                new Point(n[2], n[3]),
                                new Point(n[4], n[5]));
                default -> outlines.close();
            }
        }
        outlines.close();
        return outlines.outlines;
    }

    private void move(Point to) {
        close();
        start = to;
        at = to;
    }

    private void to(Point... more) {
        List<Point> points = new ArrayList<>(List.of(at));
        points.addAll(List.of(more));
        Point end = more[more.length - 1];
        if (more.length > 1 || end.distance(at) > 0) {
            spans.add(new Span(points));
        }
        at = end;
    }

    private void close() {
        if (!spans.isEmpty()) {
            to(start);
            outlines.add(spans);
            spans = new ArrayList<>();
        }
        at = start;
    }
}
