package dev.oleander.winding.program;

import dev.oleander.winding.eye.WindingAxis;
import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.series.RungeKutta;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.ArrayList;
import java.util.List;

/**
 * What a program lays, worked out from where the axes are and nothing else: the roving is straight
 * from the eye to where it touches the mandrel, and that place moves on as the eye leaves the plane
 * that touches there: dl = -(dE.n)/(s k_n), dalpha = -(dE.w)/s - sin omega sin alpha/r dl, with s =
 * (E-P).t. What is not along the roving is held at nothing.
 */
public final class ForwardSolution {

    /** mm of the eye's way for one step. */
    private static final double STEP = 0.4;

    private static final int MOST_STEPS = 400;

    /** Below it the mandrel is straight along the roving: the band lies at once. */
    private static final double STRAIGHT = 1e-9;

    /** mm past a joint: there the other piece holds for sure. */
    private static final double HAIR = 1e-10;

    private static final int HALVINGS = 45;

    /** In one step; more lie side by side only in tables of very close rows. */
    private static final int MOST_PIECES = 64;

    private final Meridian meridian;
    private final double[] joints;

    public ForwardSolution(Meridian meridian) {
        this.meridian = meridian;
        this.joints = meridian.joints().stream().mapToDouble(Double::doubleValue).toArray();
    }

    /**
     * Where the band is laid.
     *
     * @param phi radians, also over many turns
     */
    public record Laid(double l, double m, double phi, double alpha) {}

    /**
     * @param start where the band begins, when the eye is at the first row
     * @param rows with axes that run straight between them
     * @return one for each row
     */
    public List<Laid> lay(PathPoint start, List<AxisRow> rows) {
        double[] at = {start.m(), start.phi(), start.alpha(), start.l()};
        List<Laid> all = new ArrayList<>();
        all.add(laid(at));
        for (int i = 1; i < rows.size(); i++) {
            AxisRow from = rows.get(i - 1);
            AxisRow to = rows.get(i);
            int steps = steps(from, to);
            for (int k = 0; k < steps; k++) {
                at = pieceByPiece(at, from, to, (double) k / steps, 1.0 / steps);
            }
            all.add(laid(at));
        }
        return all;
    }

    private static Laid laid(double[] at) {
        return new Laid(at[3], at[0], at[1], at[2]);
    }

    private static int steps(AxisRow from, AxisRow to) {
        double far = 0;
        double out = Math.max(from.of(WindingAxis.Y), to.of(WindingAxis.Y));
        for (WindingAxis axis : WindingAxis.values()) {
            double by = Math.abs(to.of(axis) - from.of(axis));
            far += axis == WindingAxis.A ? by * out : axis.isTurning() ? 0 : by;
        }
        return Math.max(2, Math.min(MOST_STEPS, (int) Math.ceil(far / STEP)));
    }

    /** The band may slow down many times over where a piece ends: a step ends there too. */
    private double[] pieceByPiece(double[] at, AxisRow from, AxisRow to, double share, double by) {
        double[] now = at;
        double done = 0;
        for (int i = 0; i < MOST_PIECES && done < by; i++) {
            double[] piece = piece(now);
            double[] next = step(now, from, to, share + done, by - done, piece);
            double left = left(next, piece);
            if (left <= 0) {
                return next;
            }
            double far = reached(now, from, to, share + done, by - done, piece);
            now = step(now, from, to, share + done, far, piece);
            // past the joint by a hair, so that the next piece holds
            now[0] =
                    (next[0] > piece[1] ? piece[1] : piece[0])
                            + Math.copySign(HAIR, next[0] - now[0]);
            done += far;
        }
        return done < by ? step(now, from, to, share + done, by - done, piece(now)) : now;
    }

    /** Both ends of the piece on which the band is laid. */
    private double[] piece(double[] at) {
        double low = Double.NEGATIVE_INFINITY;
        double high = Double.POSITIVE_INFINITY;
        for (double joint : joints) {
            if (joint <= at[0]) {
                low = Math.max(low, joint);
            } else {
                high = Math.min(high, joint);
            }
        }
        return new double[] {low, high};
    }

    /** mm beyond the piece; 0 or less within it. */
    private static double left(double[] at, double[] piece) {
        return Math.max(piece[0] - at[0], at[0] - piece[1]);
    }

    /** The share of a step at which the end of the piece is reached. */
    private double reached(
            double[] at, AxisRow from, AxisRow to, double share, double by, double[] piece) {
        double low = 0;
        double high = by;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (left(step(at, from, to, share, middle, piece), piece) > 0) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    /** Runge-Kutta, over a share of the way between two rows, on one piece. */
    private double[] step(
            double[] at, AxisRow from, AxisRow to, double share, double by, double[] piece) {
        return RungeKutta.step(
                (there, state) -> slope(state, from, to, there, piece), share, at, by);
    }

    /** By the share of the way between two rows. */
    private double[] slope(double[] at, AxisRow from, AxisRow to, double share, double[] piece) {
        double x = between(from, to, WindingAxis.X, share);
        double y = between(from, to, WindingAxis.Y, share);
        double z = between(from, to, WindingAxis.Z, share);
        double a = between(from, to, WindingAxis.A, share);
        double dx = to.of(WindingAxis.X) - from.of(WindingAxis.X);
        double dy = to.of(WindingAxis.Y) - from.of(WindingAxis.Y);
        double dz = to.of(WindingAxis.Z) - from.of(WindingAxis.Z);
        double da = to.of(WindingAxis.A) - from.of(WindingAxis.A);
        double cos = Math.cos(a);
        double sin = Math.sin(a);
        // in the mandrel's frame, turned back by A: radial and tangential at the place itself
        double ey = y * cos - z * sin;
        double ez = y * sin + z * cos;
        double vy = dy * cos - dz * sin - da * ez;
        double vz = dy * sin + dz * cos + da * ey;
        SurfacePoint p = meridian.beyond(Math.max(piece[0], Math.min(piece[1] - HAIR, at[0])));
        double pc = Math.cos(at[1]);
        double ps = Math.sin(at[1]);
        double radial = vy * pc + vz * ps;
        double round = -vy * ps + vz * pc;
        double offRadial = ey * pc + ez * ps - p.r();
        double offRound = -ey * ps + ez * pc;
        double offX = x - p.x();
        double ca = Math.cos(at[2]);
        double sa = Math.sin(at[2]);
        double co = Math.cos(p.omega());
        double so = Math.sin(p.omega());
        double s = offX * ca * co + offRadial * ca * so + offRound * sa;
        double normal = -dx * so + radial * co;
        // w = n x t, its parts along x, outward and round
        double across = -dx * sa * co - radial * sa * so + round * ca;
        double k = p.kappaM() * ca * ca + p.kappaP() * sa * sa;
        double dl = Math.abs(k) < STRAIGHT ? 0 : -normal / (s * k);
        return new double[] {dl * ca, dl * sa / p.r(), across / s - so * sa / p.r() * dl, dl};
    }

    private static double between(AxisRow from, AxisRow to, WindingAxis axis, double share) {
        return from.of(axis) + share * (to.of(axis) - from.of(axis));
    }
}
