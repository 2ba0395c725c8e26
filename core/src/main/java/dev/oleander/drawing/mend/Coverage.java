package dev.oleander.drawing.mend;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Segment;

/** Whether line work lies on other line work. */
final class Coverage {

    private final double tolerance;

    /**
     * @param tolerance mm; what is nearer lies on the other
     */
    Coverage(double tolerance) {
        this.tolerance = tolerance;
    }

    /** Lines are compared with lines, arcs with arcs. */
    static boolean isSameKind(Segment a, Segment b) {
        return a instanceof Arc == b instanceof Arc;
    }

    /** Whether a stretch lies on another segment, judged at five places of it. */
    boolean lies(Segment segment, double from, double to, Segment other) {
        for (int i = 0; i <= 4; i++) {
            if (other.distance(segment.at(from + (to - from) * i / 4)) > tolerance) {
                return false;
            }
        }
        return true;
    }
}
