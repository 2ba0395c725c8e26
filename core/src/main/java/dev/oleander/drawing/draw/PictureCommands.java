package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.choice;
import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.factor;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;
import static dev.oleander.drawing.draw.Parameter.yesOrNo;

import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.drawing.picture.Picture;
import dev.oleander.drawing.picture.PictureException;
import dev.oleander.drawing.picture.PictureScale;
import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.drawing.picture.Traces;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Transform;
import java.util.List;
import java.util.Optional;

/** Pictures as line work: how they are traced may be changed as long as they are there. */
final class PictureCommands {

    static final String WORD = "picture";

    private static final String LEVELS = "Ink and paper";
    private static final String FIT = "Lines and arcs";

    /** Words of the level between ink and paper. */
    private static final String FOUND = "found";

    private static final String LOCAL = "local";

    private PictureCommands() {}

    static List<Command> all() {
        return List.of(
                new Command(
                        WORD,
                        "Picture",
                        Group.NOTES,
                        Targets.NONE,
                        List.of(
                                x("x", "Lower left x"),
                                y("y", "Lower left y"),
                                new Parameter("picture", "Picture", Parameter.Kind.PICTURE, ""),
                                choice("mode", "Becomes", TraceSpec.Mode.class),
                                length("width", "Width of the picture", "0"),
                                length("known", "Or width of its line work", "0"),
                                length("pixel", "Or of a pixel", "25.4/300"),
                                angle("turn", "Turned by", "0"),
                                Parameter.text("layer", "Layer", Sketch.DEFAULT_LAYER),
                                Parameter.text("level", "Level: found, local, 0 to 255", FOUND)
                                        .in(LEVELS),
                                yesOrNo("invert", "Ink is lighter").in(LEVELS),
                                factor("smooth", "Smoothed by, pixels", "0").in(LEVELS),
                                count("speck", "Specks below, pixels", "9").in(LEVELS),
                                count("hole", "Pin-holes below, pixels", "9").in(LEVELS),
                                factor("within", "Within, pixels; 0 finds it", "0").in(FIT),
                                angle("corner", "Corners turn by", "35").in(FIT),
                                yesOrNo("free", "Circles and edges as they are").in(FIT)),
                        PictureCommands::picture));
    }

    private static void picture(Sketch sketch, Args args) {
        try {
            Traces.Traced traced =
                    sketch.supplies().traces().trace(args.text("picture"), spec(args));
            Transform place = place(args, traced);
            for (Chain chain : traced.trace().chains()) {
                sketch.draw(args.step(), "LWPOLYLINE", placed(chain, place));
            }
        } catch (PictureException wrong) {
            throw DrawException.about("picture", wrong.getMessage());
        }
    }

    /** From pixels to the drawing. */
    static Transform place(Args args, Traces.Traced traced) {
        return Transform.scaling(scale(args, traced))
                .then(Figures.at(args.point("x", "y"), args.angle("turn")));
    }

    private static Chain placed(Chain chain, Transform place) {
        return chain instanceof Contour closed
                ? closed.transformed(place)
                : ((Path) chain).transformed(place);
    }

    /** mm of a pixel: by the first of the three that is said. */
    private static double scale(Args args, Traces.Traced traced) {
        double width = args.notNegative("width", "The width of the picture");
        double known = args.notNegative("known", "The width of the line work");
        PictureScale scale =
                new PictureScale(
                        width == 0 && known == 0 ? args.positive("pixel", "A pixel") : null,
                        width > 0 ? width : null,
                        width == 0 && known > 0 ? known : null,
                        null,
                        null);
        return scale.mmPerPixel(traced.width(), traced.trace());
    }

    static TraceSpec spec(Args args) {
        String level = args.text("level");
        boolean free = args.yes("free");
        double within = args.notNegative("within", "The distance");
        return new TraceSpec(
                args.choice("mode", TraceSpec.Mode.class),
                level.equals(FOUND) || level.equals(LOCAL)
                        ? Optional.empty()
                        : Optional.of(level(level)),
                level.equals(LOCAL),
                args.yes("invert"),
                args.within("smooth", "The smoothing", 0, 20),
                args.count("speck", "The size of specks", 0),
                args.count("hole", "The size of pin-holes", 0),
                within == 0
                        ? Optional.empty()
                        : Optional.of(args.within("within", "The distance", 0, 20)),
                args.within("corner", "The turn of corners", 5, 175),
                new TraceSpec.Polish(!free, !free));
    }

    private static double level(String text) {
        try {
            double level = Double.parseDouble(text.replace(',', '.'));
            if (level >= 0 && level <= Picture.WHITE) {
                return level;
            }
        } catch (NumberFormatException none) {
            // told below, with what was said
        }
        throw DrawException.about(
                "level",
                "The level is \"%s\"; it is found, local, or a number from 0 to 255."
                        .formatted(text));
    }
}
