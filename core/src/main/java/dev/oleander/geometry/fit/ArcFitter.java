package dev.oleander.geometry.fit;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.ChainWriter;
import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.flat.Vertices;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Few lines and arcs through dense points.
 *
 * <p>Corners and long straight edges part the points into smooth stretches. On each, arcs are first
 * laid as far as they reach within the tolerance, one after the other, which needs as few as any
 * choice of joints among the points as long as a part of a stretch that fits also fits; then the
 * joints are moved sideways until neighbours are tangent. Never farther than the tolerance from the
 * polyline; O(n log n). A stretch that cannot be made tangent within the tolerance keeps its kinks.
 */
public final class ArcFitter {

    /** Share of the tolerance by which points may leave a straight line that stays one. */
    private static final double STRAIGHT = 0.01;

    /** A corner turns this many times as much as the points beside it. */
    private static final double SHARPER = 3;

    private final FitOptions options;

    public ArcFitter(FitOptions options) {
        this.options = options;
    }

    /**
     * A path near the points, from the first to the last.
     *
     * @throws IllegalArgumentException when there are not two different points, or one is not
     *     finite
     */
    public Path fit(List<Point> points) {
        return fit(points, Double.NaN, Double.NaN);
    }

    /**
     * A path near the points that starts and ends in set directions.
     *
     * @param startAngle radians; NaN when free
     */
    public Path fit(List<Point> points, double startAngle, double endAngle) {
        Polyline line = Polyline.of(points, STRAIGHT * options.tolerance());
        if (line.size < 2) {
            throw new IllegalArgumentException("a curve needs two different points");
        }
        return Path.of(write(line, startAngle, endAngle).open());
    }

    /**
     * A closed contour near the points; the first need not be repeated at the end.
     *
     * @throws IllegalArgumentException when there are not three different points, or one is not
     *     finite
     */
    public Contour fitClosed(List<Point> points) {
        List<Point> round = new ArrayList<>(points);
        while (round.size() > 1 && round.get(0).equals(round.get(round.size() - 1))) {
            round.remove(round.size() - 1);
        }
        if (round.stream().distinct().limit(3).count() < 3) {
            throw new IllegalArgumentException("a closed curve needs three different points");
        }
        Collections.rotate(round, -seam(round));
        round.add(round.get(0));
        Polyline line = Polyline.of(round, STRAIGHT * options.tolerance());
        double seam = seamAngle(line);
        Vertices fitted = write(line, seam, seam).close();
        if (fitted == null) {
            throw new IllegalArgumentException("the closed curve encloses nothing");
        }
        return Contour.of(fitted);
    }

    /** Where to open a closed curve: at its sharpest point. */
    private static int seam(List<Point> round) {
        int n = round.size();
        int sharpest = 0;
        double most = -1;
        for (int i = 0; i < n; i++) {
            Point in = round.get(i).minus(round.get((i + n - 1) % n));
            Point out = round.get((i + 1) % n).minus(round.get(i));
            double turn = Math.abs(Math.atan2(in.cross(out), in.dot(out)));
            if (turn > most + 1e-9) {
                most = turn;
                sharpest = i;
            }
        }
        return sharpest;
    }

    /** Angle that both ends of an opened curve share; NaN when it is a corner. */
    private double seamAngle(Polyline line) {
        int n = line.size;
        double in = line.angle(n - 2);
        double turn = Math.IEEEremainder(line.angle(0) - in, 2 * Math.PI);
        double beside = n < 4 ? 0 : Math.max(Math.abs(line.turn(1)), Math.abs(line.turn(n - 2)));
        if (isCorner(Math.abs(turn), beside)) {
            return Double.NaN;
        }
        double a = line.length(n - 2);
        double b = line.length(0);
        return in + turn * a / (a + b);
    }

    private boolean isCorner(double turn, double beside) {
        return turn > options.corner() && turn > SHARPER * beside;
    }

    private ChainWriter write(Polyline line, double startAngle, double endAngle) {
        ChainWriter chain = new ChainWriter(options.tolerance() * 1e-6);
        boolean[] straight = straightEdges(line);
        int last = line.size - 1;
        int at = 0;
        while (at < last) {
            if (straight[at]) {
                chain.add(line.x[at], line.y[at], line.x[at + 1], line.y[at + 1], 0);
                at++;
                continue;
            }
            int end = endOfStretch(line, straight, at);
            Edges edges =
                    new SmoothStretch(
                                    line,
                                    at,
                                    end,
                                    options.tolerance(),
                                    at == 0 ? startAngle : angleBefore(line, straight, at),
                                    end == last ? endAngle : angleAfter(line, straight, end))
                            .fit();
            for (int i = 0; i < edges.size(); i++) {
                chain.add(edges.x0(i), edges.y0(i), edges.x1(i), edges.y1(i), edges.bulge(i));
            }
            at = end;
        }
        return chain;
    }

    /** Edges so long that an arc over them would rise beyond the tolerance. */
    private boolean[] straightEdges(Polyline line) {
        boolean[] straight = new boolean[line.size - 1];
        for (int i = 0; i < straight.length; i++) {
            double before = i == 0 ? Double.POSITIVE_INFINITY : Math.abs(line.turn(i));
            double after = i == straight.length - 1 ? before : Math.abs(line.turn(i + 1));
            double turn = Math.min(before, after);
            straight[i] = straight.length == 1 || line.length(i) * turn / 8 > options.tolerance();
        }
        return straight;
    }

    private int endOfStretch(Polyline line, boolean[] straight, int from) {
        int end = from + 1;
        while (end < line.size - 1 && !straight[end] && !isCorner(line, end)) {
            end++;
        }
        return end;
    }

    private boolean isCorner(Polyline line, int i) {
        double before = i > 1 ? Math.abs(line.turn(i - 1)) : 0;
        double after = i + 2 < line.size ? Math.abs(line.turn(i + 1)) : 0;
        return isCorner(Math.abs(line.turn(i)), Math.max(before, after));
    }

    /** Angle of a straight edge that leads smoothly into a stretch, else NaN. */
    private double angleBefore(Polyline line, boolean[] straight, int at) {
        boolean smooth = straight[at - 1] && Math.abs(line.turn(at)) <= options.corner();
        return smooth ? line.angle(at - 1) : Double.NaN;
    }

    private double angleAfter(Polyline line, boolean[] straight, int end) {
        boolean smooth = straight[end] && Math.abs(line.turn(end)) <= options.corner();
        return smooth ? line.angle(end) : Double.NaN;
    }
}
