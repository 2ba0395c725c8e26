package dev.oleander.drawing.picture;

import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Worded;
import java.util.List;

/**
 * How a picture becomes holes.
 *
 * @param pitch between holes, mm
 * @param width of the picture, mm
 * @param least diameter of a hole, mm: where a smaller one would do there is none
 * @param web that stays between two holes at least, mm
 * @param diameters at hand, mm; none: any
 * @param linear whether tones are those of light, rather than as they are written in the picture
 * @param invert whether holes are seen light, so that dark stays whole
 */
public record DotSpec(
        double pitch,
        Pattern pattern,
        double width,
        double least,
        double web,
        List<Double> diameters,
        boolean linear,
        boolean invert) {

    /** How holes stand. */
    public enum Pattern implements Worded {
        SQUARE,
        TRIANGULAR,
        RINGS
    }

    private static final double FARTHEST = 100_000;

    /**
     * @throws PictureException when a figure cannot be
     */
    public DotSpec {
        require(pitch > 0 && pitch <= FARTHEST, "The pitch is %s mm; it is more than 0.", pitch);
        require(width > 0 && width <= FARTHEST, "The picture is %s mm wide; more than 0.", width);
        require(least >= 0, "The least diameter is %s mm; it is not less than 0.", least);
        require(
                web >= 0 && web < pitch,
                "A web of %s mm leaves no room for holes at pitch %s.",
                web,
                pitch);
        diameters = diameters.stream().sorted().toList();
        for (double diameter : diameters) {
            require(diameter > 0, "A drill of %s mm is none.", diameter);
            require(
                    diameter <= pitch - web + 1e-9,
                    "A drill of %s mm leaves a web of %s mm at pitch %s; %s is asked.",
                    diameter,
                    pitch - diameter,
                    pitch,
                    web);
        }
    }

    private static void require(boolean is, String sentence, double... figures) {
        if (!is) {
            Object[] texts = new Object[figures.length];
            for (int i = 0; i < figures.length; i++) {
                texts[i] = Numbers.plain(figures[i], 3);
            }
            throw new PictureException(sentence, texts);
        }
    }
}
