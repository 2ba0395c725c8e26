package dev.oleander.drawing.letter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.letter.LetterOutlines.Outline;
import dev.oleander.drawing.letter.TextLayout.Laid;
import dev.oleander.drawing.letter.TextSpec.Across;
import dev.oleander.drawing.letter.TextSpec.Align;
import dev.oleander.drawing.letter.TextSpec.Along;
import dev.oleander.drawing.letter.TextSpec.Mode;
import dev.oleander.drawing.letter.TextSpec.Turn;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Where letters lie, and what their outlines are. */
class TextLayoutTest {

    private static final TypeFace BLOCK = LetterCases.BLOCK;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "straight_kerned",
                "curved_and_composite",
                "arc_outside_top",
                "arc_outside_bottom",
                "line_arc_line_spread"
            })
    void lettersLieWhereOtherCodePutsThem(String name) {
        JsonNode of = LetterCases.of(name);
        Laid laid = TextLayout.of(BLOCK, LetterCases.spec(of.get("request")));
        JsonNode truth = of.get("truth");
        assertThat(laid.length()).isCloseTo(truth.get("length").asDouble(), within(1e-6));
        for (JsonNode letter : truth.get("letters")) {
            Placed placed =
                    laid.letters().stream()
                            .filter(p -> p.index() == letter.get("index").asInt())
                            .findFirst()
                            .orElseThrow();
            assertThat(placed.character()).isEqualTo(letter.get("char").asString());
            Point at = new Point(letter.at("/at/0").asDouble(), letter.at("/at/1").asDouble());
            assertThat(placed.at().distance(at)).as(name + placed).isLessThan(1e-6);
            double turn = placed.angle() - letter.get("angle").asDouble();
            assertThat(Math.abs(Math.IEEEremainder(turn, 360))).isLessThan(1e-6);
            assertThat(placed.advance()).isCloseTo(letter.get("advance").asDouble(), within(1e-6));
        }
    }

    private static double area(List<Outline> outlines) {
        return outlines.stream().mapToDouble(o -> ((Contour) o.chain()).signedArea()).sum();
    }

    @ParameterizedTest
    @ValueSource(strings = {"straight_kerned", "curved_and_composite"})
    void outlinesEncloseWhatIsInked(String name) {
        JsonNode of = LetterCases.of(name);
        Laid laid = TextLayout.of(BLOCK, LetterCases.spec(of.get("request")));
        List<Outline> outlines = LetterOutlines.of(laid, false, 0.01);
        JsonNode truth = of.get("truth");
        assertThat(Math.abs(area(outlines)))
                .isCloseTo(truth.get("area").asDouble(), within(truth.get("areaTol").asDouble()));
        assertThat(outlines).hasSize(truth.at("/outlines/contours").asInt());
        for (JsonNode through : truth.path("through")) {
            Point at = new Point(through.get(0).asDouble(), through.get(1).asDouble());
            assertThat(outlines)
                    .as(at.toString())
                    .anyMatch(
                            o ->
                                    o.chain().nearest(at).point().distance(at)
                                            < truth.get("throughTol").asDouble());
        }
    }

    @Test
    void aLetterThatThereIsNotIsNamed() {
        assertThatThrownBy(() -> TextLayout.of(BLOCK, LetterCases.plain("HALT \u0416", 35)))
                .isInstanceOf(LetterException.class)
                .hasMessage("Slip Block has no letter \"\u0416\" (U+0416), letter 6 of line 1.");
        assertThatThrownBy(() -> TextLayout.of(BLOCK, LetterCases.plain(" ", 35)))
                .hasMessage("The text is empty.");
        assertThatThrownBy(() -> TextLayout.of(BLOCK, LetterCases.plain("A", 0)))
                .hasMessageContaining("Capitals of 0 mm");
    }

    // ---- lines

    private static TextSpec with(TextSpec of, TextSpec.Lines lines, TextSpec.Anchor anchor) {
        return new TextSpec(
                of.text(),
                of.capHeight(),
                of.form(),
                of.spacing(),
                lines,
                anchor,
                of.at(),
                of.angle(),
                of.mirrored(),
                of.way());
    }

    private static Box box(Laid laid) {
        return Box.around(
                LetterOutlines.of(laid, false, 0.01).stream().map(o -> o.chain().box()).toList());
    }

    @Test
    void linesHangFromTheirFirstAndLieAsTheyAreAligned() {
        TextSpec two = LetterCases.plain("HH\nH", 7);
        TextSpec.Lines right = new TextSpec.Lines(2, Align.RIGHT, 0, false);
        Laid laid =
                TextLayout.of(BLOCK, with(two, right, new TextSpec.Anchor(Along.END, Across.CAP)));
        List<Placed> letters = laid.letters();
        assertThat(letters.get(0).at().y()).isCloseTo(-7, within(1e-9));
        assertThat(letters.get(2).at().y()).isCloseTo(-21, within(1e-9));
        assertThat(letters.get(1).at().x()).isCloseTo(letters.get(2).at().x(), within(1e-9));
        assertThat(letters.get(1).at().x() + letters.get(1).advance()).isCloseTo(0, within(1e-9));
        Box middle =
                box(
                        TextLayout.of(
                                BLOCK,
                                with(
                                        two,
                                        new TextSpec.Lines(2, Align.CENTRE, 0, true),
                                        new TextSpec.Anchor(Along.CENTRE, Across.MIDDLE))));
        assertThat(middle.centre().distance(Point.ORIGIN)).isLessThan(1e-6);
    }

    @Test
    void whatIsJustifiedFillsTheWidthButForTheLastLine() {
        TextSpec of =
                with(
                        LetterCases.plain("A V L\nA V", 7),
                        new TextSpec.Lines(2, Align.JUSTIFIED, 100, false),
                        new TextSpec.Anchor(Along.START, Across.BASE));
        List<Placed> letters = TextLayout.of(BLOCK, of).letters();
        Placed c = letters.get(4);
        assertThat(c.at().x() + c.advance()).isCloseTo(100, within(1e-9));
        Placed last = letters.get(letters.size() - 1);
        assertThat(last.at().x() + last.advance()).isLessThan(50);
    }

    @Test
    void whatIsMirroredAndTurnedLiesAboutItsPlace() {
        TextSpec of = LetterCases.plain("LA", 7);
        TextSpec mirrored =
                new TextSpec(
                        of.text(),
                        of.capHeight(),
                        of.form(),
                        of.spacing(),
                        of.lines(),
                        of.anchor(),
                        new Point(50, 20),
                        90,
                        true,
                        of.way());
        Box plain = box(TextLayout.of(BLOCK, of));
        Box box = box(TextLayout.of(BLOCK, mirrored));
        // (x, y) comes to (50 - y, 20 - x)
        assertThat(box.min().distance(new Point(50 - plain.max().y(), 20 - plain.max().x())))
                .isLessThan(1e-6);
        assertThat(box.max().distance(new Point(50 - plain.min().y(), 20 - plain.min().x())))
                .isLessThan(1e-6);
    }

    @Test
    void slantLeansTheTopsToTheRight() {
        TextSpec of = LetterCases.plain("H", 10);
        TextSpec slanted =
                new TextSpec(
                        of.text(),
                        10,
                        new TextSpec.Form(1, 45),
                        of.spacing(),
                        of.lines(),
                        of.anchor(),
                        of.at(),
                        0,
                        false,
                        of.way());
        Box plain = box(TextLayout.of(BLOCK, of));
        Box leaning = box(TextLayout.of(BLOCK, slanted));
        assertThat(leaning.max().x()).isCloseTo(plain.max().x() + 10, within(1e-9));
        assertThat(leaning.min().x()).isCloseTo(plain.min().x(), within(1e-9));
    }

    // ---- along a way

    private static TextSpec on(Chain chain, String text, UnaryOperator<TextSpec.Way> with) {
        TextSpec of = LetterCases.plain(text, 7);
        TextSpec.Way way =
                new TextSpec.Way(chain, false, 10, 0, Across.BASE, Turn.ALONG, Optional.empty());
        return new TextSpec(
                of.text(),
                7,
                of.form(),
                of.spacing(),
                of.lines(),
                of.anchor(),
                of.at(),
                0,
                false,
                Optional.of(with.apply(way)));
    }

    private static TextSpec.Way turning(TextSpec.Way way, Turn turn) {
        return new TextSpec.Way(
                way.chain(),
                way.reversed(),
                way.from(),
                way.distance(),
                way.spaceAt(),
                turn,
                way.fit());
    }

    private static TextSpec.Way fitting(TextSpec.Way way, Mode mode, double length) {
        return new TextSpec.Way(
                way.chain(),
                way.reversed(),
                way.from(),
                way.distance(),
                way.spaceAt(),
                way.turn(),
                Optional.of(new TextSpec.Fit(mode, length)));
    }

    private static final Path LINE =
            new Path(List.of(new Line(new Point(0, 5), new Point(100, 5))));

    @Test
    void onAStraightWayATextIsAsWithoutOne() {
        Box plain = box(TextLayout.of(BLOCK, LetterCases.plain("SALT 8", 7)));
        for (Turn turn : Turn.values()) {
            Box way = box(TextLayout.of(BLOCK, on(LINE, "SALT 8", w -> turning(w, turn))));
            assertThat(way.min().distance(plain.min().plus(new Point(10, 5))))
                    .as(turn.word())
                    .isLessThan(0.02);
            assertThat(way.max().distance(plain.max().plus(new Point(10, 5)))).isLessThan(0.02);
        }
    }

    @Test
    void aTextComesToALengthAsItIsWished() {
        double own = TextLayout.of(BLOCK, on(LINE, "HALT", w -> w)).length();
        for (Mode mode : Mode.values()) {
            Laid laid = TextLayout.of(BLOCK, on(LINE, "HALT", w -> fitting(w, mode, own / 2)));
            assertThat(laid.length()).as(mode.word()).isCloseTo(own / 2, within(1e-9));
            double tall = box(laid).height();
            assertThat(tall).isCloseTo(mode == Mode.SHRINK ? 3.5 : 7, within(1e-6));
        }
        Laid wide = TextLayout.of(BLOCK, on(LINE, "HALT", w -> fitting(w, Mode.STRETCH, 80)));
        assertThat(wide.letters().get(0).advance())
                .isCloseTo(
                        TextLayout.of(BLOCK, LetterCases.plain("HALT", 7))
                                        .letters()
                                        .get(0)
                                        .advance()
                                * 80
                                / own,
                        within(1e-9));
    }

    @Test
    void aWayThatIsTooShortIsToldWithWhatWouldFit() {
        Path shorter = new Path(List.of(new Line(Point.ORIGIN, new Point(20, 0))));
        assertThatThrownBy(() -> TextLayout.of(BLOCK, on(shorter, "LATHE LATHE", w -> w)))
                .isInstanceOf(LetterException.class)
                .hasMessageMatching(
                        "The text is [\\d.]+ mm long, the path 20: stretch to \\d+ %, or take capitals of [\\d.]+ mm\\.");
        assertThatThrownBy(
                        () ->
                                TextLayout.of(
                                        BLOCK,
                                        on(
                                                LINE,
                                                "LATHE",
                                                w ->
                                                        new TextSpec.Way(
                                                                LINE,
                                                                false,
                                                                90,
                                                                0,
                                                                Across.BASE,
                                                                Turn.ALONG,
                                                                Optional.empty()))))
                .hasMessageContaining("beyond the end of the path");
        assertThatThrownBy(
                        () ->
                                TextLayout.of(
                                        BLOCK,
                                        on(
                                                Contour.circle(Point.ORIGIN, 10),
                                                "A",
                                                w ->
                                                        new TextSpec.Way(
                                                                w.chain(),
                                                                false,
                                                                0,
                                                                12,
                                                                Across.BASE,
                                                                Turn.ALONG,
                                                                Optional.empty()))))
                .hasMessageContaining("has no parallel");
    }

    @Test
    void overACornerALetterLiesAlongTheChord() {
        Path corner =
                new Path(
                        List.of(
                                new Line(Point.ORIGIN, new Point(12, 0)),
                                new Line(new Point(12, 0), new Point(12, 60))));
        List<Placed> letters = TextLayout.of(BLOCK, on(corner, "HH", w -> w)).letters();
        assertThat(letters.get(0).angle()).isBetween(1.0, 89.0);
        assertThat(letters.get(1).angle()).isCloseTo(90, within(1e-9));
    }

    @Test
    void lettersThatAreBentLieBetweenTwoCircles() {
        TextSpec bent =
                on(
                        Contour.circle(Point.ORIGIN, 40),
                        "HALT",
                        w ->
                                new TextSpec.Way(
                                        w.chain(),
                                        true,
                                        0,
                                        2,
                                        Across.MIDDLE,
                                        Turn.BENT,
                                        Optional.empty()));
        for (Outline outline : LetterOutlines.of(TextLayout.of(BLOCK, bent), false, 0.01)) {
            for (var segment : outline.chain().segments()) {
                assertThat(segment.start().distance(Point.ORIGIN)).isBetween(41.98, 49.02);
                assertThat(segment.middle().distance(Point.ORIGIN)).isBetween(41.98, 49.02);
            }
        }
    }
}
