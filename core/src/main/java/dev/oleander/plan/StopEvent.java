package dev.oleander.plan;

import com.fasterxml.jackson.annotation.JsonAlias;
import dev.oleander.quantity.Worded;

/**
 * Something that happens at a stop besides its cut.
 *
 * @param before whether it happens before the cut, with the head still where it was, or after it
 * @param amount how much of it, as its kind says; 0 where nothing is meant
 * @param text for the operator; of a change of gas its word; may be empty where nobody reads it
 */
public record StopEvent(
        Kind kind, boolean before, @JsonAlias("seconds") double amount, String text) {

    /** Longest wait or stop, s. */
    public static final double LONGEST = 3600;

    /** With its words and its number it fits on the shortest line of a program. */
    public static final int LONGEST_TEXT = 50;

    /** What happens. */
    public enum Kind implements Worded {
        /** the program waits for the operator in any case; seconds that are likely */
        STOP("Stop", "s", LONGEST),
        /** it waits when the operator has asked for that at the machine; seconds likewise */
        OPTIONAL_STOP("Optional stop", "s", LONGEST),
        /** the machine waits a time by itself, seconds */
        DWELL("Wait", "s", LONGEST),
        /** a line for the reader of the program */
        COMMENT("Comment", "", 0),
        /** another gas, or another pressure, bar, for this stop */
        GAS("Gas", "bar", 400),
        /** another condition of the controller's own table for this stop, by its number */
        CONDITION("Condition", "no.", 999);

        private final String label;
        private final String unit;
        private final double most;

        Kind(String label, String unit, double most) {
            this.label = label;
            this.unit = unit;
            this.most = most;
        }

        public String label() {
            return label;
        }

        /** Of its amount; empty when it has none. */
        public String unit() {
            return unit;
        }

        /** Largest amount. */
        public double most() {
            return most;
        }

        /** Whether the machine stands until a person goes on. */
        public boolean isForPeople() {
            return this == STOP || this == OPTIONAL_STOP;
        }

        /** Whether it changes the data that the stop is cut with. */
        public boolean changesData() {
            return this == GAS || this == CONDITION;
        }
    }

    public StopEvent {
        text = text == null ? "" : text;
        if (!(amount >= 0 && amount <= kind.most())) {
            throw new IllegalArgumentException(
                    "%s takes 0 to %s, not %s".formatted(kind.label(), kind.most(), amount));
        }
    }
}
