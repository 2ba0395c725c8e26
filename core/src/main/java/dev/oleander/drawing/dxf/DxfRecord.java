package dev.oleander.drawing.dxf;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Everything between one code 0 and the next: a type and its pairs. */
final class DxfRecord {

    /** One pair with the line of its code. */
    record Group(int code, String value, int line) {}

    private final String type;
    private final int line;
    private final List<Group> groups = new ArrayList<>();

    DxfRecord(String type, int line) {
        this.type = type;
        this.line = line;
    }

    void add(int code, String value, int groupLine) {
        groups.add(new Group(code, value, groupLine));
    }

    String type() {
        return type;
    }

    int line() {
        return line;
    }

    List<Group> groups() {
        return groups;
    }

    Optional<String> text(int code) {
        return groups.stream().filter(g -> g.code() == code).map(Group::value).findFirst();
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

    boolean isOnPaper() {
        return integer(67, 0) == 1;
    }

    /**
     * A number that must be there.
     *
     * @throws UnreadableEntityException when it is missing, not a number or not finite
     */
    double number(int code) {
        for (Group group : groups) {
            if (group.code() == code) {
                return number(group);
            }
        }
        throw new UnreadableEntityException("group %d is missing".formatted(code));
    }

    double number(int code, double otherwise) {
        return text(code).isPresent() ? number(code) : otherwise;
    }

    static double number(Group group) {
        try {
            double value = Double.parseDouble(group.value());
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException notANumber) {
            // told below, together with numbers that are not finite
        }
        throw new UnreadableEntityException(
                "\"%s\" at line %d is not a usable number"
                        .formatted(group.value(), group.line() + 1));
    }

    /** An entity that cannot become geometry; the reader reports it and goes on. */
    static final class UnreadableEntityException extends RuntimeException {
        UnreadableEntityException(String message) {
            super(message);
        }
    }
}
