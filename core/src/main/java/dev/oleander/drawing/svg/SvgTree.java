package dev.oleander.drawing.svg;

import dev.oleander.drawing.DrawingException;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** The elements of a file. Whatever would reach outside of it or run is refused. */
final class SvgTree {

    private static final int DEEPEST = 200;
    private static final int MOST_ELEMENTS = 1_000_000;

    /** What stands in the brackets: a place of this drawing begins with #. */
    private static final Pattern OUTSIDE_STYLE =
            Pattern.compile("@import|url\\(\\s*+['\"]?+\\s*+(?!#)", Pattern.CASE_INSENSITIVE);

    private static final Pattern EVENT = Pattern.compile("on[a-z]+");
    private static final String SVG = "http://www.w3.org/2000/svg";

    private final String file;
    private final Map<String, SvgNode> byId = new HashMap<>();
    private final StringBuilder styles = new StringBuilder();
    private int stylesBefore;
    private SvgNode root;
    private int elements;

    private SvgTree(String file) {
        this.file = file;
    }

    /**
     * @throws DrawingException when it is no SVG, not well formed, too deep, or reaches outside
     */
    static SvgTree read(String file, byte[] bytes) {
        SvgTree tree = new SvgTree(file);
        tree.refuseEntities(bytes);
        try {
            XMLStreamReader reader =
                    factory().createXMLStreamReader(new ByteArrayInputStream(bytes));
            tree.build(reader);
        } catch (XMLStreamException | RuntimeException broken) {
            throw tree.told(broken);
        }
        if (tree.root == null || !tree.root.name().equals("svg")) {
            throw new DrawingException(file, 1, "%s is not an SVG drawing.".formatted(file));
        }
        return tree;
    }

    private static XMLInputFactory factory() {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        return factory;
    }

    /** The parser is told not to follow them; here it is said why they are not wanted. */
    private void refuseEntities(byte[] bytes) {
        String text = new String(bytes, StandardCharsets.ISO_8859_1);
        int at = text.indexOf("<!ENTITY");
        if (at >= 0) {
            int line = 1 + (int) text.substring(0, at).chars().filter(c -> c == '\n').count();
            throw new DrawingException(
                    file,
                    line,
                    "%s is refused: it defines entities at line %d, which could pull in other files."
                            .formatted(file, line));
        }
    }

    private DrawingException told(Exception broken) {
        if (broken instanceof DrawingException told) {
            return told;
        }
        if (broken instanceof XMLStreamException xml) {
            int line =
                    xml.getLocation() == null ? 1 : Math.max(1, xml.getLocation().getLineNumber());
            return new DrawingException(
                    file,
                    line,
                    "%s is not well-formed XML near line %d. Export it again."
                            .formatted(file, line));
        }
        if (broken instanceof RuntimeException bug && !isOfParser(bug)) {
            throw bug;
        }
        return new DrawingException(file, 1, "%s is not well-formed XML.".formatted(file));
    }

    /** The parser of the platform throws bare runtime exceptions for some broken encodings. */
    private static boolean isOfParser(RuntimeException bug) {
        return bug.getStackTrace().length > 0
                && !bug.getStackTrace()[0].getClassName().startsWith("dev.oleander");
    }

    private void build(XMLStreamReader reader) throws XMLStreamException {
        Deque<SvgNode> open = new ArrayDeque<>();
        boolean inStyle = false;
        while (reader.hasNext()) {
            switch (reader.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    SvgNode node = node(reader);
                    inStyle = node.name().equals("style");
                    stylesBefore = styles.length();
                    if (open.isEmpty()) {
                        root = node;
                    } else {
                        open.peek().children().add(node);
                    }
                    open.push(node);
                    requireLimits(node, open.size());
                }
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
                    if (inStyle) {
                        styles.append(reader.getText());
                    }
                }
                case XMLStreamConstants.END_ELEMENT -> {
                    SvgNode closed = open.pop();
                    if (inStyle) {
                        refuseOutsideStyle(styles.substring(stylesBefore), closed.line());
                    }
                    inStyle = false;
                }
                default -> {
                    // comments and instructions say nothing about shapes
                }
            }
        }
    }

    private SvgNode node(XMLStreamReader reader) {
        int line = reader.getLocation().getLineNumber();
        String space = reader.getNamespaceURI();
        boolean own = space == null || space.isEmpty() || space.equals(SVG);
        String name = own ? reader.getLocalName() : "foreign:" + reader.getLocalName();
        Map<String, String> attributes = new LinkedHashMap<>();
        for (int i = 0; i < reader.getAttributeCount(); i++) {
            attributes.putIfAbsent(reader.getAttributeLocalName(i), reader.getAttributeValue(i));
        }
        SvgNode node = new SvgNode(name, attributes, line);
        if (own) {
            refuseOutside(node);
        }
        String id = node.text("id");
        if (!id.isEmpty()) {
            byId.putIfAbsent(id, node);
        }
        return node;
    }

    private void refuseOutside(SvgNode node) {
        boolean scripted =
                node.name().equals("script")
                        || node.attributes().keySet().stream()
                                .anyMatch(a -> EVENT.matcher(a.toLowerCase(Locale.ROOT)).matches());
        if (scripted) {
            throw refused(node.line(), "a script");
        }
        String href = node.text("href").strip();
        boolean embedded = href.isEmpty() || href.startsWith("#") || href.startsWith("data:");
        if (!embedded) {
            throw refused(node.line(), "a link to something outside (\"%s\")".formatted(cut(href)));
        }
        refuseOutsideStyle(node.text("style"), node.line());
    }

    private void refuseOutsideStyle(CharSequence style, int line) {
        if (OUTSIDE_STYLE.matcher(style).find()) {
            throw refused(line, "a style that is loaded from outside");
        }
    }

    private static String cut(String text) {
        return text.length() > 60 ? text.substring(0, 60) + "…" : text;
    }

    private DrawingException refused(int line, String what) {
        return new DrawingException(
                file,
                line,
                "%s is refused: it holds %s at line %d. Export plain shapes only."
                        .formatted(file, what, line));
    }

    private void requireLimits(SvgNode node, int depth) {
        elements++;
        if (depth > DEEPEST || elements > MOST_ELEMENTS) {
            String limit =
                    depth > DEEPEST
                            ? "elements more than %d deep".formatted(DEEPEST)
                            : "more than %d elements".formatted(MOST_ELEMENTS);
            throw new DrawingException(
                    file, node.line(), "%s has %s at line %d.".formatted(file, limit, node.line()));
        }
    }

    SvgNode root() {
        return root;
    }

    SvgNode byId(String id) {
        return byId.get(id);
    }

    /** Text of all style elements. */
    String styles() {
        return styles.toString();
    }
}
