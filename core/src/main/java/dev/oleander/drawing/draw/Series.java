package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;

import dev.oleander.drawing.letter.LetterException;
import dev.oleander.drawing.letter.TextValues;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;

/** Texts in rows, each with its number or its row of a table. */
final class Series {

    /** Characters of a text at most. */
    private static final int LONGEST = 2_000;

    private static final int MOST_TEXTS = 2_000;
    private static final String HEADING = "Numbers and tables";

    private Series() {}

    static List<Parameter> parameters() {
        return List.of(
                count("count", "Texts", "1").in(HEADING),
                count("columns", "Texts in a row", "count").in(HEADING),
                length("dx", "From text to text", "0").in(HEADING),
                length("dy", "From row to row", "0").in(HEADING),
                count("first", "First number", "1").in(HEADING),
                count("step", "Step", "1").in(HEADING),
                new Parameter("table", "Table (CSV)", Parameter.Kind.LINES, "").in(HEADING));
    }

    /** What each of them says. */
    static List<String> texts(Args args) {
        String text = args.text("text");
        if (text.isBlank() || text.length() > LONGEST) {
            throw DrawException.about("text", "A text has 1 to %d characters.".formatted(LONGEST));
        }
        int count = args.count("count", "The number of texts", 1);
        Args.require(
                count <= MOST_TEXTS, "count", "%s texts; %s are the limit.", count, MOST_TEXTS);
        String table = args.text("table");
        try {
            return TextValues.of(
                    text,
                    new TextValues.Counting(
                            count, (long) args.number("first"), (long) args.number("step")),
                    table.isEmpty() ? null : table,
                    Map.of());
        } catch (LetterException wrong) {
            throw DrawException.about("text", wrong.getMessage());
        }
    }

    /** How far one of them lies from the first. */
    static Point shift(Args args, int index) {
        int columns = args.count("columns", "The number of texts in a row", 1);
        return new Point(
                args.number("dx") * (index % columns), args.number("dy") * (index / columns));
    }
}
