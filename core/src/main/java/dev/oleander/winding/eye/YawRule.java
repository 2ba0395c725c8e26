package dev.oleander.winding.eye;

import java.util.Optional;

/** How an eye with yaw stands to the roving. */
public enum YawRule {
    /** Its roller lies flat under the band. */
    FLAT("flat"),
    /** Square to the roving in plan, without roll. */
    SQUARE("square"),
    /** As it stands. */
    FIXED("fixed");

    private final String word;

    YawRule(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public static Optional<YawRule> of(String word) {
        for (YawRule rule : values()) {
            if (rule.word.equals(word)) {
                return Optional.of(rule);
            }
        }
        return Optional.empty();
    }
}
