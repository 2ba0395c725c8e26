package dev.oleander.drawing.letter;

import dev.oleander.geometry.Point;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Our own alphabet of single lines, as marking heads and scribes write them. */
public final class StrokeFont {

    private static final int HEIGHT = 6;
    private static final double BETWEEN = 1.5;
    private static final double SPACE = 4;
    private static final TypeFace MARKING = load();

    private StrokeFont() {}

    /** Capitals, digits and some signs; small letters are written as capitals. */
    public static TypeFace marking() {
        return MARKING;
    }

    private static TypeFace load() {
        try (InputStream in = StrokeFont.class.getResourceAsStream("marking.txt")) {
            byte[] file = in.readAllBytes();
            Map<Integer, Glyph> letters = read(file);
            return new TypeFace(
                    new TypeFace.Names(FontFile.sha256(file), "Marking", "single line", true),
                    HEIGHT,
                    code -> Optional.ofNullable(letters.get(Character.toUpperCase(code))),
                    (first, second) -> 0);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static Map<Integer, Glyph> read(byte[] file) throws IOException {
        Map<Integer, Glyph> letters = new HashMap<>();
        letters.put((int) ' ', new Glyph(0, SPACE, List.of()));
        try (BufferedReader lines =
                new BufferedReader(
                        new InputStreamReader(
                                new ByteArrayInputStream(file), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (!line.startsWith("# ") || Character.isDigit(line.charAt(2))) {
                    int code = line.charAt(0);
                    letters.put(code, letter(line, letters.size()));
                }
            }
        }
        return letters;
    }

    /** The character, its width, then strokes: x and y of each place, one digit each. */
    private static Glyph letter(String line, int number) {
        List<List<Span>> strokes = new ArrayList<>();
        for (String stroke : line.substring(4).split("/")) {
            String digits = stroke.replace(" ", "");
            List<Span> spans = new ArrayList<>();
            for (int i = 2; i + 1 < digits.length(); i += 2) {
                spans.add(Span.of(place(digits, i - 2), place(digits, i)));
            }
            strokes.add(spans);
        }
        return new Glyph(number, line.charAt(2) - '0' + BETWEEN, strokes);
    }

    private static Point place(String digits, int at) {
        return new Point(digits.charAt(at) - '0', digits.charAt(at + 1) - '0');
    }
}
