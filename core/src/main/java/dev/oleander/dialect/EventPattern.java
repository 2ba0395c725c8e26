package dev.oleander.dialect;

import dev.oleander.motion.EventKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The words of an event's block as its template gives them: fixed ones, and addresses of values.
 */
final class EventPattern {

    private static final Pattern WORD =
            Pattern.compile("([A-Z])(?:\\{\\{(\\w+)}}|([+-]?(?:\\d+\\.?\\d*|\\.\\d+)))");

    private static final NumberForm PLAIN = NumberForm.plain(4, false, false);

    /** An address with its number. */
    record Fixed(char address, double number) {}

    private record Value(char address, String name, NumberForm form) {}

    private final EventKind kind;
    private final List<Fixed> fixed = new ArrayList<>();
    private final List<Value> values = new ArrayList<>();

    EventPattern(EventKind kind, String template, Dialect dialect) {
        this.kind = kind;
        Matcher word = WORD.matcher(withoutComment(template, dialect.comment()));
        while (word.find()) {
            char address = word.group(1).charAt(0);
            String name = word.group(2);
            if (name == null) {
                fixed.add(new Fixed(address, Double.parseDouble(word.group(3))));
            } else {
                values.add(new Value(address, name, dialect.values().getOrDefault(name, PLAIN)));
            }
        }
    }

    private static String withoutComment(String template, Dialect.Comment comment) {
        int open = comment.open().isEmpty() ? -1 : template.indexOf(comment.open());
        return open < 0 ? template : template.substring(0, open);
    }

    EventKind kind() {
        return kind;
    }

    List<Fixed> fixed() {
        return fixed;
    }

    /** Address of its first value; 0 when it has none. */
    char firstValue() {
        return values.isEmpty() ? 0 : values.get(0).address();
    }

    /**
     * The values of a block that has exactly these words; empty when it has others.
     *
     * @param first of the words; those before it are passed over
     */
    Optional<Map<String, Double>> match(BlockScanner block, int first) {
        if (block.count() - first != fixed.size() + values.size()) {
            return Optional.empty();
        }
        for (Fixed word : fixed) {
            if (indexOf(block, first, word) < 0) {
                return Optional.empty();
            }
        }
        Map<String, Double> found = new HashMap<>();
        for (Value value : values) {
            for (int i = first; i < block.count(); i++) {
                if (block.address(i) == value.address() && !isFixed(block, i)) {
                    found.put(value.name(), block.value(i, value.form()));
                }
            }
        }
        return found.size() == values.size() ? Optional.of(found) : Optional.empty();
    }

    private static int indexOf(BlockScanner block, int first, Fixed word) {
        for (int i = first; i < block.count(); i++) {
            if (block.is(i, word.address(), word.number())) {
                return i;
            }
        }
        return -1;
    }

    private boolean isFixed(BlockScanner block, int word) {
        return fixed.stream().anyMatch(f -> block.is(word, f.address(), f.number()));
    }
}
