package dev.oleander.work.router.pocket;

/**
 * How much of the leading edge of a round tool is in the work: an angle from 0 to a half turn (M.
 * Held, C. Spielberger, A smooth spiral tool path for high speed machining of 2D pockets, CAD 41,
 * 2009).
 *
 * @param radius of the tool, mm
 */
public record Engagement(double radius) {

    /** Places on an arc that are looked at. */
    private static final int PLACES = 32;

    private static final int HALVINGS = 50;

    /**
     * On a straight way beside what is gone: cos p = 1 - 2 ae/D.
     *
     * @param wide ae, mm, at most the diameter
     * @return radians
     */
    public double straight(double wide) {
        return Math.acos(Math.max(-1, 1 - wide / radius));
    }

    /**
     * On a round outside another one about the same middle: cos p = ((rho' + R)^2 - rho^2 - R^2) /
     * (2 rho R).
     *
     * @param gone rho', radius of the round before, mm
     * @param round rho, mm
     */
    public double round(double gone, double round) {
        double far = gone + radius;
        if (round <= gone) {
            return 0;
        }
        double cos = (far * far - round * round - radius * radius) / (2 * round * radius);
        return Math.acos(Math.max(-1, Math.min(1, cos)));
    }

    /**
     * The farthest that a round may lie outside another one.
     *
     * @param gone radius of the round before, mm
     * @param most engagement, radians
     * @return mm from one to the other
     */
    public double step(double gone, double most) {
        double low = 0;
        double high = 2 * radius;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (round(gone, gone + middle) <= most) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /**
     * The greatest on the part of a circle that lies outside a disc, when all that the tool reaches
     * from that disc is gone.
     *
     * @param round whose border the tool's axis follows, anticlockwise or, the same seen in a
     *     mirror, clockwise
     * @return radians; a half turn where the two do not meet
     */
    public double peak(Disc gone, Disc round) {
        double apart = gone.centre().distance(round.centre());
        if (gone.holds(round)) {
            return 0;
        }
        if (apart >= gone.radius() + round.radius()) {
            return Math.PI;
        }
        // seen from the middle of the round, the disc covers this much to both sides of the way
        // back
        double cos =
                (apart * apart + round.radius() * round.radius() - gone.radius() * gone.radius())
                        / (2 * apart * round.radius());
        double covered = apart > 0 ? Math.acos(Math.max(-1, Math.min(1, cos))) : 0;
        double most = 0;
        for (int i = 0; i <= PLACES; i++) {
            double angle = covered + (2 * Math.PI - 2 * covered) * i / PLACES;
            most = Math.max(most, on(gone.radius(), apart, round.radius(), angle));
        }
        return most;
    }

    /**
     * At a place of the circle.
     *
     * @param angle from the way back to the disc, anticlockwise as the tool goes
     */
    private double on(double gone, double apart, double round, double angle) {
        // the disc lies at (apart, 0), the middle of the round at the origin
        double x = round * Math.cos(angle);
        double y = round * Math.sin(angle);
        double away = Math.hypot(x - apart, y);
        double half = round(gone, away);
        // outwards from the disc, and where the tool goes
        double out = Math.atan2(y, x - apart);
        double turned = out - angle;
        double lean = Math.IEEEremainder(turned, 2 * Math.PI);
        // in the work: half to both sides of outwards; leading: a quarter to both sides of the way,
        // which is a quarter to the left of the radius
        double from = Math.max(-half, -lean);
        double to = Math.min(half, Math.PI - lean);
        return Math.max(0, to - from);
    }
}
