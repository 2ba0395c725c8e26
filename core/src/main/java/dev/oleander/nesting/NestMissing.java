package dev.oleander.nesting;

/**
 * Parts that lie on no sheet.
 *
 * @param line id of the order line
 * @param count how many
 */
public record NestMissing(String line, int count, Why why) {

    /** Why they do not. */
    public enum Why {
        TOO_LARGE("larger than every sheet"),
        TURNS("no sheet holds it the way it may be turned"),
        NO_ROOM("no room is left on the sheets there are"),
        NOT_LAID("not laid yet, though there is another sheet; search on, or lay it by hand");

        private final String sentence;

        Why(String sentence) {
            this.sentence = sentence;
        }

        /** The same for people. */
        public String sentence() {
            return sentence;
        }
    }
}
