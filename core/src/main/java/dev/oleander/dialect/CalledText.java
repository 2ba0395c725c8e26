package dev.oleander.dialect;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a text with subprograms: each call is read as the lines it stands for. What comes of them
 * belongs to the line of the call; what is not understood is told with its own line.
 */
final class CalledText {

    private static final String NUMBER = "{{number}}";

    /**
     * Lines that calls may stand for in all: a short text must not become a program without end.
     */
    static final int MOST_CALLED = 500_000;

    private final Dialect.Subprograms forms;
    private final WordReader reader;
    private final ReadItems items;
    private final Pattern numbered;
    private final Pattern begin;
    private final Pattern call;
    private final Map<Integer, List<Line>> bodies = new HashMap<>();
    private int calledLines;

    private record Line(int number, String text) {}

    CalledText(Dialect dialect, WordReader reader, ReadItems items) {
        this.forms = dialect.subprograms();
        this.reader = reader;
        this.items = items;
        String address = dialect.numbering().address();
        this.numbered = Pattern.compile(address.isEmpty() ? "^" : "^" + address + "\\d+ ?");
        this.begin = pattern(forms.begin());
        this.call = pattern(forms.call());
    }

    private static Pattern pattern(String template) {
        int at = template.indexOf(NUMBER);
        return Pattern.compile(
                Pattern.quote(template.substring(0, at))
                        + "(\\d{1,9})"
                        + Pattern.quote(template.substring(at + NUMBER.length())));
    }

    void read(List<String> lines) {
        List<Line> main = new ArrayList<>();
        List<Line> body = null;
        for (int i = 0; i < lines.size(); i++) {
            String plain = plain(lines.get(i));
            Matcher begins = begin.matcher(plain);
            if (begins.matches() && Integer.parseInt(begins.group(1)) >= forms.first()) {
                body = new ArrayList<>();
                bodies.put(Integer.parseInt(begins.group(1)), body);
            } else if (body != null && plain.equals(forms.end())) {
                body = null;
            } else {
                (body == null ? main : body).add(new Line(i + 1, lines.get(i)));
            }
        }
        for (Line line : main) {
            if (items.isFull()) {
                return;
            }
            items.atLine(line.number());
            Matcher calls = call.matcher(plain(line.text()));
            if (calls.matches()) {
                called(Integer.parseInt(calls.group(1)));
            } else {
                reader.line(line.text());
            }
        }
    }

    private String plain(String line) {
        return numbered.matcher(line.strip()).replaceFirst("").strip();
    }

    private void called(int number) {
        List<Line> body = bodies.get(number);
        if (body == null) {
            items.problem(1, "there is no subprogram %d.".formatted(number));
            return;
        }
        calledLines += body.size();
        if (calledLines > MOST_CALLED) {
            items.giveUp(
                    "the calls up to here stand for more than %d lines; the rest was not read."
                            .formatted(MOST_CALLED));
            return;
        }
        for (Line line : body) {
            items.readingLine(line.number());
            if (call.matcher(plain(line.text())).matches()) {
                items.problem(1, "a subprogram calls another one; that is not possible here.");
            } else {
                reader.line(line.text());
            }
        }
    }
}
