package dev.oleander.winding.cover;

import dev.oleander.winding.series.RungeKutta;
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
            at = RungeKutta.step((along, state) -> slope(state), 0, at, h);
        }
        return at;
    }

    private double[] slope(double[] at) {
        SurfacePoint p = meridian.beyond(at[0]);
        double s = Math.sin(at[2]);
        return new double[] {Math.cos(at[2]), s / p.r(), -Math.sin(p.omega()) * s / p.r()};
    }
}
