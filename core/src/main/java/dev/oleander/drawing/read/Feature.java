package dev.oleander.drawing.read;

import dev.oleander.drawing.Style;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One chain of line work and what it is.
 *
 * @param id stays the same while the drawing does: made from the name of its first entity
 * @param chain contours run anticlockwise, mm
 * @param form what a closed one looks like; empty for an open one
 * @param place where it lies among the contours
 * @param onPurpose whether a person gave it its purpose, not its layer
 * @param sources keys of the entities it was made of
 */
public record Feature(
        String id,
        Chain chain,
        Optional<Form> form,
        Purpose purpose,
        Style style,
        Place place,
        boolean onPurpose,
        List<String> sources) {

    /** What the nesting of contours makes of it. */
    public enum Kind {
        OUTLINE,
        OPENING,
        OPEN
    }

    /**
     * Where a chain lies.
     *
     * @param depth how many contours surround it; even is an outline, odd an opening
     * @param parent the innermost contour round it
     * @param part the part it bounds or lies on; empty when it lies on none
     * @param turned whether a person said that the other side is kept
     * @param startOf the contour whose cutting starts in this hole; empty for other than start
     *     holes
     */
    public record Place(
            Kind kind,
            int depth,
            Optional<String> parent,
            Optional<String> part,
            boolean turned,
            Optional<String> startOf) {

        static final Place UNKNOWN =
                new Place(
                        Kind.OPEN, 0, Optional.empty(), Optional.empty(), false, Optional.empty());

        Place inPart(Optional<String> id) {
            return new Place(kind, depth, parent, id, turned, startOf);
        }

        Place startingAt(String contour) {
            return new Place(kind, depth, parent, part, turned, Optional.of(contour));
        }
    }

    Feature placed(Place where) {
        return new Feature(id, chain, form, purpose, style, where, onPurpose, sources);
    }

    /** Whether it is cut or marked. */
    public boolean isWorked() {
        return purpose == Purpose.CUT || purpose == Purpose.MARK;
    }

    public Kind kind() {
        return place.kind();
    }

    public int depth() {
        return place.depth();
    }

    public Optional<String> parent() {
        return place.parent();
    }

    public Optional<String> part() {
        return place.part();
    }

    public String layer() {
        return style.layer();
    }

    public boolean isClosed() {
        return chain instanceof Contour;
    }

    /** Diameter, mm, of a whole circle. */
    public OptionalDouble circleDiameter() {
        boolean circle = form.isPresent() && form.get().kind() == Form.Kind.CIRCLE;
        return circle ? OptionalDouble.of(form.get().length()) : OptionalDouble.empty();
    }

    /** Enclosed area, mm2; 0 for an open path. */
    public double area() {
        return chain instanceof Contour contour ? contour.area() : 0;
    }

    /** Number of arcs; a whole circle counts as one. */
    public int arcs() {
        if (circleDiameter().isPresent()) {
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
