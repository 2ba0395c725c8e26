package dev.oleander.web.release;

import java.util.List;
import java.util.Map;

/**
 * What a person wants of a release.
 *
 * @param parameters values of the format's parameters as typed, by name; those left out are as
 *     usual
 * @param stops ids of the stops of a trial; none: whole runs are released
 * @param runs numbers of those; none: all
 */
public record ReleaseWish(Map<String, String> parameters, List<String> stops, List<Integer> runs) {

    public static final ReleaseWish NONE = new ReleaseWish(Map.of(), List.of(), List.of());

    public ReleaseWish {
        parameters = parameters == null ? Map.of() : Map.copyOf(parameters);
        stops = stops == null ? List.of() : List.copyOf(stops);
        runs = runs == null ? List.of() : runs.stream().distinct().sorted().toList();
    }

    /** Of whatever runs it needs. */
    public ReleaseWish(Map<String, String> parameters, List<String> stops) {
        this(parameters, stops, List.of());
    }

    /** The same for some of its stops only. */
    ReleaseWish of(List<String> some) {
        return new ReleaseWish(parameters, some, runs);
    }

    public boolean isTrial() {
        return !stops.isEmpty();
    }
}
