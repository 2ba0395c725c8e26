package dev.oleander.plan;

import dev.oleander.quantity.Worded;

/**
 * Something that happens at a stop besides its cut.
 *
 * @param before whether it happens before the cut, with the head still where it was, or after it
 * @param seconds how long a wait lasts, or a person is likely to take; 0 where neither is meant
 * @param text for the operator; may be empty for a wait
 */
public record StopEvent(Kind kind, boolean before, double seconds, String text) {

    /** Longest wait or stop, s. */
    public static final double LONGEST = 3600;

    /** With its words and its number it fits on the shortest line of a program. */
    public static final int LONGEST_TEXT = 50;

    /** What happens. */
    public enum Kind implements Worded {
        /** the program waits for the operator in any case */
        STOP("Stop"),
        /** it waits when the operator has asked for that at the machine */
        OPTIONAL_STOP("Optional stop"),
        /** the machine waits a time by itself */
        DWELL("Wait"),
        /** a line for the reader of the program */
        COMMENT("Comment");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Whether the machine stands until a person goes on. */
        public boolean isForPeople() {
            return this == STOP || this == OPTIONAL_STOP;
        }
    }

    public StopEvent {
        text = text == null ? "" : text;
        if (!(seconds >= 0 && seconds <= LONGEST)) {
            throw new IllegalArgumentException("seconds must be 0 to 3600: " + seconds);
        }
    }
}
