package dev.oleander.web.work.router;

import dev.oleander.geometry.Point;
import dev.oleander.web.job.document.RefusedEditException;

/**
 * A line along which the work is cut open, mm in the coordinates of the machine.
 *
 * @param t machine time, s; null: the end
 */
record SectionLine(Double x1, Double y1, Double x2, Double y2, Double t) {

    private static final double LEAST = 0.1;
    private static final double MOST = 10_000;

    /**
     * @throws RefusedEditException when it is no line
     */
    SectionLine {
        for (Double value : new Double[] {x1, y1, x2, y2}) {
            if (value == null || !Double.isFinite(value)) {
                throw new RefusedEditException("A section needs x1, y1, x2 and y2, mm.");
            }
        }
        double length = Math.hypot(x2 - x1, y2 - y1);
        if (!(length >= LEAST && length <= MOST)) {
            throw new RefusedEditException(
                    "The line is %s mm long; a section has 0.1 to 10000 mm.".formatted(length));
        }
    }

    Point from() {
        return new Point(x1, y1);
    }

    Point to() {
        return new Point(x2, y2);
    }
}
