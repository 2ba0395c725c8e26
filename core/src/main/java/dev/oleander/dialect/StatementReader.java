package dev.oleander.dialect;

import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Pose;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads statements of a major word and what follows its slash: ISO 3592. */
final class StatementReader implements LineReader {

    private static final Pattern STATEMENT = Pattern.compile("([A-Z][A-Z0-9]*)\\s*(?:/\\s*(.*))?");
    private static final Pattern NAME = Pattern.compile("\\{\\{(\\w+)}}");
    private static final String NUMBER = "([+-]?(?:\\d{1,15}(?:\\.\\d{0,9})?|\\.\\d{1,9}))";
    private static final NumberForm PLAIN = NumberForm.plain(4, false, false);

    /** Numbers behind a circle: centre, axis, radius. */
    private static final int CIRCLE = 7;

    private static final int AXIS = 5;

    private final Dialect dialect;
    private final ReadItems items;
    private final List<Template> events = new ArrayList<>();
    private final Set<String> preparatory;
    private boolean rapid;
    private double[] circle;
    private double feed;

    /** What an event's statement looks like. */
    private record Template(EventKind kind, Pattern pattern, List<String> names) {}

    StatementReader(Dialect dialect, ReadItems items) {
        this.dialect = dialect;
        this.items = items;
        this.preparatory = new HashSet<>(dialect.preparatory());
        for (EventKind kind : EventKind.values()) {
            String template = dialect.events().get(kind.word());
            if (template != null && !template.isBlank()) {
                events.add(template(kind, template));
            }
        }
    }

    private static Template template(EventKind kind, String template) {
        StringBuilder pattern = new StringBuilder();
        List<String> names = new ArrayList<>();
        Matcher name = NAME.matcher(template);
        int at = 0;
        while (name.find()) {
            pattern.append(Pattern.quote(template.substring(at, name.start())));
            boolean text = name.group(1).equals("text");
            pattern.append(text ? ".*" : NUMBER);
            if (!text) {
                names.add(name.group(1));
            }
            at = name.end();
        }
        pattern.append(Pattern.quote(template.substring(at)));
        return new Template(kind, Pattern.compile(pattern.toString()), names);
    }

    @Override
    public void line(String text) {
        String line = text.strip();
        String open = dialect.comment().open().strip();
        boolean comment = !open.isEmpty() && line.startsWith(open);
        if (line.isEmpty() || isEvent(line) || comment) {
            return;
        }
        Matcher statement = STATEMENT.matcher(line);
        if (statement.matches()) {
            statement(statement);
        } else {
            items.problem(1, "\"%s\" is not a statement.".formatted(shortened(line)));
        }
    }

    private static String shortened(String line) {
        return line.substring(0, Math.min(line.length(), 20));
    }

    private boolean isEvent(String line) {
        for (Template template : events) {
            Matcher matcher = template.pattern().matcher(line);
            if (matcher.matches()) {
                Map<String, Double> values = new HashMap<>();
                for (int g = 1; g <= template.names().size(); g++) {
                    String name = template.names().get(g - 1);
                    NumberForm form = dialect.values().getOrDefault(name, PLAIN);
                    values.put(name, number(matcher.group(g), form));
                }
                items.event(template.kind(), values);
                return true;
            }
        }
        return false;
    }

    private void statement(Matcher statement) {
        String word = statement.group(1);
        if (word.equals(dialect.motion().rapid())) {
            rapid = true;
        } else if (word.equals(dialect.addresses().f())) {
            numbers(statement, dialect.words().feed(), 1).ifPresent(n -> feed = n[0]);
        } else if (word.equals(dialect.motion().line())) {
            numbers(statement, dialect.words().coordinate(), 3).ifPresent(this::goTo);
        } else if (word.equals(dialect.motion().clockwise())
                || word.equals(dialect.motion().anticlockwise())) {
            circle = numbers(statement, dialect.words().centre(), CIRCLE).orElse(null);
        } else if (!preparatory.contains(word)) {
            items.problem(1, "\"%s\" is not known here.".formatted(word));
        }
    }

    /** So many numbers behind the slash; words after them are passed over. */
    private Optional<double[]> numbers(Matcher statement, NumberForm form, int count) {
        String[] parts = statement.group(2) == null ? new String[0] : statement.group(2).split(",");
        double[] found = new double[count];
        for (int i = 0; i < count; i++) {
            String part = i < parts.length ? parts[i].strip() : "";
            if (!part.matches(NUMBER)) {
                int column = statement.group(2) == null ? 1 : statement.start(2) + 1;
                items.problem(
                        column,
                        "%s needs %d numbers, number %d is \"%s\"."
                                .formatted(statement.group(1), count, i + 1, shortened(part)));
                return Optional.empty();
            }
            found[i] = number(part, form);
        }
        return Optional.of(found);
    }

    private static double number(String text, NumberForm form) {
        int point = text.indexOf('.');
        int places = point < 0 ? -1 : text.length() - point - 1;
        return form.value(Double.parseDouble(text.replace(".", "")), places);
    }

    private void goTo(double[] place) {
        Point to = new Point(place[0], place[1]);
        items.towards(Pose.at(place[2]));
        if (to.equals(items.at()) && !items.changesPose()) {
            items.problem(1, "the statement moves nowhere.");
        } else if (circle != null) {
            items.arc(to, new Point(circle[0], circle[1]), circle[AXIS] > 0, feed, 1);
        } else if (rapid) {
            items.rapid(to);
        } else {
            items.line(to, feed, 1);
        }
        rapid = false;
        circle = null;
        items.goTo(to);
    }
}
