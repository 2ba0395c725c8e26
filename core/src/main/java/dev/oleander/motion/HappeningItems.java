package dev.oleander.motion;

import dev.oleander.plan.Gas;
import dev.oleander.plan.StopEvent;
import dev.oleander.quantity.Worded;
import java.util.Map;

/** What people want to happen at a stop, as items of a program. */
public final class HappeningItems {

    private HappeningItems() {}

    public static Item of(StopEvent event, Origin origin) {
        return new Item.Event(kind(event), args(event), event.text(), origin);
    }

    private static EventKind kind(StopEvent event) {
        return switch (event.kind()) {
            case STOP -> EventKind.STOP;
            case OPTIONAL_STOP -> EventKind.OPTIONAL_STOP;
            case DWELL -> EventKind.DWELL;
            case COMMENT -> EventKind.COMMENT;
            case GAS -> EventKind.GAS;
            case CONDITION -> EventKind.CONDITION;
        };
    }

    private static Map<String, Double> args(StopEvent event) {
        return switch (event.kind()) {
            case STOP, OPTIONAL_STOP, DWELL -> Map.of("seconds", event.amount());
            case COMMENT -> Map.of();
            case GAS -> Map.of("gas", gas(event.text()), "pressure", event.amount());
            case CONDITION -> Map.of("condition", event.amount());
        };
    }

    /** Number of a gas; 0 for one that nobody knows. */
    private static double gas(String word) {
        return Worded.of(Gas.class, word).map(Gas::number).orElse(0);
    }
}
