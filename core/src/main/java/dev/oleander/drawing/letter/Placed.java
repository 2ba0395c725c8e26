package dev.oleander.drawing.letter;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A letter where it lies.
 *
 * @param character as text
 * @param index of its code point within the text
 * @param at its origin on the base line, mm
 * @param angle of its base line, degrees
 * @param advance mm
 * @param to from the units of its font to where it lies, or to what is bent
 * @param bend carries each point along a way; empty: letters keep their form
 */
public record Placed(
        String character,
        int index,
        Point at,
        double angle,
        double advance,
        Glyph glyph,
        Transform to,
        Optional<UnaryOperator<Point>> bend) {

    /** The same elsewhere. */
    Placed carriedBy(Transform other) {
        return new Placed(character, index, at, angle, advance, glyph, other, bend);
    }

    /** Spaces have none. */
    boolean hasOutlines() {
        return !glyph.outlines().isEmpty();
    }
}
