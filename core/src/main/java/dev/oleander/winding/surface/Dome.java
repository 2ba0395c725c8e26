package dev.oleander.winding.surface;

import dev.oleander.winding.surface.ByParameter.Derivatives;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.special.elliptic.legendre.LegendreEllipticIntegral;

/** The form of an end: from the shoulder, where it goes on from the cylinder, to its opening. */
public sealed interface Dome {

    /**
     * Its pieces, as a right end: the shoulder at x = 0.
     *
     * @param radius of the cylinder, mm
     * @param opening radius at which it ends, mm
     * @throws WindingException naming what cannot be
     */
    List<Piece> pieces(double radius, double opening);

    /** Half a sphere. */
    record Sphere() implements Dome {

        @Override
        public List<Piece> pieces(double radius, double opening) {
            requireOpening(opening, radius);
            return List.of(new Round(0, 0, radius, 0, -Math.acos(opening / radius)));
        }
    }

    /**
     * Half an ellipsoid.
     *
     * @param height from the shoulder to the pole, mm
     */
    record Ellipsoid(double height) implements Dome {

        @Override
        public List<Piece> pieces(double radius, double opening) {
            requireOpening(opening, radius);
            if (!(height > 0)) {
                throw WindingException.about("Height", height, "must be > 0");
            }
            return List.of(
                    new ByParameter(
                            u ->
                                    new Derivatives(
                                            height * Math.sin(u),
                                            radius * Math.cos(u),
                                            height * Math.cos(u),
                                            -radius * Math.sin(u),
                                            -height * Math.sin(u),
                                            -radius * Math.cos(u)),
                            0,
                            Math.acos(opening / radius)));
        }
    }

    /**
     * A part of a large sphere with a rounding to the cylinder.
     *
     * @param crown radius of the sphere, mm
     * @param knuckle radius of the rounding, mm
     */
    record Torisphere(double crown, double knuckle) implements Dome {

        @Override
        public List<Piece> pieces(double radius, double opening) {
            requireKnuckle(knuckle, radius);
            if (!(crown >= radius)) {
                throw WindingException.about(
                        "Crown", crown, "must be at least the radius " + radius + " mm");
            }
            double back = Math.sqrt(Math.pow(crown - knuckle, 2) - Math.pow(radius - knuckle, 2));
            double joint = -Math.asin(back / (crown - knuckle));
            double at = crown * Math.cos(joint);
            requireOpening(opening, at);
            List<Piece> pieces = new ArrayList<>();
            pieces.add(new Round(0, radius - knuckle, knuckle, 0, joint));
            pieces.add(new Round(-back, 0, crown, joint, -Math.acos(opening / crown)));
            return pieces;
        }
    }

    /**
     * A cone with a rounding to the cylinder.
     *
     * @param halfAngle from the axis, radians; a right angle is a flat end
     * @param knuckle radius of the rounding, mm
     */
    record Cone(double halfAngle, double knuckle) implements Dome {

        /** A flat end. */
        public static Cone flat(double knuckle) {
            return new Cone(Math.PI / 2, knuckle);
        }

        @Override
        public List<Piece> pieces(double radius, double opening) {
            requireKnuckle(knuckle, radius);
            if (!(halfAngle > 0 && halfAngle <= Math.PI / 2)) {
                throw new WindingException(
                        "The half angle is %.1f degrees; it is more than 0 and at most 90.",
                        Math.toDegrees(halfAngle));
            }
            double at = radius - knuckle * (1 - Math.cos(halfAngle));
            requireOpening(opening, at);
            return List.of(
                    new Round(0, radius - knuckle, knuckle, 0, -halfAngle),
                    new Straight(
                            knuckle * Math.sin(halfAngle),
                            at,
                            -halfAngle,
                            (at - opening) / Math.sin(halfAngle)));
        }
    }

    /**
     * The form in which a roving that turns at a radius is loaded evenly (S. Zickel, ARS Journal 32
     * (1962) 950; W. S. Read, Journal of Engineering for Industry 85 (1963) 115): in closed form by
     * elliptic integrals to its inflection, then its tangent cone.
     *
     * @param turnRadius mm
     */
    record EqualStress(double turnRadius) implements Dome {

        @Override
        public List<Piece> pieces(double radius, double opening) {
            double inflection = turnRadius * Math.sqrt(1.5);
            if (!(turnRadius > 0 && inflection < radius)) {
                throw WindingException.about(
                        "Turn radius",
                        turnRadius,
                        "must be > 0 and less than "
                                + WindingException.number(radius / Math.sqrt(1.5), 4)
                                + " mm");
            }
            requireOpening(opening, radius);
            Isotensoid curve = new Isotensoid(radius, turnRadius);
            double stop = Math.max(inflection, opening);
            Piece curved = new ByParameter(curve::at, 0, curve.parameter(stop));
            if (opening >= inflection) {
                return List.of(curved);
            }
            SurfacePoint end = curved.at(curved.length());
            double length = (end.r() - opening) / -Math.sin(end.omega());
            return List.of(curved, new Straight(end.x(), end.r(), end.omega(), length));
        }
    }

    /** r^2 = R^2 - D sin^2 th, x = u2/S F(th, k) + S E(th, k). */
    final class Isotensoid {

        /** Below it x is as good as straight. */
        private static final double FLAT = 1e-7;

        private final double radius;
        private final double depth;
        private final double second;
        private final double root;
        private final double modulus;

        Isotensoid(double radius, double turn) {
            this.radius = radius;
            double square = radius * radius;
            double spread = Math.sqrt(1 + 4 * turn * turn / (square - turn * turn));
            this.depth = square - square * (-1 + spread) / 2;
            this.second = square * (-1 - spread) / 2;
            this.root = Math.sqrt(square - second);
            this.modulus = depth / (square - second);
        }

        /** Where it has a radius. */
        double parameter(double r) {
            return Math.asin(Math.sqrt((radius * radius - r * r) / depth));
        }

        /** Where both integrals are nothing the library has no number for them. */
        private double x(double th) {
            return Math.abs(th) < FLAT
                    ? th * radius * radius / root
                    : second / root * LegendreEllipticIntegral.bigF(th, modulus)
                            + root * LegendreEllipticIntegral.bigE(th, modulus);
        }

        Derivatives at(double th) {
            double s = Math.sin(th);
            double c = Math.cos(th);
            double w = Math.sqrt(1 - modulus * s * s);
            double r = Math.sqrt(radius * radius - depth * s * s);
            double dr = -depth * s * c / r;
            return new Derivatives(
                    x(th),
                    r,
                    second / root / w + root * w,
                    dr,
                    modulus * s * c * (second / root / (w * w * w) - root / w),
                    (-depth * (c * c - s * s) - dr * dr) / r);
        }
    }

    private static void requireOpening(double opening, double most) {
        if (!(opening > 0 && opening < most)) {
            throw WindingException.about(
                    "Opening",
                    opening,
                    "must be > 0 and less than " + WindingException.number(most, 4) + " mm");
        }
    }

    private static void requireKnuckle(double knuckle, double radius) {
        if (!(knuckle > 0 && knuckle < radius)) {
            throw WindingException.about(
                    "Knuckle",
                    knuckle,
                    "must be less than the radius " + WindingException.number(radius, 4) + " mm");
        }
    }
}
