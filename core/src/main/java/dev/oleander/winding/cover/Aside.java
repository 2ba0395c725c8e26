package dev.oleander.winding.cover;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;

/** The shortest way on the mandrel from a place, by its length, in a direction. */
final class Aside {

    /** Steps of the Runge-Kutta method; half a band is far shorter than any radius of curvature. */
    private static final int STEPS = 8;

    private final Meridian meridian;

    Aside(Meridian meridian) {
        this.meridian = meridian;
    }

    /**
     * @param alpha radians from the meridian toward +phi
     * @return m and phi it comes to
     */
    double[] go(double m, double phi, double alpha, double length) {
        double[] at = {m, phi, alpha};
        double h = length / STEPS;
        for (int i = 0; i < STEPS; i++) {
            double[] a = slope(at);
            double[] b = slope(moved(at, a, h / 2));
            double[] c = slope(moved(at, b, h / 2));
            double[] d = slope(moved(at, c, h));
            for (int k = 0; k < at.length; k++) {
                at[k] += h / 6 * (a[k] + 2 * b[k] + 2 * c[k] + d[k]);
            }
        }
        return at;
    }

    private static double[] moved(double[] at, double[] slope, double h) {
        return new double[] {at[0] + h * slope[0], at[1] + h * slope[1], at[2] + h * slope[2]};
    }

    private double[] slope(double[] at) {
        SurfacePoint p = meridian.beyond(at[0]);
        double s = Math.sin(at[2]);
        return new double[] {Math.cos(at[2]), s / p.r(), -Math.sin(p.omega()) * s / p.r()};
    }
}
