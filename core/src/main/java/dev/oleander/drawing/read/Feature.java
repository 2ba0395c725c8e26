package dev.oleander.drawing.read;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One chain of line work and what it is.
 *
 * @param id stays the same while the drawing does: made from the position of its first entity
 * @param chain contours run anticlockwise, mm
 * @param part the part it bounds or lies on; empty when it lies on none
 * @param depth how many contours surround it; even is an outline, odd an opening
 * @param parent the innermost contour round it
 * @param onPurpose whether a person gave it its purpose, not its layer
 */
public record Feature(
        String id,
        Chain chain,
        Kind kind,
        Purpose purpose,
        String layer,
        int depth,
        Optional<String> part,
        Optional<String> parent,
        OptionalDouble circleDiameter,
        boolean onPurpose) {

    /** What the nesting of contours makes of it. */
    public enum Kind {
        OUTLINE,
        OPENING,
        OPEN
    }

    public boolean isClosed() {
        return chain instanceof Contour;
    }

    /** Enclosed area, mm2; 0 for an open path. */
    public double area() {
        return chain instanceof Contour contour ? contour.area() : 0;
    }

    /** Number of arcs; a whole circle counts as one. */
    public int arcs() {
        if (circleDiameter.isPresent()) {
            return 1;
        }
        return (int) chain.segments().stream().filter(s -> s instanceof Arc).count();
    }

    public int lines() {
        return (int) chain.segments().stream().filter(s -> !(s instanceof Arc)).count();
    }

    /** The contour of a closed feature. */
    public Contour contour() {
        return (Contour) chain;
    }
}
