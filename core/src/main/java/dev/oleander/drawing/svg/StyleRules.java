package dev.oleander.drawing.svg;

import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What style elements and attributes say of an element. Of style sheets, rules for a class, an id
 * or a kind of element are followed; others do not matter for shapes.
 */
final class StyleRules {

    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^}]*)\\}");
    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);

    private final Map<String, Map<String, String>> rules = new HashMap<>();

    StyleRules(String sheets) {
        Matcher matcher = RULE.matcher(COMMENT.matcher(sheets).replaceAll(" "));
        while (matcher.find()) {
            Map<String, String> values = declarations(matcher.group(2));
            for (String selector : matcher.group(1).split(",")) {
                rules.computeIfAbsent(selector.strip(), s -> new HashMap<>()).putAll(values);
            }
        }
    }

    private static Map<String, String> declarations(String text) {
        Map<String, String> values = new HashMap<>();
        for (String declaration : text.split(";")) {
            int colon = declaration.indexOf(':');
            if (colon > 0) {
                String value = declaration.substring(colon + 1).replace("!important", "");
                values.put(declaration.substring(0, colon).strip(), value.strip());
            }
        }
        return values;
    }

    /** A property of one element alone; null when nothing is said. */
    String own(SvgNode node, String property) {
        String inline = declarations(node.text("style")).get(property);
        if (inline != null) {
            return inline;
        }
        String found = of("#" + node.text("id"), property);
        for (String name : node.text("class").split("\\s+")) {
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
