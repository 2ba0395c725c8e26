package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import java.util.List;

/** What is not cut itself: guides, points, dimensions, text to mark, groups and layers. */
final class NoteCommands {

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
