package dev.oleander.drawing.draw;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Single-line letters, as marking heads and scribes write them. */
final class Lettering {

    private static final double HEIGHT = 6;
    private static final double BETWEEN = 1.5;
    private static final double SPACE = 4;
    private static final int LONGEST = 120;
    private static final Lettering SHIPPED = load();

    private record Letter(double width, List<List<Point>> strokes) {}

    private final Map<Character, Letter> letters;

    private Lettering(Map<Character, Letter> letters) {
        this.letters = letters;
    }

    static Lettering shipped() {
        return SHIPPED;
    }

    private static Lettering load() {
        Map<Character, Letter> letters = new HashMap<>();
        try (InputStream in = Lettering.class.getResourceAsStream("lettering.txt");
                BufferedReader lines =
                        new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (!line.startsWith("# ") || Character.isDigit(line.charAt(2))) {
                    letters.put(line.charAt(0), letter(line));
                }
            }
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        return new Lettering(letters);
    }

    private static Letter letter(String line) {
        List<List<Point>> strokes = new ArrayList<>();
        for (String stroke : line.substring(4).split("/")) {
            String digits = stroke.replace(" ", "");
            List<Point> points = new ArrayList<>();
            for (int i = 0; i + 1 < digits.length(); i += 2) {
                points.add(new Point(digits.charAt(i) - '0', digits.charAt(i + 1) - '0'));
            }
            strokes.add(points);
        }
        return new Letter(line.charAt(2) - '0', strokes);
    }

    /**
     * Strokes of a text whose base line begins at the origin.
     *
     * @param height of capitals, mm
     * @throws DrawException when there is nothing to write, too much, or a character is not known
     */
    List<Path> lines(String text, double height) {
        if (text.isBlank() || text.length() > LONGEST) {
            throw DrawException.about("text", "A text has 1 to %d characters.".formatted(LONGEST));
        }
        double scale = height / HEIGHT;
        double at = 0;
        List<Path> lines = new ArrayList<>();
        for (char c : text.toUpperCase(Locale.ROOT).toCharArray()) {
            if (c == ' ') {
                at += SPACE;
                continue;
            }
            Letter letter = letters.get(c);
            if (letter == null) {
                throw DrawException.about(
                        "text",
                        "\"%s\" cannot be written: there are letters, digits and . , : - + = / ( ) # _"
                                .formatted(c));
            }
            for (List<Point> stroke : letter.strokes()) {
                lines.add(line(stroke, at, scale));
            }
            at += letter.width() + BETWEEN;
        }
        return lines;
    }

    private static Path line(List<Point> stroke, double shift, double scale) {
        List<Segment> segments = new ArrayList<>();
        for (int i = 1; i < stroke.size(); i++) {
            Point by = new Point(shift, 0);
            segments.add(
                    new Line(
                            stroke.get(i - 1).plus(by).times(scale),
                            stroke.get(i).plus(by).times(scale)));
        }
        return new Path(segments);
    }
}
