package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.drawing.letter.LetterException;
import dev.oleander.drawing.letter.LetterOutlines;
import dev.oleander.drawing.letter.StrokeFont;
import dev.oleander.drawing.letter.TextLayout;
import dev.oleander.drawing.letter.TextSpec;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Transform;
import java.util.List;

/** What is not cut itself: guides, points, dimensions, text to mark, groups and layers. */
final class NoteCommands {

    /** Characters of a text at most. */
    private static final int LONGEST = 120;

    private NoteCommands() {}

    static List<Command> all() {
        return List.of(
                command(
                        "guide",
                        "Construction line",
                        Targets.NONE,
                        List.of(
                                x("x", "Through x"),
                                y("y", "Through y"),
                                angle("angle", "At", "0")),
                        (sketch, args) ->
                                sketch.guide(
                                        new Drawn.Guide(
                                                args.step().id(),
                                                args.point("x", "y"),
                                                args.angle("angle")))),
                command(
                        "point",
                        "Point",
                        Targets.NONE,
                        List.of(x("x", "x"), y("y", "y")),
                        (sketch, args) -> sketch.point(args.point("x", "y"))),
                command(
                        "text",
                        "Text to mark",
                        Targets.NONE,
                        List.of(
                                x("x", "From x"),
                                y("y", "Base line y"),
                                new Parameter("text", "Text", Parameter.Kind.TEXT, ""),
                                length("height", "Letter height", "8"),
                                angle("turn", "Turned by", "0")),
                        NoteCommands::text),
                command(
                        "dimension",
                        "Dimension",
                        Targets.NONE,
                        List.of(
                                x("x1", "From x"),
                                y("y1", "From y"),
                                x("x2", "To x"),
                                y("y2", "To y"),
                                length("away", "Written beside by", "10")),
                        (sketch, args) ->
                                sketch.dimension(
                                        new Drawn.Dimension(
                                                args.step().id(),
                                                args.point("x1", "y1"),
                                                args.point("x2", "y2"),
                                                args.number("away")))),
                command(
                        "group",
                        "Group",
                        Targets.SOME,
                        List.of(new Parameter("name", "Name", Parameter.Kind.TEXT, "group")),
                        NoteCommands::group),
                command(
                        "layer",
                        "Put on layer",
                        Targets.SOME,
                        List.of(new Parameter("name", "Layer", Parameter.Kind.TEXT, "CUT")),
                        NoteCommands::layer));
    }

    private static Command command(
            String word,
            String label,
            Targets targets,
            List<Parameter> parameters,
            Command.Deed deed) {
        return new Command(word, label, Group.NOTES, targets, parameters, deed);
    }

    private static void text(Sketch sketch, Args args) {
        double height = args.positive("height", "The letter height");
        String text = args.text("text");
        if (text.isBlank() || text.length() > LONGEST) {
            throw DrawException.about("text", "A text has 1 to %d characters.".formatted(LONGEST));
        }
        Transform place = Figures.at(args.point("x", "y"), args.angle("turn"));
        sketch.drawAll(
                args.step(),
                "TEXT",
                strokes(text, height).stream().map(p -> p.transformed(place)).toList());
    }

    private static List<Path> strokes(String text, double height) {
        try {
            TextLayout.Laid laid =
                    TextLayout.of(StrokeFont.marking(), TextSpec.plain(text, height));
            return LetterOutlines.of(laid, true, LetterOutlines.TOLERANCE).stream()
                    .map(o -> (Path) o.chain())
                    .toList();
        } catch (LetterException wrong) {
            throw DrawException.about("text", wrong.getMessage());
        }
    }

    private static void group(Sketch sketch, Args args) {
        List<String> keys = sketch.targets(args.step()).stream().map(Entity::key).toList();
        sketch.group(named(args), keys);
    }

    private static void layer(Sketch sketch, Args args) {
        sketch.targets(args.step()).forEach(e -> sketch.restyle(e, named(args)));
    }

    private static String named(Args args) {
        String name = args.text("name");
        if (name.isBlank() || name.length() > 60) {
            throw DrawException.about("name", "A name has 1 to 60 characters.");
        }
        return name;
    }
}
