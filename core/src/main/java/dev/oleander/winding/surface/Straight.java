package dev.oleander.winding.surface;

/** A straight generator: of a cylinder, a cone, or a flat end. */
record Straight(double x, double r, double omega, double length) implements Piece {

    Straight {
        if (!(length > 0)) {
            throw new WindingException("A straight stretch has a length of %.4f mm.", length);
        }
    }

    /** Between two places. */
    static Straight between(double x0, double r0, double x1, double r1) {
        return new Straight(x0, r0, Math.atan2(r1 - r0, x1 - x0), Math.hypot(x1 - x0, r1 - r0));
    }

    @Override
    public SurfacePoint at(double m) {
        return SurfacePoint.of(x + m * Math.cos(omega), r + m * Math.sin(omega), omega, 0);
    }
}
