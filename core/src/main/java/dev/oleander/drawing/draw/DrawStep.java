package dev.oleander.drawing.draw;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * One thing a person did to the drawing.
 *
 * @param id names what it draws: the entities of step d3 are d3, d3-2, d3-3
 * @param command word of a command of {@link Commands}
 * @param on keys of the entities it works on
 * @param values formulas by parameter, as they were typed; those left out take their defaults
 */
public record DrawStep(String id, String command, List<String> on, Map<String, String> values) {

    public DrawStep {
        on = List.copyOf(on);
        values = Map.copyOf(values);
    }

    /** The same with another value. */
    DrawStep with(String name, String value) {
        Map<String, String> changed = new TreeMap<>(values);
        changed.put(name, value);
        return withValues(changed);
    }

    public DrawStep withValues(Map<String, String> changed) {
        return new DrawStep(id, command, on, changed);
    }
}
