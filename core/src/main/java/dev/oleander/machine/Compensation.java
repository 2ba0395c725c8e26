package dev.oleander.machine;

import java.util.Arrays;
import java.util.Optional;

/** Who moves the path half a kerf off the drawn line. */
public enum Compensation {
    /** the path is offset and written as it runs */
    PATH("path", "in the path"),
    /** the drawn line is written; the controller offsets it by a register */
    CONTROLLER("controller", "by the controller"),
    /** the path is offset, and the controller adds a register for wear, which begins at 0 */
    BOTH("both", "in the path, wear by the controller");

    private final String word;
    private final String label;

    Compensation(String word, String label) {
        this.word = word;
        this.label = label;
    }

    public String word() {
        return word;
    }

    public String label() {
        return label;
    }

    public static Optional<Compensation> ofWord(String word) {
        return Arrays.stream(values()).filter(c -> c.word.equals(word)).findFirst();
    }
}
