package dev.oleander.web.account;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.util.Locale;

/** What a password has to be, and new ones that are read aloud easily. */
final class PasswordRules {

    private static final int SHORTEST = 10;

    /** What the hash takes, in bytes. */
    private static final int LONGEST = 72;

    /** Without letters and digits that look alike. */
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

    private static final int GROUPS = 4;
    private static final int GROUP = 4;

    private PasswordRules() {}

    /**
     * @throws AccountException with what is wrong with it
     */
    static void require(String password, String username) {
        if (password.length() < SHORTEST) {
            throw wrong(
                    "A password has at least %d characters; this one has %d."
                            .formatted(SHORTEST, password.length()));
        }
        int bytes = password.getBytes(StandardCharsets.UTF_8).length;
        if (bytes > LONGEST) {
            throw wrong(
                    "A password has at most %d bytes; this one has %d.".formatted(LONGEST, bytes));
        }
        if (password.toLowerCase(Locale.ROOT).contains(username.toLowerCase(Locale.ROOT))) {
            throw wrong("A password does not hold the name that it is for.");
        }
        if (password.chars().distinct().count() < SHORTEST / 2) {
            throw wrong("The password repeats few characters; choose another.");
        }
    }

    private static AccountException wrong(String sentence) {
        return new AccountException("password", sentence);
    }

    /** Sixteen characters in groups, some 79 bits. */
    static String random() {
        SecureRandom random = new SecureRandom();
        StringBuilder made = new StringBuilder();
        for (int i = 0; i < GROUPS * GROUP; i++) {
            if (i > 0 && i % GROUP == 0) {
                made.append('-');
            }
            made.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return made.toString();
    }
}
