package dev.oleander.web.release;

import java.util.List;

/**
 * Whether a release and all before it are as they were made.
 *
 * @param checks one for each revision, the newest first
 */
public record Verification(boolean intact, List<Check> checks) {

    /**
     * @param stored hash in the release
     * @param computed hash of what is stored now
     * @param followsOn whether it names the hash of the revision before
     */
    public record Check(String revision, String stored, String computed, boolean followsOn) {

        public boolean intact() {
            return followsOn && stored.equals(computed);
        }
    }

    static Verification of(List<Check> checks) {
        return new Verification(checks.stream().allMatch(Check::intact), List.copyOf(checks));
    }
}
