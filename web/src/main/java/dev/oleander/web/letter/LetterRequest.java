package dev.oleander.web.letter;

import dev.oleander.drawing.letter.LetterException;
import dev.oleander.drawing.letter.LetterOutlines;
import dev.oleander.drawing.letter.TextSpec;
import dev.oleander.drawing.letter.TextSpec.Across;
import dev.oleander.drawing.letter.TextSpec.Align;
import dev.oleander.drawing.letter.TextSpec.Along;
import dev.oleander.drawing.letter.TextSpec.Mode;
import dev.oleander.drawing.letter.TextSpec.Turn;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Worded;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A text as it is sent; what is left out is as usual. See {@link TextSpec}.
 *
 * @param font hash of its file
 * @param edges ink or metric
 * @param from mm along the path
 * @param distance of the base line to the left of the path
 */
record LetterRequest(
        String text,
        String font,
        Double capHeight,
        Double widthFactor,
        Double slant,
        Double letterSpacing,
        Double wordSpacing,
        Double lineSpacing,
        Boolean kerning,
        String align,
        Double width,
        String edges,
        AnchorJson anchor,
        double[] at,
        Double angle,
        Boolean mirrored,
        ChainJson path,
        Double from,
        Boolean reversed,
        Double distance,
        String spaceAt,
        String turn,
        FitJson fit,
        Double tolerance) {

    private static final double USUAL_HEIGHT = 10;
    private static final double FARTHEST = 1e6;

    /** Capitals are so many times as high as outlines may lie beside their curves, and at most. */
    private static final double COARSEST = 500;

    private static final double FINEST = 1e6;

    /** What of the text lies at the place. */
    record AnchorJson(String x, String y) {}

    /** How it comes to a length. */
    record FitJson(String mode, Double length) {}

    /**
     * @throws LetterException naming what cannot be
     */
    TextSpec spec() {
        AnchorJson lies = anchor == null ? new AnchorJson(null, null) : anchor;
        return new TextSpec(
                Objects.requireNonNullElse(text, ""),
                number(capHeight, USUAL_HEIGHT, "capHeight"),
                new TextSpec.Form(number(widthFactor, 1, "widthFactor"), number(slant, 0, "slant")),
                new TextSpec.Spacing(
                        number(letterSpacing, 0, "letterSpacing"),
                        number(wordSpacing, 0, "wordSpacing"),
                        !Boolean.FALSE.equals(kerning)),
                new TextSpec.Lines(
                        number(lineSpacing, TextSpec.USUAL_PITCH, "lineSpacing"),
                        word(Align.class, align, Align.LEFT, "align"),
                        number(width, 0, "width"),
                        "ink".equals(edges)),
                new TextSpec.Anchor(
                        word(Along.class, lies.x(), Along.START, "anchor.x"),
                        word(Across.class, lies.y(), Across.BASE, "anchor.y")),
                place(),
                number(angle, 0, "angle"),
                Boolean.TRUE.equals(mirrored),
                Optional.ofNullable(path).map(this::way));
    }

    /** mm, never more than a five-hundredth of the height of capitals. */
    double within() {
        double high = number(capHeight, USUAL_HEIGHT, "capHeight");
        double usual = Math.min(LetterOutlines.TOLERANCE, high / COARSEST);
        double wished = number(tolerance, usual, "tolerance");
        if (!(wished >= high / FINEST)) {
            throw new LetterException(
                    "The tolerance is %s mm; for capitals of %s mm it is at least %s.",
                    wished, high, high / FINEST);
        }
        return Math.min(wished, high / COARSEST);
    }

    private Point place() {
        if (at == null) {
            return Point.ORIGIN;
        }
        if (at.length != 2) {
            throw new LetterException("at has %d numbers; it has two: x, y.", at.length);
        }
        return new Point(number(at[0], 0, "at"), number(at[1], 0, "at"));
    }

    private TextSpec.Way way(ChainJson of) {
        return new TextSpec.Way(
                of.chain("The path"),
                Boolean.TRUE.equals(reversed),
                number(from, 0, "from"),
                number(distance, 0, "distance"),
                word(Across.class, spaceAt, Across.BASE, "spaceAt"),
                word(Turn.class, turn, Turn.ALONG, "turn"),
                Optional.ofNullable(fit)
                        .map(
                                f ->
                                        new TextSpec.Fit(
                                                word(Mode.class, f.mode(), Mode.SPREAD, "fit.mode"),
                                                number(f.length(), 0, "fit.length"))));
    }

    private static double number(Double value, double usual, String what) {
        double number = value == null ? usual : value;
        if (!(Math.abs(number) <= FARTHEST)) {
            throw new LetterException("%s is %s; it is at most 1,000,000.", what, number);
        }
        return number;
    }

    private static <E extends Enum<E> & Worded> E word(
            Class<E> of, String word, E usual, String what) {
        return word == null
                ? usual
                : Worded.of(of, word)
                        .orElseThrow(
                                () ->
                                        new LetterException(
                                                "%s is \"%s\"; known are %s.",
                                                what,
                                                word,
                                                Arrays.stream(of.getEnumConstants())
                                                        .map(Worded::word)
                                                        .collect(Collectors.joining(", "))));
    }
}
