package dev.oleander.drawing.letter;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Worded;
import java.util.Optional;

/**
 * A text as it is wished, mm and degrees.
 *
 * @param text lines with line ends between them
 * @param capHeight of capitals
 * @param form of its letters
 * @param spacing between them
 * @param lines how several lines lie
 * @param anchor what of the text lies at {@code at}
 * @param angle anticlockwise, about {@code at}
 * @param mirrored whether left and right change places about {@code at}
 * @param way along which it runs; empty: straight
 */
public record TextSpec(
        String text,
        double capHeight,
        Form form,
        Spacing spacing,
        Lines lines,
        Anchor anchor,
        Point at,
        double angle,
        boolean mirrored,
        Optional<Way> way) {

    /** From line to line, in heights of capitals. */
    public static final double USUAL_PITCH = 1.6;

    /** Straight from the origin on, all else as is usual. */
    public static TextSpec plain(String text, double capHeight) {
        return new TextSpec(
                text,
                capHeight,
                new Form(1, 0),
                new Spacing(0, 0, true),
                new Lines(USUAL_PITCH, Align.LEFT, 0, false),
                new Anchor(Along.START, Across.BASE),
                Point.ORIGIN,
                0,
                false,
                Optional.empty());
    }

    /**
     * The form of letters.
     *
     * @param width factor
     * @param slant degrees to the right
     */
    public record Form(double width, double slant) {}

    /**
     * mm between letters besides what the font says.
     *
     * @param words more at each space
     * @param kerning whether pairs come nearer as the font says
     */
    public record Spacing(double letters, double words, boolean kerning) {}

    /**
     * @param pitch from line to line, in heights of capitals
     * @param width of a text that is justified; 0: of none
     * @param ink whether edges are those of what is inked, not of the advance
     */
    public record Lines(double pitch, Align align, double width, boolean ink) {}

    /** How lines of different length lie. */
    public enum Align implements Worded {
        LEFT,
        CENTRE,
        RIGHT,
        JUSTIFIED
    }

    /** What lies at the place: along the text, and across it. */
    public record Anchor(Along along, Across across) {}

    /** Along a text. */
    public enum Along implements Worded {
        START,
        CENTRE,
        END
    }

    /** Across a text: the first base line, half way, or the first line of capitals. */
    public enum Across implements Worded {
        BASE,
        MIDDLE,
        CAP
    }

    /**
     * A way along which it runs.
     *
     * @param from mm along the chain where the anchor lies
     * @param distance of the base line to the left of the way
     * @param spaceAt which parallel is measured
     * @param fit how it comes to a length
     */
    public record Way(
            Chain chain,
            boolean reversed,
            double from,
            double distance,
            Across spaceAt,
            Turn turn,
            Optional<Fit> fit) {}

    /** How letters stand on a way. */
    public enum Turn implements Worded {
        ALONG,
        UPRIGHT,
        BENT
    }

    /**
     * @param length mm on the parallel; 0: all of it
     */
    public record Fit(Mode mode, double length) {}

    /** How a text comes to a length. */
    public enum Mode implements Worded {
        SPREAD,
        STRETCH,
        SHRINK
    }
}
