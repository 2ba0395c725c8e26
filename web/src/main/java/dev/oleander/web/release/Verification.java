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
     * @param covers what the seal is over, a sentence
     * @param fault of its link in the chain of the shop, a sentence; null when there is none
     */
    public record Check(
            String revision,
            String stored,
            String computed,
            boolean followsOn,
            String covers,
            String fault) {

        public boolean intact() {
            return followsOn && stored.equals(computed) && fault == null;
        }

        /** What is wrong, for people; empty when it is intact. */
        public String sentence() {
            if (!stored.equals(computed)) {
                return "Revision %s is not as it was made: its seal is %s, computed is %s."
                        .formatted(revision, start(stored), start(computed));
            }
            if (!followsOn) {
                return "Revision %s does not follow the revision before it.".formatted(revision);
            }
            return fault == null ? "" : "Revision %s: %s".formatted(revision, fault);
        }

        private static String start(String hash) {
            return hash.substring(0, Math.min(12, hash.length()));
        }
    }

    static Verification of(List<Check> checks) {
        return new Verification(checks.stream().allMatch(Check::intact), List.copyOf(checks));
    }
}
