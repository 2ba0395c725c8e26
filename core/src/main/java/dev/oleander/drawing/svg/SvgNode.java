package dev.oleander.drawing.svg;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** One element with its attributes (local names) and what lies in it. */
record SvgNode(String name, Map<String, String> attributes, int line, List<SvgNode> children) {

    SvgNode(String name, Map<String, String> attributes, int line) {
        this(name, attributes, line, new ArrayList<>());
    }

    String text(String attribute) {
        return attributes.getOrDefault(attribute, "");
    }

    /** What {@code href} names inside this file, without the hash; empty when it names nothing. */
    String reference() {
        String href = text("href").strip();
        return href.startsWith("#") ? href.substring(1) : "";
    }
}
