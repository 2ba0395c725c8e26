package dev.oleander.drawing.letter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Segment;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Alphabets of single lines from lists of places. */
class HersheyFontTest {

    private static final TypeFace ROMAN = HersheyFont.roman();
    private static final TypeFace SCRIPT = HersheyFont.script();

    @Test
    void allSignsOfAsciiAreThere() {
        assertThat(IntStream.range(' ', 127)).allMatch(c -> ROMAN.glyph(c).isPresent());
        assertThat(ROMAN.glyph('é')).isEmpty();
        assertThat(ROMAN.capHeight()).isEqualTo(21);
        assertThat(ROMAN.names().strokes()).isTrue();
        assertThat(Faces.SHIPPED.find(ROMAN.names().sha256())).containsSame(ROMAN);
    }

    /** Three strokes of straight lines; its sides are 14 units apart, with 4 beside each. */
    @Test
    void straightLettersStayStraight() {
        Glyph h = ROMAN.glyph('H').orElseThrow();
        assertThat(h.outlines()).hasSize(3);
        assertThat(h.outlines()).allMatch(o -> o.size() == 1 && o.get(0).isLine());
        assertThat(h.advance()).isEqualTo(22);
        assertThat(h.outlines().get(0).get(0).start().x()).isEqualTo(4);
    }

    private static List<Chain> written(String text, double height) {
        return LetterOutlines.of(TextLayout.of(ROMAN, LetterCases.plain(text, height)), true, 0.01)
                .stream()
                .map(LetterOutlines.Outline::chain)
                .toList();
    }

    @Test
    void roundLettersAreSmoothAndAsHighAsTheyAre() {
        List<Chain> o = written("O", 21);
        assertThat(o).hasSize(1);
        Chain round = o.get(0);
        assertThat(round.segments()).allMatch(Arc.class::isInstance);
        for (int i = 1; i < round.segments().size(); i++) {
            Segment before = round.segments().get(i - 1);
            double turn = before.direction(1).cross(round.segments().get(i).direction(0));
            assertThat(Math.abs(turn)).isLessThan(0.02);
        }
        Box box = round.box();
        assertThat(box.max().y()).isCloseTo(21, within(0.3));
        assertThat(box.min().y()).isCloseTo(0, within(0.3));
    }

    @Test
    void lettersWrittenByHandMeetTheNext() {
        assertThat(IntStream.range(' ', 127)).allMatch(c -> SCRIPT.glyph(c).isPresent());
        assertThat(SCRIPT.capHeight()).isCloseTo(21, within(1.0));
        assertThat(Faces.SHIPPED.find(SCRIPT.names().sha256())).containsSame(SCRIPT);
        Glyph n = SCRIPT.glyph('n').orElseThrow();
        List<Span> last = n.outlines().get(n.outlines().size() - 1);
        assertThat(last.get(last.size() - 1).end().x()).isCloseTo(n.advance(), within(1.0));
    }

    /** Every place of the file lies on what is drawn: a curve goes through them, not beside. */
    @Test
    void curvesGoThroughThePlacesOfTheFile() {
        goesThroughPlaces(ROMAN);
        goesThroughPlaces(SCRIPT);
    }

    private static void goesThroughPlaces(TypeFace face) {
        for (char c = '!'; c < 127; c++) {
            for (List<Span> stroke : face.glyph(c).orElseThrow().outlines()) {
                for (Span span : stroke) {
                    assertThat(span.start().x())
                            .isCloseTo(Math.rint(span.start().x()), within(0.0));
                    assertThat(span.flat(0.01))
                            .allMatch(
                                    p ->
                                            p.distance(span.start()) + p.distance(span.end())
                                                    < 1.12 * span.start().distance(span.end()));
                }
            }
        }
    }
}
