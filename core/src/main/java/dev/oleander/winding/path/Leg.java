package dev.oleander.winding.path;

import dev.oleander.winding.series.Nodes;
import dev.oleander.winding.series.Series;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.Arrays;
import java.util.List;

/**
 * A band's way from a station to an end, where it turns or is held by pins; the way back is its
 * mirror image.
 *
 * <p>Summed up from the end: dphi = c dy / (r sqrt(r^2 - c^2)), dl = r dy / sqrt(r^2 - c^2). Where
 * the band turns both are infinite; by v, with y = y_turn - v^2, they are smooth.
 */
public final class Leg {

    private static final int LENGTH = 0;
    private static final int ANGLE = 1;

    /** cos alpha, over v where the band turns. */
    private static final int COSINE = 2;

    private final Toward toward;
    private final Angles angles;
    private final double end;
    private final boolean turning;
    private final Series fromEnd;

    private Leg(Toward toward, Angles angles, double end, boolean turning) {
        this.toward = toward;
        this.angles = angles;
        this.end = end;
        this.turning = turning;
        this.fromEnd = sums();
    }

    /**
     * @param turn mm from the station, where c is r
     */
    static Leg turning(Toward toward, Angles angles, double turn) {
        return new Leg(toward, angles, turn, true);
    }

    /** To pins at the mandrel's end. */
    static Leg pinned(Toward toward, Angles angles) {
        return new Leg(toward, angles, toward.length(), false);
    }

    private Series sums() {
        double[] panels = panels();
        Series.Builder builder = new Series.Builder(panels[0]);
        double length = 0;
        double angle = 0;
        for (int i = 1; i < panels.length; i++) {
            double[] lengths = new double[Nodes.COUNT];
            double[] turns = new double[Nodes.COUNT];
            double[][] values = new double[Nodes.COUNT][3];
            for (int k = 0; k < Nodes.COUNT; k++) {
                double v = Nodes.place(panels[i - 1], panels[i], k);
                double y = y(v);
                double r = toward.at(y).r();
                double c = angles.c(y);
                double root = Math.sqrt((r - c) * (r + c));
                double step = turning ? 2 * v : 1;
                lengths[k] = step * r / root;
                turns[k] = step * c / (r * root);
                values[k][COSINE] = root / r / (turning ? v : 1);
            }
            double[] lengthSums = Nodes.integrals(panels[i - 1], panels[i], lengths);
            double[] angleSums = Nodes.integrals(panels[i - 1], panels[i], turns);
            for (int k = 0; k < Nodes.COUNT; k++) {
                values[k][LENGTH] = length + lengthSums[k];
                values[k][ANGLE] = angle + angleSums[k];
            }
            length += lengthSums[Nodes.COUNT];
            angle += angleSums[Nodes.COUNT];
            builder.add(panels[i], values);
        }
        return builder.build();
    }

    /** From the end, by v. */
    private double[] panels() {
        double[] breaks = toward.breaks(0, end, angles.breaks());
        double[] panels = new double[breaks.length];
        for (int i = 0; i < breaks.length; i++) {
            panels[i] = v(breaks[breaks.length - 1 - i]);
        }
        return panels;
    }

    private double y(double v) {
        return end - (turning ? v * v : v);
    }

    private double v(double y) {
        double left = Math.max(0, end - y);
        return turning ? Math.sqrt(left) : left;
    }

    public Side side() {
        return toward.side();
    }

    /** Whether it turns by itself. */
    public boolean turns() {
        return turning;
    }

    /** mm from the station to the end. */
    public double length() {
        return fromEnd.at(fromEnd.to(), LENGTH);
    }

    /** Radians between them. */
    public double angle() {
        return fromEnd.at(fromEnd.to(), ANGLE);
    }

    /** mm of meridian from the mandrel's left end to the station. */
    public double stationM() {
        return toward.from();
    }

    /** mm of meridian from the mandrel's left end to where it turns. */
    public double endM() {
        return toward.m(end);
    }

    /** Where it turns or is held. */
    public PathPoint end() {
        return at(length());
    }

    /** Greatest and least of the variable by which {@link #by} asks. */
    public double span() {
        return fromEnd.to();
    }

    /** Between these everything is smooth by that variable; from 0 at the end to the span. */
    public double[] breaks() {
        return fromEnd.breaks();
    }

    /** Where the variable has a meridian distance from the mandrel's left end. */
    public double variable(double m) {
        return v(toward.y(m));
    }

    /**
     * @param l mm from the station
     * @return with l and phi from the station, alpha from the meridian toward the end
     */
    public PathPoint at(double l) {
        double left = length() - l;
        return by(left <= 0 ? 0 : fromEnd.where(LENGTH, left));
    }

    /**
     * @param v 0 at the end, the span at the station
     */
    public PathPoint by(double v) {
        double[] sums = fromEnd.at(v);
        if (v <= 0) {
            sums[LENGTH] = 0;
            sums[ANGLE] = 0;
        }
        double y = y(v);
        SurfacePoint surface = toward.at(y);
        double cosine = sums[COSINE] * (turning ? v : 1);
        return new PathPoint(
                length() - sums[LENGTH],
                toward.m(y),
                angle() - sums[ANGLE],
                Math.acos(Math.max(-1, Math.min(1, cosine))),
                angles.lambda(y),
                surface);
    }

    /** Places that tell what the band does: both ends, and the nodes between. */
    public List<PathPoint> places() {
        double[] breaks = breaks();
        PathPoint[] places = new PathPoint[(breaks.length - 1) * Nodes.COUNT + 2];
        int count = 0;
        places[count++] = by(0);
        for (int i = 1; i < breaks.length; i++) {
            for (int k = 0; k < Nodes.COUNT; k++) {
                places[count++] = by(Nodes.place(breaks[i - 1], breaks[i], k));
            }
        }
        places[count] = by(fromEnd.to());
        return Arrays.asList(places);
    }
}
