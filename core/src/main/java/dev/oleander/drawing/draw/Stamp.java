package dev.oleander.drawing.draw;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;

/**
 * What texts know of the job they are made for, as it was when the drawing was made: {@code {job}},
 * {@code {revision}}, {@code {part}} and {@code {date}}, and the numbers that the shop gives next.
 *
 * @param job its number
 * @param revision of the release that it is made for
 * @param part name of the drawing
 * @param date year, month and day, as in ISO 8601
 * @param counters number that is given next, by the name of the shop's counter
 */
public record Stamp(
        String job, String revision, String part, String date, Map<String, Long> counters) {

    /** Of no job: something stands there, so that it is seen how long a text is. */
    public static final Stamp NONE = new Stamp("0", "A", "part", "2000-01-01", Map.of());

    /** Value of a step that names a counter. */
    static final String COUNTER = "counter";

    /** What stands there when a step counts for itself. */
    static final String NO_COUNTER = "none";

    private static final Pattern NAMES = Pattern.compile("\\{\\s*(job|revision|part|date)\\s*}");

    public Stamp {
        counters = Collections.unmodifiableMap(new TreeMap<>(counters));
    }

    /** Values by what stands in the braces of a text. */
    Map<String, String> names() {
        return Map.of("job", job, "revision", revision, "part", part, "date", date);
    }

    /** The next number of a counter; those that nobody counted with begin with 1. */
    long next(String counter) {
        return counters.getOrDefault(counter, 1L);
    }

    /** Whether any text says something of the job, or takes numbers of the shop. */
    public static boolean isUsed(List<DrawStep> steps) {
        return !counters(steps).isEmpty() || steps.stream().anyMatch(Stamp::says);
    }

    private static boolean says(DrawStep step) {
        return step.values().values().stream().anyMatch(text -> NAMES.matcher(text).find());
    }

    static Optional<String> counter(String said) {
        String name = said.strip();
        return name.isEmpty() || name.equals(NO_COUNTER) ? Optional.empty() : Optional.of(name);
    }

    /** Names of the counters whose numbers are taken. */
    public static SortedSet<String> counters(List<DrawStep> steps) {
        SortedSet<String> names = new TreeSet<>();
        for (DrawStep step : steps) {
            counter(step.values().getOrDefault(COUNTER, "")).ifPresent(names::add);
        }
        return names;
    }
}
