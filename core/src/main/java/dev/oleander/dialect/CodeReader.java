package dev.oleander.dialect;

import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads codes and coordinates without addresses: ISO 6582. */
final class CodeReader implements LineReader {

    private static final Pattern WAY =
            Pattern.compile(
                    "([+-]\\d{0,12})([+-]\\d{0,12})(?:([+-]\\d{0,12})([+-]\\d{0,12})([+-]))?");
    private static final Pattern CODE = Pattern.compile("(\\d{1,3})(?:\\+(\\d{1,12}))?");

    private final Dialect dialect;
    private final ReadItems items;
    private final Map<String, EventKind> events = new HashMap<>();
    private boolean rapid;
    private boolean comment;
    private double feed;

    CodeReader(Dialect dialect, ReadItems items) {
        this.dialect = dialect;
        this.items = items;
        for (EventKind kind : EventKind.values()) {
            String code = dialect.events().get(kind.word());
            if (code != null && !code.isBlank()) {
                events.put(code, kind);
            }
        }
    }

    @Override
    public void line(String text) {
        String line = text.strip();
        if (comment || line.equals(dialect.comment().open())) {
            comment = !line.equals(dialect.comment().close());
        } else if (!line.isEmpty() && !line.equals("%")) {
            block(line);
        }
    }

    private void block(String line) {
        Matcher way = WAY.matcher(line);
        Matcher code = CODE.matcher(line);
        if (way.matches()) {
            way(way);
        } else if (code.matches()) {
            code(line, code);
        } else {
            items.problem(1, "\"%s\" is neither a way nor a code.".formatted(shortened(line)));
        }
    }

    private static String shortened(String line) {
        return line.substring(0, Math.min(line.length(), 20));
    }

    private void code(String line, Matcher code) {
        boolean alone = code.group(2) == null;
        if (alone && line.equals(dialect.motion().rapid())) {
            rapid = true;
        } else if (alone && line.equals(dialect.motion().line())) {
            rapid = false;
        } else if (!alone && code.group(1).equals(dialect.addresses().f())) {
            NumberForm form = dialect.words().feed();
            feed = form.value(Double.parseDouble(code.group(2)), -1);
        } else if (events.containsKey(line)) {
            items.event(events.get(line), Map.of());
        } else {
            items.problem(1, "the code \"%s\" is not known here.".formatted(line));
        }
    }

    private void way(Matcher way) {
        NumberForm form = dialect.words().coordinate();
        Point at = items.at();
        Point to = at.plus(new Point(number(way.group(1), form), number(way.group(2), form)));
        if (to.equals(at)) {
            items.problem(1, "the block moves nowhere.");
        } else if (rapid) {
            items.rapid(to);
        } else if (way.group(5) == null) {
            items.line(to, feed, 1);
        } else {
            NumberForm centre = dialect.words().centre();
            Point given = new Point(number(way.group(3), centre), number(way.group(4), centre));
            boolean left = way.group(5).equals(dialect.motion().anticlockwise());
            items.arc(to, at.plus(given), left, feed, 1);
        }
        items.goTo(to);
    }

    private static double number(String signed, NumberForm form) {
        return signed.length() == 1 ? 0 : form.value(Double.parseDouble(signed), -1);
    }
}
