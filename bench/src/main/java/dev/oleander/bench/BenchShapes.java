package dev.oleander.bench;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.fit.Flattener;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.OffsetOptions.Ends;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;

/** Made-up shapes of the geometry benchmarks, and their flattened twins for the other library. */
final class BenchShapes {

    static final GeometryFactory JTS = new GeometryFactory();

    /** mm; radius of the ring with 1,000 segments, depth of its teeth and radius of their tips. */
    private static final double RADIUS = 100;

    private static final double DEPTH = 2.5;
    private static final double TIP = 0.5;

    /** Letters as strokes in a cell of 60 x 100: lines x0 y0 x1 y1, arcs with a bulge too. */
    private static final double[][][] LETTERS = {
        {{30, 0, 30, 100, 1}, {30, 100, 30, 0, 1}},
        {{5, 100, 5, 0}, {5, 0, 55, 0}},
        {{55, 0, 5, 0}, {5, 0, 5, 100}, {5, 100, 55, 100}, {5, 52, 45, 52}},
        {{0, 0, 30, 100}, {30, 100, 60, 0}, {12, 38, 48, 38}},
        {{5, 0, 5, 100}, {5, 100, 55, 0}, {55, 0, 55, 100}},
        {{5, 0, 5, 100}, {5, 100, 5, 0, -0.8}},
        {{5, 0, 5, 100}, {5, 100, 5, 46, -1}, {20, 46, 55, 0}}
    };

    private BenchShapes() {}

    /**
     * A ring of teeth with rounded tips and roots: half lines, half arcs, all tangent. More
     * segments make it larger; the teeth stay as they are.
     */
    static Contour ring(int segments) {
        int n = segments / 2;
        double radius = RADIUS * segments / 1000;
        Point[] corner = new Point[n];
        for (int i = 0; i < n; i++) {
            double r = i % 2 == 0 ? radius : radius - DEPTH;
            corner[i] = Point.polar(r, 2 * Math.PI * i / n);
        }
        Point[] in = new Point[n];
        Point[] out = new Point[n];
        double[] bulge = new double[n];
        for (int i = 0; i < n; i++) {
            Point u = corner[i].minus(corner[(i + n - 1) % n]).unit();
            Point w = corner[(i + 1) % n].minus(corner[i]).unit();
            double turn = Math.atan2(u.cross(w), u.dot(w));
            double loss = TIP * Math.tan(Math.abs(turn) / 2);
            in[i] = corner[i].minus(u.times(loss));
            out[i] = corner[i].plus(w.times(loss));
            bulge[i] = Math.tan(turn / 4);
        }
        List<Segment> ring = new ArrayList<>(segments);
        for (int i = 0; i < n; i++) {
            ring.add(new Arc(in[i], out[i], bulge[i]));
            ring.add(new Line(out[i], in[(i + 1) % n]));
        }
        return new Contour(ring);
    }

    /** Letters of a name board, strokes 14 mm wide: regions with openings. */
    static List<Region> letters() {
        Offsetter pen = new Offsetter(OffsetOptions.defaults().withEnds(Ends.FLAT));
        List<Region> board = new ArrayList<>();
        for (int i = 0; i < LETTERS.length; i++) {
            List<Region> strokes = new ArrayList<>();
            for (double[] s : LETTERS[i]) {
                Segment stroke =
                        Segment.of(
                                new Point(s[0], s[1]),
                                new Point(s[2], s[3]),
                                s.length > 4 ? s[4] : 0);
                strokes.addAll(pen.band(new Path(List.of(stroke)), 7));
            }
            Transform place = Transform.translation(new Point(90.0 * i, 0));
            Overlay.union(strokes).forEach(r -> board.add(r.transformed(place)));
        }
        return board;
    }

    /** Discs strewn over a square so that most overlap several others. */
    static List<Region> discs(int n, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Region> discs = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
            Point centre = new Point(200 * random.nextDouble(), 200 * random.nextDouble());
            double radius = 4 + 8 * random.nextDouble();
            discs.add(new Region(Contour.circle(centre, radius), List.of()));
        }
        return discs;
    }

    /** A smooth curve of six waves. */
    static List<Point> wave(int n, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] a = random.doubles(24).map(d -> 2 * d - 1).toArray();
        List<Point> points = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
            double t = 4.5 * i / (n - 1);
            double x = 0;
            double y = 0;
            for (int k = 1; k <= 6; k++) {
                x += 60 * a[4 * k - 4] / k / k * Math.cos(k * t + 6 * a[4 * k - 3]);
                y += 60 * a[4 * k - 2] / k / k * Math.sin(k * t + 6 * a[4 * k - 1]);
            }
            points.add(new Point(x, y));
        }
        return points;
    }

    static Geometry flat(Region region, double gap) {
        LinearRing[] holes =
                region.openings().stream().map(o -> flat(o, gap)).toArray(LinearRing[]::new);
        return JTS.createPolygon(flat(region.outer(), gap), holes);
    }

    private static LinearRing flat(Contour contour, double gap) {
        return JTS.createLinearRing(
                new Flattener(gap)
                        .flatten(contour).stream()
                                .map(p -> new Coordinate(p.x(), p.y()))
                                .toArray(Coordinate[]::new));
    }

    static Geometry flat(List<Region> regions, double gap) {
        return JTS.createGeometryCollection(
                regions.stream().map(r -> flat(r, gap)).toArray(Geometry[]::new));
    }
}
