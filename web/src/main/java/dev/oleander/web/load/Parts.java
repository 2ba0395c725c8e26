package dev.oleander.web.load;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * How long the parts of a request take, on the thread that answers it. Outside of requests nothing
 * is measured.
 */
public final class Parts {

    private static final ThreadLocal<Map<String, Long>> NOW = new ThreadLocal<>();

    private Parts() {}

    /**
     * Does a part; those of the same name are summed up.
     *
     * @param name a word of letters
     */
    public static <T> T of(String name, Supplier<T> work) {
        Map<String, Long> now = NOW.get();
        if (now == null) {
            return work.get();
        }
        long began = System.nanoTime();
        try {
            return work.get();
        } finally {
            now.merge(name, System.nanoTime() - began, Long::sum);
        }
    }

    static void begin() {
        NOW.set(new LinkedHashMap<>());
    }

    static void end() {
        NOW.remove();
    }

    /** As the header Server-Timing has it (W3C Server Timing): read;dur=1.2, plan;dur=30.1; ms. */
    static String told() {
        Map<String, Long> now = NOW.get();
        return now == null
                ? ""
                : now.entrySet().stream()
                        .map(
                                e ->
                                        String.format(
                                                Locale.ROOT,
                                                "%s;dur=%.1f",
                                                e.getKey(),
                                                e.getValue() / 1e6))
                        .collect(Collectors.joining(", "));
    }
}
