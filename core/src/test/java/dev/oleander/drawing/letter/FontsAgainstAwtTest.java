package dev.oleander.drawing.letter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.awt.font.TextAttribute;
import java.awt.geom.PathIterator;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The fonts that ship, letter by letter, against the fonts of the JDK, which are exact when a unit
 * is a point.
 */
class FontsAgainstAwtTest {

    private static final Path FONTS = Path.of("..", "web", "src", "main", "resources", "fonts");
    private static final double UNIT = 1e-3;

    /** What the JDK's own rounding of scaled parts can come to in both directions. */
    private static final double SIXTY_FOURTHS = 2.0 / 64;

    private static final FontRenderContext EXACT = new FontRenderContext(null, true, true);

    private static final List<String> PAIRS =
            List.of("AV", "To", "LT", "Va", "Te", "WA", "Yo", "P.", "ry", "fi");

    static Stream<Path> fonts() throws IOException {
        return Files.list(FONTS).filter(f -> f.toString().matches(".*\\.(ttf|otf|woff)")).sorted();
    }

    private static Font awt(byte[] file, TypeFace face) throws IOException, FontFormatException {
        byte[] sfnt = FontTables.checked(file, "font");
        return Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(sfnt))
                .deriveFont((float) face.unitsPerEm());
    }

    @ParameterizedTest
    @MethodSource("fonts")
    void everyLetterHasTheSamePoints(Path path) throws IOException, FontFormatException {
        byte[] file = Files.readAllBytes(path);
        TypeFace face = FontFile.read(file, path.getFileName().toString());
        Font awt = awt(file, face);
        int compared = 0;
        for (char c = '!'; c < 0x180; c++) {
            var glyph = face.glyph(c);
            if (glyph.isPresent() && awt.canDisplay(c)) {
                List<Point> ours = points(glyph.get());
                List<Point> theirs = points(awt.createGlyphVector(EXACT, new char[] {c}));
                assertSame(ours, theirs, path + " " + c);
                compared++;
            }
        }
        assertThat(compared).isGreaterThan(90);
    }

    private static void assertSame(List<Point> ours, List<Point> theirs, String what) {
        assertThat(theirs.isEmpty()).as(what).isEqualTo(ours.isEmpty());
        double near = isScaled(ours) ? SIXTY_FOURTHS : UNIT;
        assertThat(ours).as(what).allMatch(p -> isNear(p, theirs, near));
        assertThat(theirs).as(what).allMatch(p -> isNear(p, ours, near));
    }

    /** Parts of composite letters that are scaled lie between whole and half units. */
    private static boolean isScaled(List<Point> points) {
        return points.stream().anyMatch(p -> 2 * p.x() % 1 != 0 || 2 * p.y() % 1 != 0);
    }

    private static boolean isNear(Point p, List<Point> others, double near) {
        return others.stream().anyMatch(o -> o.distance(p) < near);
    }

    private static List<Point> points(Glyph glyph) {
        return glyph.outlines().stream()
                .flatMap(List::stream)
                .flatMap(span -> span.points().stream())
                .toList();
    }

    /** Those of the curves and lines; y goes down there. */
    private static List<Point> points(GlyphVector glyphs) {
        Shape outline = glyphs.getOutline();
        List<Point> all = new ArrayList<>();
        double[] xy = new double[6];
        for (PathIterator i = outline.getPathIterator(null); !i.isDone(); i.next()) {
            int count =
                    switch (i.currentSegment(xy)) {
                        case PathIterator.SEG_CLOSE -> 0;
                        case PathIterator.SEG_QUADTO -> 2;
                        case PathIterator.SEG_CUBICTO -> 3;
                        default -> 1;
                    };
            for (int k = 0; k < count; k++) {
                all.add(new Point(xy[2 * k], -xy[2 * k + 1]));
            }
        }
        return all;
    }

    @ParameterizedTest
    @MethodSource("fonts")
    void pairsAreAsFarApart(Path path) throws IOException, FontFormatException {
        byte[] file = Files.readAllBytes(path);
        TypeFace face = FontFile.read(file, path.getFileName().toString());
        Font awt =
                awt(file, face)
                        .deriveFont(
                                Map.of(
                                        TextAttribute.KERNING,
                                        TextAttribute.KERNING_ON,
                                        TextAttribute.LIGATURES,
                                        0));
        for (String pair : PAIRS) {
            Glyph first = face.glyph(pair.charAt(0)).orElseThrow();
            Glyph second = face.glyph(pair.charAt(1)).orElseThrow();
            GlyphVector laid =
                    awt.layoutGlyphVector(
                            EXACT, pair.toCharArray(), 0, 2, Font.LAYOUT_LEFT_TO_RIGHT);
            assertThat(first.advance() + face.kerning(first, second))
                    .as("%s %s", path.getFileName(), pair)
                    .isCloseTo(laid.getGlyphPosition(1).getX(), within(UNIT));
        }
    }
}
