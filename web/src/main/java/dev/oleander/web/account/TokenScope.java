package dev.oleander.web.account;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** What a token may. */
public enum TokenScope {
    /** looks at everything and takes programs, whatever its owner may */
    READ("look, and take programs"),
    /** all that its owner may over HTTP */
    WORK("all that I may");

    private final String label;

    TokenScope(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<TokenScope> of(String word) {
        return Arrays.stream(values()).filter(s -> s.word().equals(word)).findFirst();
    }

    static String words() {
        return Arrays.stream(values()).map(TokenScope::word).collect(Collectors.joining(", "));
    }
}
