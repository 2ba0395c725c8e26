package dev.oleander.drawing;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Optional;

/**
 * Something wrong with the line work.
 *
 * @param size mm; what it measures depends on the kind: width of a gap, length of a double
 * @param ends the two places that a larger gap lies between; else empty
 * @param features ids of the chains that meet here, as the reading calls them; else empty
 */
public record Fault(
        Kind kind,
        Optional<Point> place,
        double size,
        State state,
        String sentence,
        List<Point> ends,
        List<String> features) {

    public Fault {
        ends = List.copyOf(ends);
        features = List.copyOf(features);
    }

    /** The same of chains with other names. */
    public Fault of(List<String> others) {
        return new Fault(kind, place, size, state, sentence, ends, others);
    }

    /** What is wrong, and whether a person has to look at it when it is not mended. */
    public enum Kind {
        GAP(true),
        DOUBLE(true),
        CRUMB(true),
        SPUR(true),
        SHORT_LINES(false),
        OPEN(true),
        BRANCH(true),
        CROSSING(true),
        /** lines that divide what they lie in */
        DIVISION(true),
        /** parts that share edges, so that nothing is left for a cut between them */
        NO_ROOM(true),
        UNREADABLE(true),
        /** a step of drawing that cannot be done any more */
        STEP(true),
        /** texts that should differ, and do not */
        NUMBER(true),
        TOUCHING(false),
        SHARED_EDGE(false);

        private final boolean needsPerson;

        Kind(boolean needsPerson) {
            this.needsPerson = needsPerson;
        }
    }

    /** How far it is. */
    public enum State {
        LEFT,
        MENDED,
        /** a person saw it and left it as it is */
        SETTLED
    }

    public static Fault mended(Kind kind, Point place, double size, String sentence) {
        return new Fault(
                kind, Optional.of(place), size, State.MENDED, sentence, List.of(), List.of());
    }

    public static Fault left(Kind kind, Point place, double size, String sentence) {
        return new Fault(
                kind, Optional.of(place), size, State.LEFT, sentence, List.of(), List.of());
    }

    /** A fault without a place. */
    public static Fault ofFile(String sentence) {
        return ofFile(Kind.UNREADABLE, sentence);
    }

    /** Something that concerns the drawing as a whole. */
    public static Fault ofFile(Kind kind, String sentence) {
        return new Fault(kind, Optional.empty(), 0, State.LEFT, sentence, List.of(), List.of());
    }

    public boolean mended() {
        return state == State.MENDED;
    }

    public boolean needsPerson() {
        return state == State.LEFT && kind.needsPerson;
    }

    public Fault settled() {
        return new Fault(kind, place, size, State.SETTLED, sentence, ends, features);
    }

    public Fault at(Optional<Point> newPlace, List<Point> newEnds) {
        return new Fault(kind, newPlace, size, state, sentence, newEnds, features);
    }

    /** The same between two chains. */
    public Fault between(String first, String second) {
        return new Fault(kind, place, size, state, sentence, ends, List.of(first, second));
    }

    /** The same among several chains. */
    public Fault among(List<String> chains) {
        return new Fault(kind, place, size, state, sentence, ends, chains);
    }

    /** The same with the two places it lies between. */
    public Fault withEnds(Point first, Point second) {
        return at(place, List.of(first, second));
    }

    /** What a person's decision is kept by: the kind and the place to a hundredth of a mm. */
    public String key() {
        String at =
                place.map(p -> Numbers.plain(p.x(), 2) + "," + Numbers.plain(p.y(), 2))
                        .orElse(sentence);
        return kind + "@" + at;
    }
}
