package dev.oleander.plan.panel.clamping;

import java.util.List;

/**
 * How a panel is clamped.
 *
 * @param clampings in their order
 * @param refused what no clamping can make
 * @param why a sentence for the whole panel; empty when there is nothing to decide
 */
public record Decision(List<Clamping> clampings, List<Refused> refused, String why) {

    /** A feature that cannot be made. */
    public record Refused(String feature, String sentence) {}

    public static final Decision NOTHING = new Decision(List.of(), List.of(), "");

    public Decision {
        clampings = List.copyOf(clampings);
        refused = List.copyOf(refused);
    }
}
