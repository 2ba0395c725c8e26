package dev.oleander.winding.eye;

import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.series.Roots;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.WindingException;

/**
 * How far the eye stands off, along the line on which the band leaves the mandrel: every place of
 * that line lays the same band.
 */
public sealed interface EyeRule {

    /** mm of free roving. */
    double free(PathPoint at);

    /** Always the same length. */
    record FreeLength(double mm) implements EyeRule {

        public FreeLength {
            if (!(mm > 0)) {
                throw new WindingException("Free length %.4g mm; it must be > 0.", mm);
            }
        }

        @Override
        public double free(PathPoint at) {
            return mm;
        }
    }

    /**
     * Always as far from the axis: what machines without a cross carriage do.
     *
     * @param least radius of the mandrel that it must clear, mm
     */
    record Radius(double mm, double least) implements EyeRule {

        /** Below so many radians the eye would have to be far beyond the mandrel's end. */
        private static final double LEAST_ANGLE = 1e-3;

        public Radius {
            if (!(mm > least)) {
                throw new WindingException(
                        "The eye runs at a radius of %.4g mm; it must be more than the mandrel's"
                                + " %.4g mm.",
                        mm, least);
            }
        }

        @Override
        public double free(PathPoint at) {
            double sin = Math.sin(at.alpha());
            double cos = Math.cos(at.alpha());
            double slope = Math.sin(at.surface().omega());
            double a = sin * sin + cos * cos * slope * slope;
            double b = at.surface().r() * cos * slope;
            double c = at.surface().r() * at.surface().r() - mm * mm;
            if (a < LEAST_ANGLE * LEAST_ANGLE) {
                throw new WindingException(
                        "At %.3g degrees an eye at a fixed radius would have to run without end;"
                                + " at least %.3g degrees, or an axis across.",
                        Math.toDegrees(at.alpha()), Math.toDegrees(LEAST_ANGLE));
            }
            return (-b + Math.sqrt(b * b - a * c)) / a;
        }
    }

    /** Always as far from the least convex body round the mandrel. */
    final class Clearance implements EyeRule {

        private final double mm;
        private final Hull hull;
        private final double size;

        public Clearance(Meridian meridian, double mm) {
            if (!(mm > 0)) {
                throw new WindingException("Clearance %.4g mm; it must be > 0.", mm);
            }
            this.mm = mm;
            this.hull = new Hull(meridian);
            this.size = meridian.length() + meridian.greatestRadius() + mm;
        }

        @Override
        public double free(PathPoint at) {
            double high = mm;
            while (off(at, high) < 0) {
                high *= 2;
                if (high > 1e3 * size) {
                    throw new WindingException(
                            "The roving never comes %.4g mm off the mandrel at x = %.4g.",
                            mm, at.surface().x());
                }
            }
            return off(at, 0) >= 0 ? 0 : Roots.between(s -> off(at, s), 0, high);
        }

        private double off(PathPoint at, double s) {
            Ray ray = Ray.of(at, s);
            return hull.distance(ray.x(), ray.rho()) - mm;
        }
    }

    /** A place on the line, in the half plane through the axis. */
    record Ray(double x, double u, double h) {

        static Ray of(PathPoint at, double s) {
            double cos = Math.cos(at.alpha());
            return new Ray(
                    at.surface().x() + s * cos * Math.cos(at.surface().omega()),
                    at.surface().r() + s * cos * Math.sin(at.surface().omega()),
                    s * Math.sin(at.alpha()));
        }

        double rho() {
            return Math.hypot(u, h);
        }
    }
}
