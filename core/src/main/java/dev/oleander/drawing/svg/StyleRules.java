package dev.oleander.drawing.svg;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What style elements and attributes say of an element. Of style sheets, rules for a class, an id
 * or a kind of element are followed; others do not matter for shapes. Every text is gone through
 * once, whatever it holds.
 */
final class StyleRules {

    /** All that matters for shapes. */
    private static final Set<String> PROPERTIES =
            Set.of("display", "visibility", "stroke", "fill", "stroke-dasharray");

    private final Map<String, Map<String, String>> rules = new HashMap<>();
    private final Map<SvgNode, Map<String, String>> inline = new IdentityHashMap<>();
    private final Map<SvgNode, List<String>> classes = new IdentityHashMap<>();

    StyleRules(String sheets) {
        String text = withoutComments(sheets);
        int at = 0;
        while (at < text.length()) {
            int open = text.indexOf('{', at);
            int close = open < 0 ? -1 : text.indexOf('}', open);
            if (close < 0) {
                return;
            }
            rule(text.substring(at, open), text.substring(open + 1, close));
            at = close + 1;
        }
    }

    private static String withoutComments(String text) {
        StringBuilder plain = new StringBuilder();
        int at = 0;
        while (at < text.length()) {
            int open = text.indexOf("/*", at);
            if (open < 0) {
                return plain.append(text, at, text.length()).toString();
            }
            plain.append(text, at, open).append(' ');
            int close = text.indexOf("*/", open + 2);
            // a comment that does not end takes the rest
            at = close < 0 ? text.length() : close + 2;
        }
        return plain.toString();
    }

    private void rule(String selectors, String declarations) {
        Map<String, String> values = declarations(declarations);
        if (values.isEmpty()) {
            return;
        }
        for (String selector : selectors.split(",")) {
            rules.computeIfAbsent(selector.strip(), s -> new HashMap<>()).putAll(values);
        }
    }

    private static Map<String, String> declarations(String text) {
        Map<String, String> values = new HashMap<>();
        for (String declaration : text.split(";")) {
            int colon = declaration.indexOf(':');
            String property = declaration.substring(0, Math.max(0, colon)).strip();
            if (PROPERTIES.contains(property)) {
                String value = declaration.substring(colon + 1).replace("!important", "");
                values.put(property, value.strip());
            }
        }
        return values;
    }

    /** A property of one element alone; null when nothing is said. */
    String own(SvgNode node, String property) {
        String own = inline.computeIfAbsent(node, n -> declarations(n.text("style"))).get(property);
        if (own != null) {
            return own;
        }
        String found = of("#" + node.text("id"), property);
        for (String name :
                classes.computeIfAbsent(node, n -> List.of(n.text("class").split("\\s+")))) {
            found = found == null ? of("." + name, property) : found;
            found = found == null ? of(node.name() + "." + name, property) : found;
        }
        found = found == null ? of(node.name(), property) : found;
        return found == null ? node.attributes().get(property) : found;
    }

    private String of(String selector, String property) {
        Map<String, String> values = rules.get(selector);
        return values == null ? null : values.get(property);
    }
}
