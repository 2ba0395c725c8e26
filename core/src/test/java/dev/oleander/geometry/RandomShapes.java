package dev.oleander.geometry;

import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/** Made-up shapes, friendly and hostile, the same for the same seed. */
public final class RandomShapes {

    /** How many kinds of contours there are. */
    public static final int KINDS = 7;

    private final SplittableRandom random;

    public RandomShapes(long seed) {
        random = new SplittableRandom(seed);
    }

    public SplittableRandom random() {
        return random;
    }

    public double between(double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    /** A simple contour of a kind. */
    public Contour contour(int kind) {
        return switch (kind) {
            case 0 -> star();
            case 1 -> skyline();
            case 2 -> rounded(skyline(), 0.25 * (1 + random.nextInt(2)));
            case 3 -> skyline().transformed(Transform.rotation(between(0, 6)));
            case 4 -> rounded(spikes(), between(0.5, 3));
            case 5 -> slivers();
            default -> keyhole();
        };
    }

    /** Lines and arcs of any bulge about the origin; may cross itself. */
    private Contour star() {
        int n = 3 + random.nextInt(14);
        double turn = random.nextDouble();
        Point[] p = new Point[n];
        for (int i = 0; i < n; i++) {
            p[i] = Point.polar(between(10, 60), 2 * Math.PI * (i + 0.6 * between(0, 1) + turn) / n);
        }
        double most = random.nextDouble();
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double bulge = random.nextBoolean() ? 0 : between(-most, most);
            segments.add(Segment.of(p[i], p[(i + 1) % n], bulge));
        }
        return new Contour(segments);
    }

    /** Upright steps on whole numbers: edges of shifted copies coincide. */
    private Contour skyline() {
        int n = 2 + random.nextInt(7);
        int[] height = new int[n];
        int[] width = new int[n];
        int x = 0;
        for (int i = 0; i < n; i++) {
            height[i] = 1 + random.nextInt(6);
            width[i] = 1 + random.nextInt(4);
            x += width[i];
        }
        List<Point> points = new ArrayList<>(List.of(new Point(0, 0), new Point(x, 0)));
        for (int i = n - 1; i >= 0; i--) {
            addOnce(points, new Point(x, height[i]));
            x -= width[i];
            addOnce(points, new Point(x, height[i]));
        }
        return polygon(points);
    }

    private static void addOnce(List<Point> points, Point p) {
        if (!points.get(points.size() - 1).equals(p)) {
            points.add(p);
        }
    }

    private Contour spikes() {
        int n = 4 + random.nextInt(8);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            points.add(Point.polar(between(20, 50), 2 * Math.PI * (i + 0.3 * between(0, 1)) / n));
        }
        return polygon(points);
    }

    /** Edges of 1e-7 mm, arcs that are nearly straight, a needle. */
    private Contour slivers() {
        List<Point> points = new ArrayList<>();
        points.add(new Point(0, 0));
        points.add(new Point(between(5, 20), 0));
        points.add(points.get(1).plus(new Point(1e-7, 1e-7)));
        points.add(new Point(points.get(1).x() + between(0, 3), between(4, 9)));
        points.add(new Point(points.get(3).x() - 1e-3, 30));
        points.add(new Point(points.get(3).x() - 2e-3, points.get(3).y()));
        points.add(new Point(between(-2, 2), between(5, 9)));
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            boolean tiny = i % 3 == 1;
            double bulge = tiny ? 0 : between(-1, 1) * Math.pow(10, -2 - random.nextInt(9));
            segments.add(Segment.of(points.get(i), points.get((i + 1) % points.size()), bulge));
        }
        return new Contour(segments);
    }

    /** An arc of nearly a full turn, closed by a line or a narrow slot. */
    private Contour keyhole() {
        double radius = between(3, 30);
        double gap = Math.pow(10, between(-2.5, 0));
        Arc arc = Arc.about(new Point(0, 0), radius, gap / radius / 2, 2 * Math.PI - gap / radius);
        if (random.nextBoolean()) {
            return new Contour(List.of(arc, new Line(arc.end(), arc.start())));
        }
        double depth = between(0.2, 1) * radius;
        Point in = arc.end().minus(new Point(depth, 0));
        Point out = arc.start().minus(new Point(depth, 0));
        return new Contour(
                List.of(
                        arc,
                        new Line(arc.end(), in),
                        new Line(in, out),
                        new Line(out, arc.start())));
    }

    public static Contour polygon(List<Point> points) {
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            segments.add(new Line(points.get(i), points.get((i + 1) % points.size())));
        }
        return new Contour(segments);
    }

    /** A polygon with all corners rounded; unchanged when an edge is too short for that. */
    public static Contour rounded(Contour polygon, double radius) {
        List<Segment> edges = polygon.segments();
        int n = edges.size();
        Point[] in = new Point[n];
        Point[] out = new Point[n];
        double[] bulge = new double[n];
        for (int i = 0; i < n; i++) {
            Segment before = edges.get((i + n - 1) % n);
            Segment after = edges.get(i);
            Point u = before.direction(0);
            Point w = after.direction(0);
            double turn = Math.atan2(u.cross(w), u.dot(w));
            double loss = radius * Math.tan(Math.abs(turn) / 2);
            if (2 * loss >= before.length() || 2 * loss >= after.length()) {
                return polygon;
            }
            in[i] = after.start().minus(u.times(loss));
            out[i] = after.start().plus(w.times(loss));
            bulge[i] = Math.tan(turn / 4);
        }
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            if (!in[i].equals(out[i])) {
                segments.add(Segment.of(in[i], out[i], bulge[i]));
            }
            if (!out[i].equals(in[(i + 1) % n])) {
                segments.add(new Line(out[i], in[(i + 1) % n]));
            }
        }
        return new Contour(segments);
    }

    /** Discs on a half millimetre grid: they touch, coincide and share points. */
    public List<Region> gridDiscs() {
        List<Region> discs = new ArrayList<>();
        int n = 1 + random.nextInt(12);
        for (int i = 0; i < n; i++) {
            Point centre = new Point(random.nextInt(9) * 0.5, random.nextInt(9) * 0.5);
            discs.add(disc(centre, 0.5 * (1 + random.nextInt(4))));
        }
        return Overlay.union(discs);
    }

    public List<Region> looseDiscs(int most) {
        List<Region> discs = new ArrayList<>();
        int n = 1 + random.nextInt(most);
        for (int i = 0; i < n; i++) {
            discs.add(disc(new Point(between(0, 8), between(0, 8)), between(0.3, 1.3)));
        }
        return Overlay.union(discs);
    }

    public static Region disc(Point centre, double radius) {
        return new Region(Contour.circle(centre, radius), List.of());
    }

    /** A contour with round holes on a grid, some of which touch each other. */
    public Region withHoles(Contour outer) {
        List<Contour> holes = new ArrayList<>();
        double radius = 0.1 + 0.2 * random.nextInt(3);
        Box box = outer.box();
        for (double x = box.min().x() + 0.5; x < box.max().x(); x++) {
            for (double y = box.min().y() + 0.5; y < box.max().y(); y++) {
                Point p = new Point(x, y);
                boolean fits =
                        holes.size() < 30
                                && outer.contains(p)
                                && outer.nearest(p).point().distance(p) > radius + 0.05;
                if (fits) {
                    holes.add(Contour.circle(p, radius).reversed());
                }
            }
        }
        return new Region(outer, holes);
    }
}
