package dev.oleander.dialect;

import com.samskivert.mustache.Template;
import dev.oleander.motion.Item;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The lines of a text while it is written: numbers, ends, comments, and which item each one is. */
final class TextLines {

    private final Dialect dialect;
    private final Map<String, String> stopNames;
    private final Template stopComment;
    private final List<String> lines = new ArrayList<>();
    private final List<Integer> itemOfLine = new ArrayList<>();
    private final StringBuilder numbered = new StringBuilder();
    private int number;
    private String stop = "";

    TextLines(Dialect dialect, Map<String, String> stopNames) {
        this.dialect = dialect;
        this.stopNames = stopNames;
        this.stopComment =
                dialect.stopComment() == null || dialect.stopComment().isBlank()
                        ? null
                        : EventWords.compiled("stopComment", dialect.stopComment());
        this.number = dialect.numbering().start();
    }

    Written written() {
        return new Written(lines, itemOfLine, dialect.file().lineEnd());
    }

    /** Lines of the header or the footer. */
    void frame(String field, List<String> templates, Map<String, String> values) {
        Map<String, String> clean = new HashMap<>();
        values.forEach((name, value) -> clean.put(name, plainText(value, dialect.comment())));
        for (String template : templates) {
            String name = dialect.name() + ": " + field;
            add(EventWords.rendered(name, EventWords.compiled(name, template), clean), -1);
        }
    }

    /** A comment where the stop of an item begins. */
    void commentOf(Item item) {
        String of = item.origin().stop();
        if (stopComment != null && !of.isEmpty() && !of.equals(stop)) {
            stop = of;
            Map<String, String> values =
                    Map.of("name", plainText(stopNames.getOrDefault(of, of), dialect.comment()));
            add(EventWords.rendered("stopComment", stopComment, values), -1);
        }
    }

    /** A block with its number and its end. */
    void block(CharSequence words, int item) {
        Dialect.Numbering numbers = dialect.numbering();
        if (numbers.address().isEmpty()) {
            add(words + dialect.file().blockEnd(), item);
            return;
        }
        numbered.setLength(0);
        numbered.append(numbers.address());
        int digits = number == 0 ? 1 : (int) Math.log10(number) + 1;
        for (int d = digits; d < numbers.digits(); d++) {
            numbered.append('0');
        }
        numbered.append(number);
        if (dialect.file().spaces()) {
            numbered.append(' ');
        }
        numbered.append(words).append(dialect.file().blockEnd());
        number += numbers.step();
        if (number > numbers.most()) {
            number = numbers.start();
        }
        add(numbered.toString(), item);
    }

    /** A line as it is. */
    void add(String text, int item) {
        int most = dialect.file().longestLine();
        Dialect.Comment comment = dialect.comment();
        String line = text;
        if (line.length() > most && line.startsWith(comment.open())) {
            line = line.substring(0, most - comment.close().length()) + comment.close();
        } else if (line.length() > most) {
            throw new DialectException(
                    "%s: a line has %d characters, the limit is %d: %s"
                            .formatted(dialect.name(), line.length(), most, line));
        }
        lines.add(line);
        itemOfLine.add(item);
    }

    /** Controllers know plain letters only, and a bracket would end the comment. */
    static String plainText(String text, Dialect.Comment comment) {
        if (isPlain(text, comment)) {
            return text;
        }
        String apart = Normalizer.normalize(text, Normalizer.Form.NFKD).replace("Ø", "D");
        return without(without(apart.replace("×", "x"), comment.open()), comment.close())
                .replaceAll("[^ -~]", "");
    }

    private static boolean isPlain(String text, Dialect.Comment comment) {
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) < ' ' || text.charAt(i) > '~') {
                return false;
            }
        }
        boolean open = !comment.open().isBlank() && text.contains(comment.open());
        return !open && (comment.close().isBlank() || !text.contains(comment.close()));
    }

    private static String without(String text, String mark) {
        return mark.isBlank() ? text : text.replace(mark, "");
    }
}
