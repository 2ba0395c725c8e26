package dev.oleander.web.book;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A change of a cut book for people.
 *
 * @param subject id of the row, or material
 * @param what each value that changed: feed 2700 to 2500
 */
public record Change(String subject, List<String> what, String note, String by, Instant at) {

    private static final Pattern ENTRY = Pattern.compile("\\w+ \\d+");

    static Change of(BookChange change) {
        return new Change(change.subject(), what(change), change.note(), change.by(), change.at());
    }

    private static List<String> what(BookChange change) {
        if (change.after() == null) {
            return List.of("taken away");
        }
        if (change.before() == null) {
            return List.of("new");
        }
        Map<String, String> before = values(change.before());
        Map<String, String> after = values(change.after());
        List<String> what = new ArrayList<>();
        changed(before, after, what);
        onlyIn(after, before).forEach(name -> what.add(name + " new"));
        onlyIn(before, after).forEach(name -> what.add(name + " taken away"));
        return what.isEmpty() ? List.of("unchanged") : what;
    }

    /** Entries of lists, as in passes 3, that one has and the other has not. */
    private static Set<String> onlyIn(Map<String, String> here, Map<String, String> there) {
        Set<String> entries = new TreeSet<>();
        for (String name : here.keySet()) {
            Matcher entry = ENTRY.matcher(name);
            if (!there.containsKey(name) && entry.lookingAt()) {
                entries.add(entry.group());
            }
        }
        return entries;
    }

    private static void changed(
            Map<String, String> before, Map<String, String> after, List<String> what) {
        after.forEach(
                (name, value) -> {
                    String old = before.get(name);
                    if (old != null && !Objects.equals(old, value)) {
                        what.add("%s %s to %s".formatted(name, old, value));
                    }
                });
    }

    private static Map<String, String> values(String json) {
        Map<String, String> values = new TreeMap<>();
        collect("", JsonMapper.shared().readTree(json), values);
        return values;
    }

    private static void collect(String name, JsonNode node, Map<String, String> into) {
        if (node.isObject()) {
            String prefix = name.isEmpty() ? "" : name + " ";
            node.properties().forEach(e -> collect(prefix + e.getKey(), e.getValue(), into));
        } else if (node.isArray()) {
            int number = 0;
            for (JsonNode entry : node) {
                collect("%s %d".formatted(name, ++number), entry, into);
            }
        } else {
            into.put(name, node.asString());
        }
    }
}
