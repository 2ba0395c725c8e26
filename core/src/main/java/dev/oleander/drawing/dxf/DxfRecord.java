package dev.oleander.drawing.dxf;

import dev.oleander.drawing.intake.UnreadableException;
import java.util.Arrays;
import java.util.Optional;

/** Everything between one code 0 and the next: a type and its pairs of group code and value. */
final class DxfRecord {

    private final String type;
    private final int line;
    private int[] codes = new int[16];
    private String[] values = new String[16];
    private int[] lines = new int[16];
    private int size;

    DxfRecord(String type, int line) {
        this.type = type;
        this.line = line;
    }

    void add(int code, String value, int groupLine) {
        if (size == codes.length) {
            codes = Arrays.copyOf(codes, 2 * size);
            values = Arrays.copyOf(values, 2 * size);
            lines = Arrays.copyOf(lines, 2 * size);
        }
        codes[size] = code;
        values[size] = value;
        lines[size++] = groupLine;
    }

    String type() {
        return type;
    }

    int line() {
        return line;
    }

    int size() {
        return size;
    }

    int code(int i) {
        return codes[i];
    }

    String value(int i) {
        return values[i];
    }

    Optional<String> text(int code) {
        int i = find(code);
        return i < 0 ? Optional.empty() : Optional.of(values[i]);
    }

    private int find(int code) {
        for (int i = 0; i < size; i++) {
            if (codes[i] == code) {
                return i;
            }
        }
        return -1;
    }

    /** Whole number, or the default when it is missing or not one. */
    int integer(int code, int otherwise) {
        try {
            return text(code).map(Integer::parseInt).orElse(otherwise);
        } catch (NumberFormatException notANumber) {
            return otherwise;
        }
    }

    String layer() {
        return text(8).orElse("0");
    }

    String handle() {
        return text(5).orElse("");
    }

    boolean isOnPaper() {
        return integer(67, 0) == 1;
    }

    /**
     * A number that must be there.
     *
     * @throws UnreadableException when it is missing, not a number or not finite
     */
    double number(int code) {
        int i = find(code);
        if (i < 0) {
            throw new UnreadableException("group %d is missing".formatted(code));
        }
        return numberAt(i);
    }

    double number(int code, double otherwise) {
        int i = find(code);
        return i < 0 ? otherwise : numberAt(i);
    }

    /** The value of the i-th pair as a finite number. */
    double numberAt(int i) {
        try {
            double value = Double.parseDouble(values[i]);
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException notANumber) {
            // told below, together with numbers that are not finite
        }
        String shown = values[i].length() > 30 ? values[i].substring(0, 30) + "…" : values[i];
        throw new UnreadableException(
                "\"%s\" at line %d is not a usable number".formatted(shown, lines[i] + 1));
    }

    /** Whether the thing is seen from behind: its extrusion is (0, 0, -1). */
    boolean isFromBehind() {
        double x = number(210, 0);
        double y = number(220, 0);
        double z = number(230, 1);
        if (Math.hypot(x, y) > 1e-6 * Math.abs(z)) {
            throw new UnreadableException("it is tilted out of the plane");
        }
        return z < 0;
    }
}
