package dev.oleander.drawing.draw;

import dev.oleander.drawing.Drawing;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;

/**
 * A drawing after all its steps.
 *
 * @param before the drawing before all of them
 * @param groups keys of entities by the name of their group
 * @param numbers that texts have
 * @param troubles steps that could not be done, in their order
 */
public record Drawn(
        Drawing before,
        Drawing drawing,
        List<Guide> guides,
        List<Dimension> dimensions,
        Map<String, List<String>> groups,
        List<Numbers> numbers,
        List<Trouble> troubles) {

    public Drawn {
        guides = List.copyOf(guides);
        dimensions = List.copyOf(dimensions);
        groups = Map.copyOf(groups);
        numbers = List.copyOf(numbers);
        troubles = List.copyOf(troubles);
    }

    /** A construction line without ends: through a point, in a direction in radians. */
    public record Guide(String step, Point through, double angle) {}

    /**
     * A distance that is written beside the drawing.
     *
     * @param from one place, {@code to} the other
     * @param away mm from the line between them to where it is written, to the left
     */
    public record Dimension(String step, Point from, Point to, double away) {}

    /**
     * Numbers of the texts of a step.
     *
     * @param counter of the shop; empty: they are the drawing's own
     * @param first number, {@code last} the greatest
     * @param said what each of them says, and where
     * @param doubled sentence about texts that are the same; empty when there are none
     */
    public record Numbers(
            String step, String counter, long first, long last, List<Said> said, String doubled) {

        public Numbers {
            said = List.copyOf(said);
        }

        /** Whether they are taken from the shop with a release. */
        public boolean areTaken() {
            return !counter.isEmpty();
        }
    }

    /** One of several texts, and its place. */
    public record Said(String text, Point at) {}

    /** A step that could not be done, and why. */
    public record Trouble(String step, String parameter, String sentence) {}
}
