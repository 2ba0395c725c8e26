package dev.oleander.work.wire.choice;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.quantity.Typed;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a person set for the flanks of a stop; null where nothing was set.
 *
 * @param angle degrees; above 0 the contour is wider at the top, an open line leans to its left
 * @param elements angle by index of an element of the drawn contour, from 0
 * @param corners what becomes of rounded corners
 * @param cornerOf the same for single elements that are arcs
 * @param land height of a straight flank below the upper side, mm; the angle is that of the relief
 *     below it
 */
public record TaperChoice(
        Typed angle,
        Map<Integer, Typed> elements,
        CornerTaper corners,
        Map<Integer, CornerTaper> cornerOf,
        Typed land) {

    public static final TaperChoice NOTHING = new TaperChoice(null, Map.of(), null, Map.of(), null);

    public TaperChoice {
        elements = elements == null ? Map.of() : Map.copyOf(elements);
        cornerOf = cornerOf == null ? Map.of() : Map.copyOf(cornerOf);
    }

    public TaperChoice over(TaperChoice other) {
        Map<Integer, Typed> angles = new TreeMap<>(other.elements);
        angles.putAll(elements);
        Map<Integer, CornerTaper> kinds = new TreeMap<>(other.cornerOf);
        kinds.putAll(cornerOf);
        return new TaperChoice(
                angle != null ? angle : other.angle,
                angles,
                corners != null ? corners : other.corners,
                kinds,
                land != null ? land : other.land);
    }

    /** See {@link WireChoice#carried}. */
    TaperChoice carried(String key, Carrying to) {
        boolean turned = to.isTurned(key);
        return new TaperChoice(
                turned ? against(angle) : angle,
                to.elements(key, elements, a -> turned ? against(a) : a),
                corners,
                to.elements(key, cornerOf, c -> c),
                land);
    }

    private static Typed against(Typed angle) {
        return angle == null ? null : Typed.of(-angle.value());
    }

    public TaperChoice withAngle(Typed value) {
        return new TaperChoice(value, elements, corners, cornerOf, land);
    }

    /** Null takes the angle of an element away. */
    public TaperChoice withElement(int element, Typed value) {
        Map<Integer, Typed> all = new TreeMap<>(elements);
        if (value == null) {
            all.remove(element);
        } else {
            all.put(element, value);
        }
        return new TaperChoice(angle, all, corners, cornerOf, land);
    }

    public TaperChoice withCorners(CornerTaper value) {
        return new TaperChoice(angle, elements, value, cornerOf, land);
    }

    public TaperChoice withCornerOf(int element, CornerTaper value) {
        Map<Integer, CornerTaper> all = new TreeMap<>(cornerOf);
        if (value == null) {
            all.remove(element);
        } else {
            all.put(element, value);
        }
        return new TaperChoice(angle, elements, corners, all, land);
    }

    public TaperChoice withLand(Typed value) {
        return new TaperChoice(angle, elements, corners, cornerOf, value);
    }

    /** Degrees of one element, by its index in the drawn contour. */
    public double angle(int element) {
        Typed own = elements.get(element);
        return own == null ? usualAngle() : own.value();
    }

    /** Degrees of all elements that have no angle of their own. */
    public double usualAngle() {
        return angle == null ? 0 : angle.value();
    }

    public boolean isCylindrical(int element) {
        CornerTaper all = Objects.requireNonNullElse(corners, CornerTaper.CONICAL);
        return cornerOf.getOrDefault(element, all) == CornerTaper.CYLINDRICAL;
    }

    /** Whether any flank leans. */
    public boolean leans() {
        boolean any = elements.values().stream().anyMatch(a -> a.value() != 0);
        return any || (angle != null && angle.value() != 0);
    }

    /** Indexes of elements that something was set for. */
    Set<Integer> named() {
        Set<Integer> all = new TreeSet<>(elements.keySet());
        all.addAll(cornerOf.keySet());
        return all;
    }
}
