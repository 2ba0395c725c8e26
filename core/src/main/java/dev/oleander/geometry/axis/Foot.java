package dev.oleander.geometry.axis;

/** A place on the border with the direction into the region; filled anew for each question. */
final class Foot {

    double x;
    double y;

    /** Unit vector into the region. */
    double nx;

    double ny;

    void set(double atX, double atY, double alongX, double alongY) {
        x = atX;
        y = atY;
        nx = alongX;
        ny = alongY;
    }

    double centreX(double r) {
        return x + r * nx;
    }

    double centreY(double r) {
        return y + r * ny;
    }

    /**
     * Radius of the disc that touches here and at a point, mm; infinite when none does.
     *
     * @param px and {@code py}: the point
     */
    double touching(double px, double py) {
        double dx = px - x;
        double dy = py - y;
        double ahead = nx * dx + ny * dy;
        double square = dx * dx + dy * dy;
        return ahead > 0 && square > Border.SAME * Border.SAME
                ? square / (2 * ahead)
                : Double.POSITIVE_INFINITY;
    }
}
