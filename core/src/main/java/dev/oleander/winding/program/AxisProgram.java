package dev.oleander.winding.program;

import dev.oleander.winding.eye.EyePath;
import dev.oleander.winding.eye.WindingAxis;
import dev.oleander.winding.path.BandPath;
import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.WindingException;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * One repetition of a path with as few points as lay it within a tolerance. To first order the band
 * is never farther off than the eye is (dy/dl = (e - y)/s), so points are first thinned by the
 * eye's distance; what they lay is then worked out by {@link ForwardSolution}, and points are put
 * in where it is off.
 */
public final class AxisProgram {

    /** mm of path between two places that are looked at. */
    private static final double LOOK = 0.5;

    private static final int MOST_LOOKS = 40_000;
    private static final int MOST_ROUNDS = 12;

    /** Radians by which the roller may lean between two points. */
    private static final double LEAN = Math.toRadians(1);

    private final List<AxisRow> rows;
    private final double greatest;

    private AxisProgram(List<AxisRow> rows, double greatest) {
        this.rows = List.copyOf(rows);
        this.greatest = greatest;
    }

    /**
     * @param tolerance mm that the middle of the band may lie off
     * @throws WindingException when no number of points keeps it
     */
    public static AxisProgram of(Meridian meridian, EyePath eye, double tolerance) {
        List<AxisRow> fine = fine(eye);
        TreeSet<Integer> kept = thinned(fine, tolerance / 2);
        for (int round = 0; round < MOST_ROUNDS; round++) {
            List<AxisRow> rows = kept.stream().map(fine::get).toList();
            List<Double> off = off(meridian, eye.path(), rows);
            double greatest = off.stream().mapToDouble(Double::doubleValue).max().orElse(0);
            if (greatest <= tolerance) {
                return new AxisProgram(rows, greatest);
            }
            if (!finer(kept, off, tolerance)) {
                throw new WindingException(
                        "The band lies %.3g mm off, %.3g mm are allowed, with a point every %.3g"
                                + " mm. Allow more.",
                        greatest, tolerance, eye.path().length() / (fine.size() - 1));
            }
        }
        throw new WindingException(
                "The band does not come within %.3g mm of where it should lie.", tolerance);
    }

    private static List<AxisRow> fine(EyePath eye) {
        double length = eye.path().length();
        int steps = (int) Math.min(MOST_LOOKS, Math.ceil(length / LOOK));
        List<AxisRow> all = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            all.add(AxisRow.of(eye.at(length * i / steps)));
        }
        return all;
    }

    /** The longest chords that stay near: the eye's place in space, and how the roller stands. */
    private static TreeSet<Integer> thinned(List<AxisRow> fine, double tolerance) {
        TreeSet<Integer> kept = new TreeSet<>(List.of(0, fine.size() - 1));
        int from = 0;
        int step = 16;
        while (from < fine.size() - 1) {
            int to = Math.min(fine.size() - 1, from + Math.max(1, step));
            while (to > from + 1 && !isNear(fine, from, to, tolerance)) {
                to = from + Math.max(1, (to - from) / 2);
            }
            while (to < fine.size() - 1 && isNear(fine, from, to + 1, tolerance)) {
                to++;
            }
            kept.add(to);
            step = 2 * (to - from);
            from = to;
        }
        return kept;
    }

    private static boolean isNear(List<AxisRow> fine, int from, int to, double tolerance) {
        AxisRow a = fine.get(from);
        AxisRow b = fine.get(to);
        int looks = Math.min(to - from - 1, 24);
        for (int k = 1; k <= looks; k++) {
            int i = from + (to - from) * k / (looks + 1);
            AxisRow here = fine.get(i);
            double share = (here.l() - a.l()) / (b.l() - a.l());
            if (off(a, b, here, share) > tolerance) {
                return false;
            }
        }
        return true;
    }

    /** mm from the chord; a lean beyond its limit is far. */
    private static double off(AxisRow a, AxisRow b, AxisRow here, double share) {
        double sum = 0;
        for (WindingAxis axis : WindingAxis.values()) {
            double by = here.of(axis) - a.of(axis) - share * (b.of(axis) - a.of(axis));
            if (axis == WindingAxis.B || axis == WindingAxis.C) {
                if (Math.abs(by) > LEAN) {
                    return Double.POSITIVE_INFINITY;
                }
            } else {
                double mm = axis == WindingAxis.A ? by * here.of(WindingAxis.Y) : by;
                sum += mm * mm;
            }
        }
        return Math.sqrt(sum);
    }

    /**
     * How far what rows lay lies off the path, over many repetitions too.
     *
     * @return mm
     */
    public static double deviation(Meridian meridian, BandPath path, List<AxisRow> rows) {
        return off(meridian, path, rows).stream().mapToDouble(Double::doubleValue).max().orElse(0);
    }

    /** By row, how far what is laid lies off the path, across it, mm. */
    private static List<Double> off(Meridian meridian, BandPath path, List<AxisRow> rows) {
        List<ForwardSolution.Laid> laid = new ForwardSolution(meridian).lay(path.at(0), rows);
        List<Double> off = new ArrayList<>();
        for (ForwardSolution.Laid at : laid) {
            off.add(across(path, at));
        }
        return off;
    }

    /** Distance from the nearest place of the path, by Newton's steps along it. */
    private static double across(BandPath path, ForwardSolution.Laid at) {
        double l = at.l();
        double across = 0;
        for (int i = 0; i < 3; i++) {
            PathPoint p = path.at(Math.max(0, l));
            SurfacePoint surface = p.surface();
            double dm = at.m() - p.m();
            double round = (at.phi() - p.phi()) * surface.r();
            l += dm * Math.cos(p.alpha()) + round * Math.sin(p.alpha());
            across = round * Math.cos(p.alpha()) - dm * Math.sin(p.alpha());
        }
        return Math.abs(across);
    }

    /** A point in the middle of each stretch that lies off; whether there was room. */
    private static boolean finer(TreeSet<Integer> kept, List<Double> off, double tolerance) {
        List<Integer> all = new ArrayList<>(kept);
        boolean more = false;
        for (int i = 1; i < all.size(); i++) {
            boolean far = Math.max(off.get(i - 1), off.get(i)) > tolerance / 2;
            if (far && all.get(i) - all.get(i - 1) > 1) {
                more |= kept.add((all.get(i - 1) + all.get(i)) / 2);
            }
        }
        return more;
    }

    public List<AxisRow> rows() {
        return rows;
    }

    /** mm that the middle of the band lies off where it should. */
    public double greatestDeviation() {
        return greatest;
    }
}
