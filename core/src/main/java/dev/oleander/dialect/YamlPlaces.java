package dev.oleander.dialect;

import java.util.List;
import java.util.regex.Pattern;

/** Where fields of a description stand: fields by their indentation, one or more on a line. */
final class YamlPlaces {

    private final List<String> lines;

    YamlPlaces(String yaml) {
        this.lines = yaml.lines().toList();
    }

    /**
     * Number of the line, from 1, of a field such as events.pierce, or of the nearest one above it
     * that is there; 1 when none is.
     */
    int line(String field) {
        int from = 0;
        int found = 1;
        int indent = -1;
        for (String name : field.split("\\.")) {
            int at = find(name, from, indent);
            if (at < 0) {
                return found;
            }
            found = at + 1;
            indent = indentOf(lines.get(at));
            from = at;
        }
        return found;
    }

    /** A field within the block that a line begins, or on that line itself. */
    private int find(String name, int from, int outer) {
        String inline = "(^|.*[{,]\\s*)\"?" + Pattern.quote(name) + "\"?\\s*:.*";
        for (int i = from; i < lines.size(); i++) {
            String line = lines.get(i);
            boolean blank = line.isBlank() || line.strip().startsWith("#");
            if (!blank && i > from && indentOf(line) <= outer) {
                return -1;
            }
            boolean within = i == from || indentOf(line) > outer;
            if (!blank && within && line.strip().matches(inline)) {
                return i;
            }
        }
        return -1;
    }

    private static int indentOf(String line) {
        int indent = 0;
        while (indent < line.length() && line.charAt(indent) == ' ') {
            indent++;
        }
        return indent;
    }
}
