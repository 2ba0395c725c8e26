package dev.oleander.web.library;

import java.util.Arrays;
import java.util.Locale;

/** What stands against something that was sent to a cut book; both empty when nothing does. */
record BookProblem(String of, String sentence) {

    static final BookProblem NONE = new BookProblem("", "");

    /** Whether a row's label has all words that are looked for. */
    static boolean matches(String label, String find) {
        String text = label.toLowerCase(Locale.ROOT);
        return Arrays.stream(find.strip().toLowerCase(Locale.ROOT).split("\\s+"))
                .allMatch(text::contains);
    }
}
