package dev.oleander.plan;

import java.util.Optional;
import java.util.stream.Stream;

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

    public static final int LONGEST_TEXT = 60;

    /** What happens. */
    public enum Kind {
        /** the program waits for the operator in any case */
        STOP("stop", "Stop"),
        /** it waits when the operator has asked for that at the machine */
        OPTIONAL_STOP("optionalStop", "Optional stop"),
        /** the machine waits a time by itself */
        DWELL("dwell", "Wait"),
        /** a line for the reader of the program */
        COMMENT("comment", "Comment");

        private final String word;
        private final String label;

        Kind(String word, String label) {
            this.word = word;
            this.label = label;
        }

        public String word() {
            return word;
        }

        public String label() {
            return label;
        }

        /** Whether the machine stands until a person goes on. */
        public boolean isForPeople() {
            return this == STOP || this == OPTIONAL_STOP;
        }

        public static Optional<Kind> ofWord(String word) {
            return Stream.of(values()).filter(k -> k.word.equals(word)).findFirst();
        }
    }

    public StopEvent {
        text = text == null ? "" : text;
        if (!(seconds >= 0 && seconds <= LONGEST)) {
            throw new IllegalArgumentException("seconds must be 0 to 3600: " + seconds);
        }
    }
}
