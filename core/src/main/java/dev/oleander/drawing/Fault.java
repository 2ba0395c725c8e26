package dev.oleander.drawing;

import dev.oleander.geometry.Point;
import java.util.Optional;

/**
 * Something wrong with the line work.
 *
 * @param size mm; what it measures depends on the kind: width of a gap, length of a double
 * @param mended whether it was put right already
 */
public record Fault(
        Kind kind, Optional<Point> place, double size, boolean mended, String sentence) {

    /** What is wrong, and whether a person has to look at it when it is not mended. */
    public enum Kind {
        GAP(true),
        DOUBLE(true),
        CRUMB(true),
        OPEN(true),
        BRANCH(true),
        CROSSING(true),
        UNREADABLE(true),
        TOUCHING(false),
        SHARED_EDGE(false);

        private final boolean needsPerson;

        Kind(boolean needsPerson) {
            this.needsPerson = needsPerson;
        }
    }

    public static Fault mended(Kind kind, Point place, double size, String sentence) {
        return new Fault(kind, Optional.of(place), size, true, sentence);
    }

    public static Fault left(Kind kind, Point place, double size, String sentence) {
        return new Fault(kind, Optional.of(place), size, false, sentence);
    }

    public boolean needsPerson() {
        return !mended && kind.needsPerson;
    }
}
