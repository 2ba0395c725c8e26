package dev.oleander.drawing.picture;

import java.util.ArrayList;
import java.util.List;

/**
 * Where the way round something turns at once: straight lines through the points on either side
 * differ by more than an angle, and no circle passes near all of them.
 */
final class Corners {

    /** Way on either side that says the direction, pixels. */
    private static final double SIDE = 6;

    /** Way on either side that a circle would have to follow, pixels. */
    private static final double ROUND = 7;

    /** The same of a rough edge, on which a short way may be anything. */
    private static final double ROUGH_ROUND = 10;

    /** Distance from a circle from which on an edge is rough, pixels. */
    private static final double ROUGH = 0.5;

    private final Loop points;
    private final double least;
    private final double tolerance;
    private final double[] along;
    private final double length;

    /**
     * @param least turn of a corner, radians
     * @param tolerance within which a circle that passes by is one, pixels
     */
    Corners(Loop points, double least, double tolerance) {
        this.points = points;
        this.least = least;
        this.tolerance = tolerance;
        this.along = new double[points.size() + 1];
        for (int i = 0; i < points.size(); i++) {
            double step = Math.hypot(points.x(i + 1) - points.x(i), points.y(i + 1) - points.y(i));
            along[i + 1] = along[i] + step;
        }
        this.length = along[points.size()];
    }

    /** Way to a point from the first one, round and round. */
    double along(int i) {
        int n = points.size();
        return along[Math.floorMod(i, n)] + Math.floorDiv(i, n) * length;
    }

    /** Numbers of points, in order; none when there is no corner. */
    List<Integer> found() {
        int n = points.size();
        double[] turns = new double[n];
        for (int i = 0; i < n; i++) {
            turns[i] = turn(i);
        }
        List<Integer> corners = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            if (turns[i] > least && isGreatest(turns, i) && !isRound(i)) {
                corners.add(i);
            }
        }
        return corners;
    }

    private double turn(int i) {
        double side = Math.min(SIDE, length / 6);
        double before = direction(back(i, side), i);
        double after = direction(i, ahead(i, side));
        return Math.abs(Math.IEEEremainder(after - before, 2 * Math.PI));
    }

    /** The last point at most so far back. */
    int back(int i, double side) {
        int at = i - 1;
        while (i - at < points.size() && along(i) - along(at - 1) <= side) {
            at--;
        }
        return at;
    }

    int ahead(int i, double side) {
        int at = i + 1;
        while (at - i < points.size() && along(at + 1) - along(i) <= side) {
            at++;
        }
        return at;
    }

    private double direction(int from, int to) {
        int n = to - from + 1;
        double mx = 0;
        double my = 0;
        for (int i = from; i <= to; i++) {
            mx += points.x(i) / n;
            my += points.y(i) / n;
        }
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (int i = from; i <= to; i++) {
            double x = points.x(i) - mx;
            double y = points.y(i) - my;
            xx += x * x;
            xy += x * y;
            yy += y * y;
        }
        double angle = Math.atan2(2 * xy, xx - yy) / 2;
        double forward =
                Math.cos(angle) * (points.x(to) - points.x(from))
                        + Math.sin(angle) * (points.y(to) - points.y(from));
        return forward < 0 ? angle + Math.PI : angle;
    }

    /** Of all within a side's length; of equal ones the first. */
    private boolean isGreatest(double[] turns, int i) {
        int n = turns.length;
        for (int j = back(i, SIDE); j <= ahead(i, SIDE); j++) {
            double other = turns[Math.floorMod(j, n)];
            if (other > turns[i] || other == turns[i] && j < i) {
                return false;
            }
        }
        return true;
    }

    private boolean isRound(int i) {
        boolean rough = tolerance > ROUGH;
        double side = Math.min(rough ? ROUGH_ROUND : ROUND, length / 4);
        Element circle = new ElementFit(points).circle(back(i, side), ahead(i, side));
        return circle != null && circle.greatest() <= (rough ? ROUGH : tolerance);
    }
}
