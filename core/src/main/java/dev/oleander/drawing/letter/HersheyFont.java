package dev.oleander.drawing.letter;

import dev.oleander.geometry.Point;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The alphabets of single lines of A. V. Hershey (National Bureau of Standards), from data in the
 * form of J. Hurt: five columns of a number, three of how many pairs of letters follow; the first
 * pair is the left and the right edge, every other one a place, {@code R} being 0 and y going down;
 * a space and an R lift the pen. Capitals are 21 units high.
 *
 * <p>Its curves are chains of short straight lines between whole numbers; where they turn by less
 * than 30 degrees they are drawn as curves through the same places.
 */
public final class HersheyFont {

    /** The letters of the file, in their order. */
    private static final int FIRST = ' ';

    private static final int COLUMNS = 8;
    private static final int UNITS = 21;
    private static final char ZERO = 'R';

    /** y of the base line in the file. */
    private static final int BASE = 9;

    /** Cosine of the turn up to which a chain of lines is a curve. */
    private static final double SMOOTH = Math.cos(Math.toRadians(30));

    /** Times its neighbour, from which on a line is a straight one that a curve goes on from. */
    private static final double LONG = 2.2;

    private static final TypeFace ROMAN = load("roman");
    private static final TypeFace SCRIPT = load("script");

    private HersheyFont() {}

    /** Capitals and small letters, digits and the signs of ASCII. */
    public static TypeFace roman() {
        return ROMAN;
    }

    /** The same signs as written by hand, joined where letters meet. */
    public static TypeFace script() {
        return SCRIPT;
    }

    private static TypeFace load(String name) {
        try (InputStream in = HersheyFont.class.getResourceAsStream(name + ".jhf")) {
            byte[] file = in.readAllBytes();
            Map<Integer, Glyph> letters = new HashMap<>();
            new String(file, StandardCharsets.US_ASCII)
                    .lines()
                    .filter(line -> line.length() >= COLUMNS + 2)
                    .forEach(line -> letters.put(FIRST + letters.size(), letter(line)));
            return new TypeFace(
                    new TypeFace.Names(
                            FontFile.sha256(file), "Hershey " + name, "single line", true),
                    UNITS,
                    code -> Optional.ofNullable(letters.get(code)),
                    (first, second) -> 0);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static Glyph letter(String line) {
        int left = line.charAt(COLUMNS) - ZERO;
        int right = line.charAt(COLUMNS + 1) - ZERO;
        List<List<Span>> strokes = new ArrayList<>();
        List<Point> places = new ArrayList<>();
        for (int i = COLUMNS + 2; i + 1 < line.length(); i += 2) {
            if (line.charAt(i) == ' ') {
                add(places, strokes);
                places.clear();
            } else {
                places.add(
                        new Point(
                                line.charAt(i) - ZERO - left, BASE - (line.charAt(i + 1) - ZERO)));
            }
        }
        add(places, strokes);
        int number = Integer.parseInt(line.substring(0, 5).strip());
        return new Glyph(number, right - left, strokes);
    }

    private static void add(List<Point> places, List<List<Span>> strokes) {
        if (places.size() > 1) {
            strokes.add(curved(places));
        }
    }

    // ---- curves through the places of a stroke

    private static List<Span> curved(List<Point> p) {
        List<Span> spans = new ArrayList<>();
        boolean round = p.get(0).equals(p.get(p.size() - 1)) && p.size() > 3;
        for (int i = 1; i < p.size(); i++) {
            Point from = p.get(i - 1);
            Point to = p.get(i);
            Point leaves = way(p, i - 1, from, to, round);
            Point comes = way(p, i, from, to, round);
            Point straight = to.minus(from).times(1 / from.distance(to));
            if (leaves.distance(straight) < 1e-9 && comes.distance(straight) < 1e-9) {
                spans.add(Span.of(from, to));
            } else {
                double third = from.distance(to) / 3;
                spans.add(
                        Span.of(
                                from,
                                from.plus(leaves.times(third)),
                                to.minus(comes.times(third)),
                                to));
            }
        }
        return spans;
    }

    /**
     * Way of a curve at a place, of length 1: half way between the lines that meet there; that of
     * the line {@code from} - {@code to} at corners and ends; that of a line much longer than the
     * other, which stays straight.
     */
    private static Point way(List<Point> p, int at, Point from, Point to, boolean round) {
        Point own = to.minus(from).times(1 / from.distance(to));
        boolean end = at == 0 || at == p.size() - 1;
        if (end && !round) {
            return own;
        }
        Point before = p.get(at == 0 ? p.size() - 2 : at - 1);
        Point after = p.get(at == p.size() - 1 ? 1 : at + 1);
        double in = before.distance(p.get(at));
        double out = p.get(at).distance(after);
        Point first = p.get(at).minus(before).times(1 / in);
        Point second = after.minus(p.get(at)).times(1 / out);
        if (first.dot(second) < SMOOTH) {
            return own;
        }
        if (in > LONG * out) {
            return first;
        }
        if (out > LONG * in) {
            return second;
        }
        Point sum = first.plus(second);
        return sum.times(1 / sum.distance(Point.ORIGIN));
    }
}
