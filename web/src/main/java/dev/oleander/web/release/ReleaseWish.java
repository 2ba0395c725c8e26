package dev.oleander.web.release;

import java.util.List;
import java.util.Map;

/**
 * What a person wants of a release.
 *
 * @param parameters values of the format's parameters as typed, by name; those left out are as
 *     usual
 * @param stops ids of the stops of a trial; none: the whole run is released
 */
public record ReleaseWish(Map<String, String> parameters, List<String> stops) {

    public static final ReleaseWish NONE = new ReleaseWish(Map.of(), List.of());

    public ReleaseWish {
        parameters = parameters == null ? Map.of() : Map.copyOf(parameters);
        stops = stops == null ? List.of() : List.copyOf(stops);
    }

    public boolean isTrial() {
        return !stops.isEmpty();
    }
}
