package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What a person says of how a panel lies; what nothing is said of is decided.
 *
 * @param up the face that is up first
 * @param turn how the panel is turned in all clampings, degrees
 * @param features which face is up when a feature is made, by its id
 */
public record ClampingWishes(
        Optional<Face> up, Optional<Integer> turn, Map<String, Face> features) {

    public static final ClampingWishes NONE =
            new ClampingWishes(Optional.empty(), Optional.empty(), Map.of());

    public ClampingWishes {
        features = Collections.unmodifiableMap(new TreeMap<>(features));
    }

    public boolean isNone() {
        return equals(NONE);
    }
}
