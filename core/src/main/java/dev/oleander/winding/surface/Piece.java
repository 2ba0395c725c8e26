package dev.oleander.winding.surface;

/** A smooth stretch of a meridian, exact, by its own arc length. */
public interface Piece {

    /** mm, more than 0. */
    double length();

    /**
     * @param m mm from its left end, 0 to its length
     */
    SurfacePoint at(double m);

    /** The same elsewhere along the axis. */
    default Piece shifted(double along) {
        return new Shifted(this, along);
    }

    /** As it is seen from the other side: its right end is the left one, x the other way. */
    default Piece mirrored() {
        return new Mirrored(this);
    }

    /** See {@link #shifted}. */
    record Shifted(Piece piece, double along) implements Piece {

        @Override
        public double length() {
            return piece.length();
        }

        @Override
        public SurfacePoint at(double m) {
            SurfacePoint p = piece.at(m);
            return new SurfacePoint(p.x() + along, p.r(), p.omega(), p.kappaM(), p.kappaP());
        }
    }

    /** See {@link #mirrored}: the slope changes its sign, curvatures stay. */
    record Mirrored(Piece piece) implements Piece {

        @Override
        public double length() {
            return piece.length();
        }

        @Override
        public SurfacePoint at(double m) {
            SurfacePoint p = piece.at(piece.length() - m);
            return new SurfacePoint(-p.x(), p.r(), -p.omega(), p.kappaM(), p.kappaP());
        }
    }
}
