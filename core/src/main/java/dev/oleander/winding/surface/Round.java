package dev.oleander.winding.surface;

/**
 * An arc of a circle.
 *
 * @param x of the centre, mm
 * @param r of the centre, mm; 0 for a sphere, below 0 for what is flatter
 * @param radius mm
 * @param from slope at its left end, radians
 * @param to slope at its right end; less for a convex arc, more for a concave one
 */
record Round(double x, double r, double radius, double from, double to) implements Piece {

    Round {
        if (!(radius > 0) || from == to) {
            throw new WindingException("An arc has radius %.4f mm and no length.", radius);
        }
    }

    @Override
    public double length() {
        return radius * Math.abs(to - from);
    }

    @Override
    public SurfacePoint at(double m) {
        // -1 where it is concave: its centre lies outside
        double side = Math.signum(from - to);
        double omega = from - side * m / radius;
        return SurfacePoint.of(
                x - side * radius * Math.sin(omega),
                r + side * radius * Math.cos(omega),
                omega,
                side / radius);
    }
}
