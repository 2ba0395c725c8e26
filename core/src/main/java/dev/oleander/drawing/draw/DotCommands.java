package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.choice;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;
import static dev.oleander.drawing.draw.Parameter.yesOrNo;

import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.drawing.picture.DotSpec;
import dev.oleander.drawing.picture.Dots;
import dev.oleander.drawing.picture.PictureException;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/** A picture as holes, each as large as it is dark there. */
final class DotCommands {

    /** Holes at most, so that what is cut is still read and planned in time. */
    private static final int MOST = 20_000;

    /** Any diameter may be cut. */
    private static final String ANY = "any";

    private DotCommands() {}

    static List<Command> all() {
        return List.of(
                new Command(
                        "dots",
                        "Picture in holes",
                        Group.NOTES,
                        Targets.NONE,
                        List.of(
                                x("x", "Lower left x"),
                                y("y", "Lower left y"),
                                new Parameter("picture", "Picture", Parameter.Kind.PICTURE, ""),
                                length("width", "Width of the picture", "300"),
                                length("pitch", "Between holes", "6"),
                                choice("pattern", "They stand", DotSpec.Pattern.class),
                                length("least", "Least diameter", "1"),
                                length("web", "Web between them", "1"),
                                Parameter.text("diameters", "Diameters at hand, mm", ANY),
                                yesOrNo("coded", "Tones as they are written"),
                                yesOrNo("invert", "Holes are seen light"),
                                angle("turn", "Turned by", "0"),
                                Parameter.text("layer", "Layer", Sketch.DEFAULT_LAYER)),
                        DotCommands::dots));
    }

    private static void dots(Sketch sketch, Args args) {
        try {
            Dots.Made made = sketch.supplies().traces().dots(args.text("picture"), spec(args));
            Args.require(
                    made.holes().size() <= MOST,
                    "pitch",
                    "%s holes at this pitch; in a drawing %s are the limit.",
                    made.holes().size(),
                    MOST);
            Transform place = Figures.at(args.point("x", "y"), args.angle("turn"));
            for (Dots.Hole hole : made.holes()) {
                Contour circle = Contour.circle(hole.at(), hole.diameter() / 2);
                sketch.draw(args.step(), "CIRCLE", circle.transformed(place));
            }
        } catch (PictureException wrong) {
            throw DrawException.about("picture", wrong.getMessage());
        }
    }

    private static DotSpec spec(Args args) {
        return new DotSpec(
                args.positive("pitch", "The distance between holes"),
                args.choice("pattern", DotSpec.Pattern.class),
                args.positive("width", "The width of the picture"),
                args.notNegative("least", "The least diameter"),
                args.notNegative("web", "The web"),
                diameters(args.text("diameters")),
                !args.yes("coded"),
                args.yes("invert"));
    }

    /** Numbers with spaces or semicolons between them. */
    private static List<Double> diameters(String text) {
        List<Double> all = new ArrayList<>();
        if (!text.isEmpty() && !text.equals(ANY)) {
            for (String one : text.split("[;\\s]+")) {
                try {
                    all.add(Double.valueOf(one.replace(',', '.')));
                } catch (NumberFormatException none) {
                    throw DrawException.about(
                            "diameters", "\"%s\" is no diameter such as 2.5.".formatted(one));
                }
            }
        }
        return all;
    }
}
