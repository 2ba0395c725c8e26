package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.List;

/** Moving, turning, copying; patterns stay editable, since their step keeps the counts. */
final class CopyCommands {

    private static final List<Parameter> SHIFT =
            List.of(length("dx", "By x", "0"), length("dy", "By y", "0"));

    private CopyCommands() {}

    static List<Command> all() {
        Parameter keep = new Parameter("keep", "Keep the original", Parameter.Kind.YES_NO, "no");
        return List.of(
                command("move", "Move", SHIFT, CopyCommands::move),
                command("copy", "Copy", SHIFT, CopyCommands::copy),
                command(
                        "rotate",
                        "Turn",
                        List.of(
                                x("x", "About x"),
                                y("y", "About y"),
                                angle("turn", "By", "90"),
                                keep),
                        CopyCommands::rotate),
                command(
                        "scale",
                        "Scale",
                        List.of(
                                x("x", "About x"),
                                y("y", "About y"),
                                new Parameter("factor", "Factor", Parameter.Kind.FACTOR, "")),
                        CopyCommands::scale),
                command(
                        "mirror",
                        "Mirror",
                        List.of(
                                x("x1", "Axis from x"),
                                y("y1", "Axis from y"),
                                x("x2", "Axis to x"),
                                y("y2", "Axis to y"),
                                keep),
                        CopyCommands::mirror),
                command(
                        "rows",
                        "Rows and columns",
                        List.of(
                                count("columns", "Columns", "2"),
                                count("rows", "Rows", "1"),
                                length("dx", "Column pitch", ""),
                                length("dy", "Row pitch", "dx")),
                        CopyCommands::rows),
                command(
                        "round",
                        "Copies round a centre",
                        List.of(
                                x("x", "Centre x"),
                                y("y", "Centre y"),
                                count("count", "Copies with the original", "6"),
                                angle("sweep", "Over", "360")),
                        CopyCommands::round),
                command(
                        "fit",
                        "Fit into the sheet",
                        List.of(
                                length("width", "Sheet width", "1500"),
                                length("height", "Sheet height", "1000"),
                                length("margin", "Margin", "10")),
                        CopyCommands::fit));
    }

    private static Command command(
            String word, String label, List<Parameter> parameters, Command.Deed deed) {
        return new Command(word, label, Group.COPIES, Targets.SOME, parameters, deed);
    }

    private static Transform shift(Args args) {
        return Transform.translation(args.point("dx", "dy"));
    }

    private static void move(Sketch sketch, Args args) {
        place(sketch, args, shift(args), false);
    }

    private static void copy(Sketch sketch, Args args) {
        place(sketch, args, shift(args), true);
    }

    private static void place(Sketch sketch, Args args, Transform to, boolean keep) {
        for (Entity entity : sketch.targets(args.step())) {
            if (keep) {
                sketch.copy(args.step(), entity, entity.chain().transformed(to));
            } else {
                sketch.reshape(entity, entity.chain().transformed(to));
            }
        }
    }

    private static Transform about(Point centre, Transform turned) {
        return Transform.translation(centre.times(-1))
                .then(turned)
                .then(Transform.translation(centre));
    }

    private static void rotate(Sketch sketch, Args args) {
        Transform turned = about(args.point("x", "y"), Transform.rotation(args.angle("turn")));
        place(sketch, args, turned, args.yes("keep"));
    }

    private static void scale(Sketch sketch, Args args) {
        double factor = args.positive("factor", "The factor");
        place(sketch, args, about(args.point("x", "y"), Transform.scaling(factor)), false);
    }

    private static void mirror(Sketch sketch, Args args) {
        Point from = args.point("x1", "y1");
        Point axis = args.point("x2", "y2").minus(from);
        if (!(axis.norm() > 1e-9)) {
            throw new DrawException("The axis has no length; its ends must differ.");
        }
        double angle = axis.angle();
        Transform flat = new Transform(1, 0, 0, -1, 0, 0);
        Transform mirrored =
                Transform.translation(from.times(-1))
                        .then(Transform.rotation(-angle))
                        .then(flat)
                        .then(Transform.rotation(angle))
                        .then(Transform.translation(from));
        place(sketch, args, mirrored, args.yes("keep"));
    }

    private static void rows(Sketch sketch, Args args) {
        int columns = args.count("columns", "The number of columns", 1);
        int rows = args.count("rows", "The number of rows", 1);
        List<Entity> originals = sketch.targets(args.step());
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                Point by = new Point(column * args.number("dx"), row * args.number("dy"));
                if (row > 0 || column > 0) {
                    copyAll(sketch, args, originals, Transform.translation(by));
                }
            }
        }
    }

    private static void copyAll(Sketch sketch, Args args, List<Entity> originals, Transform to) {
        originals.forEach(e -> sketch.copy(args.step(), e, e.chain().transformed(to)));
    }

    private static void round(Sketch sketch, Args args) {
        int count = args.count("count", "The number of copies", 1);
        double sweep = args.angle("sweep");
        boolean whole = Math.abs(Math.abs(args.number("sweep")) - 360) < 1e-9;
        double pitch = count == 1 ? 0 : sweep / (whole ? count : count - 1);
        List<Entity> originals = sketch.targets(args.step());
        for (int i = 1; i < count; i++) {
            Transform turned = about(args.point("x", "y"), Transform.rotation(i * pitch));
            copyAll(sketch, args, originals, turned);
        }
    }

    /** Turned by a quarter where it only fits so, then moved to the lower left corner. */
    private static void fit(Sketch sketch, Args args) {
        double margin = args.notNegative("margin", "The margin");
        double width = args.positive("width", "The sheet width") - 2 * margin;
        double height = args.positive("height", "The sheet height") - 2 * margin;
        List<Entity> targets = sketch.targets(args.step());
        Box box = Box.around(targets.stream().map(e -> e.chain().box()).toList());
        boolean upright = box.width() <= width && box.height() <= height;
        boolean turned = box.height() <= width && box.width() <= height;
        if (!upright && !turned) {
            throw new DrawException(
                    "The drawing is %.1f × %.1f mm; between the margins the sheet has %.1f × %.1f mm.",
                    box.width(), box.height(), width, height);
        }
        Transform turn = upright ? Transform.IDENTITY : Transform.rotation(Math.PI / 2);
        Point low = upright ? box.min() : turn.apply(new Point(box.min().x(), box.max().y()));
        Transform to = turn.then(Transform.translation(new Point(margin, margin).minus(low)));
        targets.forEach(e -> sketch.reshape(e, e.chain().transformed(to)));
    }
}
