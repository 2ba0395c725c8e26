package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.choice;
import static dev.oleander.drawing.draw.Parameter.factor;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.code.CodeException;
import dev.oleander.drawing.code.CodeOutlines;
import dev.oleander.drawing.code.Modules;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.List;

/** Codes that scanners read, once or in rows with numbers. What is drawn is read back. */
final class CodeCommands {

    private static final String LAYER = "MARK";

    /** Modules of all codes of a step at most, so that what is drawn is still read in time. */
    private static final int MOST = 40_000;

    /** Share of a module that squares stay within it. */
    private static final double WITHIN = 0.02;

    private CodeCommands() {}

    /** What modules are drawn as. */
    private enum Look implements Worded {
        SQUARES,
        DOTS
    }

    static List<Command> all() {
        List<Parameter> parameters =
                new ArrayList<>(
                        List.of(
                                x("x", "Lower left x"),
                                y("y", "Lower left y"),
                                new Parameter("text", "It says", Parameter.Kind.LINES, ""),
                                choice("kind", "Code", Modules.Kind.class),
                                length("module", "Width of a module", "1"),
                                choice("look", "Modules are", Look.class),
                                factor("dot", "Dots, of a module", "0.8"),
                                angle("turn", "Turned by", "0"),
                                Parameter.text("layer", "Layer", LAYER)));
        parameters.addAll(Series.parameters());
        return List.of(
                new Command(
                        "code",
                        "Code for scanners",
                        Group.NOTES,
                        Targets.NONE,
                        parameters,
                        CodeCommands::code));
    }

    private static void code(Sketch sketch, Args args) {
        double module = args.positive("module", "The width of a module");
        List<String> texts = Series.texts(sketch, args);
        int drawn = 0;
        for (int i = 0; i < texts.size(); i++) {
            Modules modules = modules(args, texts.get(i));
            drawn += modules.width() * modules.height();
            Args.require(
                    drawn <= MOST,
                    "count",
                    "%s modules in codes of one step; %s are the limit.",
                    drawn,
                    MOST);
            List<Contour> contours = contours(args, modules, module);
            requireReadable(args, texts.get(i), modules, module, contours);
            Transform place =
                    Figures.at(
                            args.point("x", "y").plus(Series.shift(args, i)), args.angle("turn"));
            for (Contour contour : contours) {
                sketch.draw(layered(args), "CODE", contour.transformed(place));
            }
        }
    }

    private static DrawStep layered(Args args) {
        return args.step().values().containsKey("layer")
                ? args.step()
                : args.step().with("layer", LAYER);
    }

    private static Modules modules(Args args, String text) {
        try {
            return Modules.of(text, args.choice("kind", Modules.Kind.class));
        } catch (CodeException cannot) {
            throw DrawException.about("text", cannot.getMessage());
        }
    }

    private static List<Contour> contours(Args args, Modules modules, double module) {
        CodeOutlines outlines = new CodeOutlines(modules, module);
        return args.choice("look", Look.class) == Look.DOTS
                ? outlines.dots(module * args.within("dot", "A dot's share", 0.2, 0.98))
                : outlines.squares(WITHIN * module);
    }

    /** Looks at the middle of each module whether it lies in an odd number of contours. */
    private static void requireReadable(
            Args args, String text, Modules modules, double module, List<Contour> contours) {
        boolean[][] seen = new boolean[modules.height()][modules.width()];
        for (Contour contour : contours) {
            int left = (int) Math.floor(contour.box().min().x() / module);
            int right = (int) Math.floor(contour.box().max().x() / module);
            int low = (int) Math.floor(contour.box().min().y() / module);
            int high = (int) Math.floor(contour.box().max().y() / module);
            for (int y = Math.max(0, low); y <= Math.min(high, modules.height() - 1); y++) {
                for (int x = Math.max(0, left); x <= Math.min(right, modules.width() - 1); x++) {
                    Point middle = new Point((x + 0.5) * module, (y + 0.5) * module);
                    seen[y][x] ^= contour.contains(middle);
                }
            }
        }
        boolean same =
                Modules.seen(seen)
                        .read(args.choice("kind", Modules.Kind.class))
                        .filter(text::equals)
                        .isPresent();
        if (!same) {
            throw DrawException.about(
                    "text", "The code of \"%s\" does not read back.".formatted(text));
        }
    }
}
