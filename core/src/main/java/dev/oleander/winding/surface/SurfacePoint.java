package dev.oleander.winding.surface;

/**
 * A place of a meridian. With the arc length m from its left end: dx/dm = cos omega, dr/dm = sin
 * omega.
 *
 * @param x along the axis, mm
 * @param r radius, mm
 * @param omega slope, radians
 * @param kappaM curvature along the meridian, 1/mm: -d omega/dm, convex positive
 * @param kappaP curvature round the axis, 1/mm: cos omega / r
 */
public record SurfacePoint(double x, double r, double omega, double kappaM, double kappaP) {

    /**
     * @throws WindingException when it lies on the axis or beyond it
     */
    static SurfacePoint of(double x, double r, double omega, double kappaM) {
        if (!(r > 0)) {
            throw new WindingException("The mandrel has radius %.3f mm at x = %.3f.", r, x);
        }
        return new SurfacePoint(x, r, omega, kappaM, Math.cos(omega) / r);
    }
}
