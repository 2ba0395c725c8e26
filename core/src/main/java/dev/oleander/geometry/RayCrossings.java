package dev.oleander.geometry;

import java.util.stream.DoubleStream;

/** Counts how often the ray from a point to the right crosses a segment. */
final class RayCrossings {

    private RayCrossings() {}

    static int count(Segment segment, Point p) {
        return segment.fold(line -> count(line, p), arc -> count(arc, p));
    }

    private static int count(Line line, Point p) {
        Point a = line.start();
        Point b = line.end();
        if ((a.y() <= p.y()) == (b.y() <= p.y())) {
            return 0;
        }
        double side = b.minus(a).cross(p.minus(a));
        boolean rising = b.y() > a.y();
        return (side > 0) == rising ? 1 : 0;
    }

    /** Splits the arc where it turns in y; each half-open piece is crossed at most once. */
    private static int count(Arc arc, Point p) {
        Point centre = arc.centre();
        double radius = arc.radius();
        double rise = p.y() - centre.y();
        if (Math.abs(rise) > radius) {
            return 0;
        }
        double half = Math.sqrt(radius * radius - rise * rise);
        double[] cuts = monotoneCuts(arc, centre, radius);
        int crossings = 0;
        double y0 = arc.start().y();
        for (int i = 1; i < cuts.length; i++) {
            double y1 = cuts[i] == 1 ? arc.end().y() : arc.at(cuts[i]).y();
            if ((y0 <= p.y()) != (y1 <= p.y())) {
                boolean right = arc.at((cuts[i - 1] + cuts[i]) / 2).x() > centre.x();
                double x = right ? centre.x() + half : centre.x() - half;
                crossings += x > p.x() ? 1 : 0;
            }
            y0 = y1;
        }
        return crossings;
    }

    /** Parameters 0, those of the top and bottom of the circle within the arc, and 1, in order. */
    private static double[] monotoneCuts(Arc arc, Point centre, double radius) {
        double top = arc.parameterOf(new Point(centre.x(), centre.y() + radius));
        double bottom = arc.parameterOf(new Point(centre.x(), centre.y() - radius));
        return DoubleStream.of(0, top, bottom, 1)
                .filter(t -> t >= 0 && t <= 1)
                .sorted()
                .distinct()
                .toArray();
    }
}
