package dev.oleander.winding.path;

import dev.oleander.winding.surface.SurfacePoint;

/**
 * A place of the middle of a band.
 *
 * @param l mm laid since the start
 * @param m mm of meridian from the mandrel's left end
 * @param phi radians turned since the start, growing
 * @param alpha radians from the meridian toward +phi; more than a right angle on the way back
 * @param lambda geodesic over normal curvature; positive where it turns the band toward +phi
 * @param surface there
 */
public record PathPoint(
        double l, double m, double phi, double alpha, double lambda, SurfacePoint surface) {

    /** Curvature of the surface along the band, 1/mm; convex positive. */
    public double normalCurvature() {
        double c = Math.cos(alpha);
        double s = Math.sin(alpha);
        return surface.kappaM() * c * c + surface.kappaP() * s * s;
    }

    /** The same one or more circuits later. */
    PathPoint later(double length, double angle) {
        return new PathPoint(l + length, m, phi + angle, alpha, lambda, surface);
    }
}
