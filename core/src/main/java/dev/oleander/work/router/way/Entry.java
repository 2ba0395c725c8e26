package dev.oleander.work.router.way;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * How a tool is wished to go down into the work.
 *
 * @param kind empty: what fits first
 * @param angle of the way down, degrees; empty: as steep as the tool may
 * @param radius of a helix, mm; empty: as is usual
 */
public record Entry(Optional<Kind> kind, Optional<Double> angle, Optional<Double> radius) {

    public static final Entry USUAL =
            new Entry(Optional.empty(), Optional.empty(), Optional.empty());

    /** Ways down. */
    public enum Kind {
        /** down along the way itself */
        RAMP,
        /** round and round beside it */
        HELIX,
        /** to and fro along its beginning */
        ZIGZAG,
        /** straight down */
        PLUNGE;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** By its word. */
        public static Optional<Kind> of(String word) {
            return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
        }
    }
}
