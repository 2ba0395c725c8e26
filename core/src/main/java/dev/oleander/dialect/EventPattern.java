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

    private static final Pattern VALUE = Pattern.compile("([A-Z])\\{\\{(\\w+)}}");

    private final EventKind kind;
    private final List<String> fixed = new ArrayList<>();
    private final Map<Character, String> nameOfAddress = new HashMap<>();

    EventPattern(EventKind kind, String template) {
        this.kind = kind;
        for (String word : template.split("\\s+")) {
            Matcher value = VALUE.matcher(word);
            if (value.matches()) {
                nameOfAddress.put(value.group(1).charAt(0), value.group(2));
            } else {
                fixed.add(word);
            }
        }
    }

    EventKind kind() {
        return kind;
    }

    /** The values of a block that has exactly these words; empty when it has others. */
    Optional<Map<String, Double>> match(List<BlockLexer.Word> words) {
        if (words.size() != fixed.size() + nameOfAddress.size()) {
            return Optional.empty();
        }
        Map<String, Double> values = new HashMap<>();
        int found = 0;
        for (BlockLexer.Word word : words) {
            if (fixed.contains(word.text())) {
                found++;
            } else if (nameOfAddress.containsKey(word.address())) {
                values.put(nameOfAddress.get(word.address()), word.value());
            }
        }
        boolean complete = found == fixed.size() && values.size() == nameOfAddress.size();
        return complete ? Optional.of(values) : Optional.empty();
    }
}
