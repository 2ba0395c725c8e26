package dev.oleander.web.bench;

import java.util.Map;
import java.util.TreeMap;

/** Values of a command of drawing among the parameters of a request: v.name. */
public final class DrawnValues {

    private static final String VALUE = "v.";

    private DrawnValues() {}

    /** As they were typed, by name. */
    public static Map<String, String> of(Map<String, String> parameters) {
        Map<String, String> values = new TreeMap<>();
        parameters.forEach(
                (name, text) -> {
                    if (name.startsWith(VALUE)) {
                        values.put(name.substring(VALUE.length()), text);
                    }
                });
        return values;
    }
}
