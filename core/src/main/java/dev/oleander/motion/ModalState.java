package dev.oleander.motion;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What a machine was told that still holds, while a program is gone through. */
public final class ModalState {

    /** Of no importance for what holds: how long it took to set it up. */
    private static final String SECONDS = "seconds";

    private final Map<ModalGroup, Item.Event> events = new EnumMap<>(ModalGroup.class);

    /**
     * What holds in a group.
     *
     * @param args without the time that it took
     */
    public record Held(EventKind kind, Map<String, Double> args) {}

    /** Takes note of an item. */
    public void take(Item item) {
        if (item instanceof Item.Event event) {
            for (ModalGroup group : ModalGroup.values()) {
                if (group.isDecidedBy(event.kind())) {
                    events.put(group, event);
                }
            }
        }
    }

    /** The event that decided a group; empty as long as none did. */
    public Optional<Item.Event> event(ModalGroup group) {
        return Optional.ofNullable(events.get(group));
    }

    /** What holds in a group; empty when it is as at the beginning of a program. */
    public Optional<Held> held(ModalGroup group) {
        return event(group).filter(e -> isHeld(group, e)).map(e -> held(e));
    }

    /** All that holds, by group. */
    public Map<ModalGroup, Held> held() {
        Map<ModalGroup, Held> all = new EnumMap<>(ModalGroup.class);
        for (ModalGroup group : ModalGroup.values()) {
            held(group).ifPresent(h -> all.put(group, h));
        }
        return all;
    }

    private static Held held(Item.Event event) {
        Map<String, Double> args = new TreeMap<>(event.args());
        args.remove(SECONDS);
        return new Held(event.kind(), args);
    }

    private static boolean isHeld(ModalGroup group, Item.Event event) {
        return switch (event.kind()) {
            case COMP_OFF, TAPER_OFF, SPINDLE_OFF, COOLANT_OFF -> false;
            case DRILLS -> event.args().getOrDefault("drills", 0.0) != 0;
            case INDEX -> event.args().getOrDefault("turn", 0.0) != 0;
            // data without a gas of its own
            case DATA -> group == ModalGroup.DATA;
            default -> true;
        };
    }
}
