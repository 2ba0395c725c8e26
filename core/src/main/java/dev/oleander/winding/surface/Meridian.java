package dev.oleander.winding.surface;

import dev.oleander.winding.series.Nodes;
import dev.oleander.winding.series.Roots;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** The profile of a mandrel from its left end to its right one. */
public final class Meridian {

    /** mm and radians by which pieces that meet may differ. */
    private static final double MEETS = 1e-3;

    /** mm. */
    private static final double HAIR = 1e-3;

    /** Greatest number of stretches of a piece that are looked at, or summed up, one by one. */
    private static final int STRETCHES = 32;

    private static final int LEAST_STRETCHES = 2;

    private final List<Piece> pieces;

    /** mm from the left end to where each piece begins, and the whole. */
    private final double[] begins;

    /**
     * @param pieces from left to right, each beginning where the one before ends
     * @throws WindingException when there are none, or two of them do not meet
     */
    public Meridian(List<Piece> pieces) {
        if (pieces.isEmpty()) {
            throw new WindingException("The mandrel has no profile.");
        }
        this.pieces = List.copyOf(pieces);
        this.begins = new double[pieces.size() + 1];
        for (int i = 0; i < pieces.size(); i++) {
            begins[i + 1] = begins[i] + pieces.get(i).length();
            if (i > 0) {
                requireMeeting(pieces.get(i - 1), pieces.get(i));
            }
        }
    }

    private static void requireMeeting(Piece before, Piece after) {
        SurfacePoint a = before.at(before.length());
        SurfacePoint b = after.at(0);
        double gap = Math.hypot(b.x() - a.x(), b.r() - a.r());
        if (gap > MEETS) {
            throw new WindingException(
                    "The half profile has two loose ends %.4g mm apart at (%.4g, %.4g). Mend it"
                            + " on Shape.",
                    gap, a.x(), a.r());
        }
    }

    /** mm from end to end. */
    public double length() {
        return begins[pieces.size()];
    }

    public List<Piece> pieces() {
        return pieces;
    }

    /** mm at which pieces meet, from the left end. */
    public List<Double> joints() {
        List<Double> joints = new ArrayList<>();
        for (int i = 1; i < pieces.size(); i++) {
            joints.add(begins[i]);
        }
        return joints;
    }

    /**
     * @param m mm from the left end; at a joint the piece to the right
     * @throws WindingException when it is not on the mandrel
     */
    public SurfacePoint at(double m) {
        if (!(m >= -MEETS && m <= length() + MEETS)) {
            throw new WindingException(
                    "m = %.3f mm is not on the mandrel; it is %.3f mm long.", m, length());
        }
        int i = piece(m);
        double own = Math.min(Math.max(0, m - begins[i]), pieces.get(i).length());
        return pieces.get(i).at(own);
    }

    /** Also beyond the ends, where the slope goes on; never nearer to the axis than a hair. */
    public SurfacePoint beyond(double m) {
        if (m >= 0 && m <= length()) {
            return at(m);
        }
        SurfacePoint end = at(m < 0 ? 0 : length());
        double past = m < 0 ? m : m - length();
        double r = Math.max(HAIR, end.r() + past * Math.sin(end.omega()));
        return SurfacePoint.of(end.x() + past * Math.cos(end.omega()), r, end.omega(), 0);
    }

    private int piece(double m) {
        int low = 0;
        int high = pieces.size() - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (begins[middle] <= m) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }

    /**
     * The first place with an x, mm of meridian.
     *
     * @throws WindingException when there is none
     */
    public double mAt(double x) {
        double at = 0;
        for (Piece piece : pieces) {
            int stretches = stretches(piece);
            for (int i = 0; i < stretches; i++) {
                double from = piece.length() * i / stretches;
                double to = piece.length() * (i + 1) / stretches;
                double a = piece.at(from).x() - x;
                double b = piece.at(to).x() - x;
                if (Math.abs(a) <= MEETS) {
                    return at + from;
                }
                if (a * b < 0) {
                    return at + Roots.between(m -> piece.at(m).x() - x, from, to);
                }
            }
            at += piece.length();
        }
        if (Math.abs(at(length()).x() - x) <= MEETS) {
            return length();
        }
        throw new WindingException(
                "x = %.3f mm is not on the mandrel; it runs from %.3f to %.3f mm.",
                x, leastX(), greatestX());
    }

    /** Where a distance, which is nowhere less than nothing, is least: mm of meridian. */
    double nearest(ToDoubleFunction<SurfacePoint> distance) {
        double best = 0;
        int steps = STRETCHES * 16;
        for (int i = 1; i <= steps; i++) {
            double m = length() * i / steps;
            if (distance.applyAsDouble(at(m)) < distance.applyAsDouble(at(best))) {
                best = m;
            }
        }
        double low = Math.max(0, best - length() / steps);
        double high = Math.min(length(), best + length() / steps);
        while (high - low > 1e-9) {
            double first = low + (high - low) / 3;
            double second = high - (high - low) / 3;
            boolean left = distance.applyAsDouble(at(first)) < distance.applyAsDouble(at(second));
            low = left ? low : first;
            high = left ? second : high;
        }
        return (low + high) / 2;
    }

    /** As many as its share of the whole. */
    private int stretches(Piece piece) {
        double share = piece.length() / length();
        return Math.max(LEAST_STRETCHES, (int) Math.min(STRETCHES, 8 * STRETCHES * share));
    }

    /** mm2, both ends open. */
    public double area() {
        return 2 * Math.PI * sum(SurfacePoint::r);
    }

    /** mm3 between planes through both ends. */
    public double volume() {
        return Math.PI * sum(p -> p.r() * p.r() * Math.cos(p.omega()));
    }

    /** Integral over the meridian. */
    double sum(ToDoubleFunction<SurfacePoint> of) {
        double sum = 0;
        for (Piece piece : pieces) {
            int stretches = stretches(piece);
            double each = piece.length() / stretches;
            for (int i = 0; i < stretches; i++) {
                sum += stretch(piece, of, i * each, (i + 1) * each);
            }
        }
        return sum;
    }

    private static double stretch(
            Piece piece, ToDoubleFunction<SurfacePoint> of, double from, double to) {
        double[] values = new double[Nodes.COUNT];
        for (int k = 0; k < Nodes.COUNT; k++) {
            values[k] = of.applyAsDouble(piece.at(Nodes.place(from, to, k)));
        }
        return Nodes.integrals(from, to, values)[Nodes.COUNT];
    }

    /** Least x of both ends and all between, mm. */
    public double leastX() {
        return extreme(SurfacePoint::x, -1);
    }

    public double greatestX() {
        return extreme(SurfacePoint::x, 1);
    }

    public double greatestRadius() {
        return extreme(SurfacePoint::r, 1);
    }

    /** The greatest of a value times a sign, at ends of pieces or between two of many places. */
    private double extreme(ToDoubleFunction<SurfacePoint> of, int sign) {
        double most = Double.NEGATIVE_INFINITY;
        for (Piece piece : pieces) {
            int stretches = stretches(piece);
            double each = piece.length() / stretches;
            for (int i = 0; i <= stretches; i++) {
                most = Math.max(most, sign * of.applyAsDouble(piece.at(i * each)));
            }
            for (int i = 1; i < stretches; i++) {
                most = Math.max(most, between(piece, of, (i - 1) * each, (i + 1) * each, sign));
            }
        }
        return sign * most;
    }

    /** The greatest within a stretch, by thirds of it. */
    private static double between(
            Piece piece, ToDoubleFunction<SurfacePoint> of, double from, double to, int sign) {
        double low = from;
        double high = to;
        while (high - low > 1e-7) {
            double first = low + (high - low) / 3;
            double second = high - (high - low) / 3;
            boolean left =
                    sign * of.applyAsDouble(piece.at(first))
                            > sign * of.applyAsDouble(piece.at(second));
            low = left ? low : first;
            high = left ? second : high;
        }
        return sign * of.applyAsDouble(piece.at((low + high) / 2));
    }
}
