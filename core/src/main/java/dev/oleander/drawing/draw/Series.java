package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;

import dev.oleander.drawing.letter.LetterException;
import dev.oleander.drawing.letter.TextValues;
import dev.oleander.geometry.Point;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** Texts in rows, each with its number or its row of a table. */
final class Series {

    /** Characters of a text at most. */
    private static final int LONGEST = 2_000;

    private static final int MOST_TEXTS = 2_000;

    /** Characters of the name of a counter. */
    private static final int LONGEST_NAME = 60;

    /** Something in braces that is not about the job as a whole, which all texts share. */
    private static final Pattern DIFFERS =
            Pattern.compile("(?<!\\{)\\{(?!\\{|\\s*(?:job|revision|part|date)\\s*})");

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
                Parameter.text(Stamp.COUNTER, "Counter of the shop", Stamp.NO_COUNTER).in(HEADING),
                new Parameter("table", "Table (CSV)", Parameter.Kind.LINES, "").in(HEADING));
    }

    /** What each of them says. */
    static List<String> texts(Sketch sketch, Args args) {
        String text = args.text("text");
        if (text.isBlank() || text.length() > LONGEST) {
            throw DrawException.about("text", "A text has 1 to %d characters.".formatted(LONGEST));
        }
        Stamp stamp = sketch.supplies().stamp();
        TextValues.Counting counting = counting(args, stamp);
        String table = args.text("table");
        try {
            List<String> texts =
                    TextValues.of(text, counting, table.isEmpty() ? null : table, stamp.names());
            sketch.number(numbers(args, counting, texts));
            return texts;
        } catch (LetterException wrong) {
            throw DrawException.about("text", wrong.getMessage());
        }
    }

    /** A counter goes on where the shop is, unless somebody says where it begins. */
    private static TextValues.Counting counting(Args args, Stamp stamp) {
        int count = args.count("count", "The number of texts", 1);
        Args.require(
                count <= MOST_TEXTS, "count", "%s texts; %s are the limit.", count, MOST_TEXTS);
        String counter = counter(args);
        boolean said = !args.step().values().getOrDefault("first", "").isBlank();
        long first = said || counter.isEmpty() ? whole(args, "first") : stamp.next(counter);
        long step = whole(args, "step");
        if (!counter.isEmpty()) {
            Args.require(
                    counter.length() <= LONGEST_NAME,
                    Stamp.COUNTER,
                    "The name of a counter has %s characters; %s are the limit.",
                    counter.length(),
                    LONGEST_NAME);
            Args.require(step > 0, "step", "A counter counts up: the step is %s.", step);
            Args.require(first >= 0, "first", "A counter has no number %s.", first);
        }
        return new TextValues.Counting(count, first, step);
    }

    private static String counter(Args args) {
        return Stamp.counter(args.text(Stamp.COUNTER)).orElse("");
    }

    private static long whole(Args args, String name) {
        double value = args.number(name);
        Args.require(value == Math.rint(value), name, "%s is no whole number.", value);
        return (long) value;
    }

    private static Drawn.Numbers numbers(
            Args args, TextValues.Counting counting, List<String> texts) {
        long end = counting.from() + (counting.copies() - 1) * counting.step();
        return new Drawn.Numbers(
                args.step().id(),
                counter(args),
                Math.min(counting.from(), end),
                Math.max(counting.from(), end),
                said(args, texts),
                doubled(args, texts));
    }

    private static List<Drawn.Said> said(Args args, List<String> texts) {
        Point first = args.point("x", "y");
        return IntStream.range(0, texts.size())
                .mapToObj(i -> new Drawn.Said(texts.get(i), first.plus(shift(args, i))))
                .toList();
    }

    /** Texts that ask for a number or a row of a table, and say the same nevertheless. */
    private static String doubled(Args args, List<String> texts) {
        if (!DIFFERS.matcher(args.text("text")).find()) {
            return "";
        }
        Map<String, Integer> seen = new HashMap<>();
        for (int i = 0; i < texts.size(); i++) {
            Integer before = seen.putIfAbsent(texts.get(i), i + 1);
            if (before != null) {
                return "Texts %d and %d of %s both say \"%s\"."
                        .formatted(
                                before, i + 1, args.step().id(), texts.get(i).replace("\n", " "));
            }
        }
        return "";
    }

    /** How far one of them lies from the first. */
    static Point shift(Args args, int index) {
        int columns = args.count("columns", "The number of texts in a row", 1);
        return new Point(
                args.number("dx") * (index % columns), args.number("dy") * (index / columns));
    }
}
