package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.List;

/** Single lines and arcs. */
final class LineCommands {

    private LineCommands() {}

    static List<Command> all() {
        List<Parameter> twoPoints =
                List.of(x("x1", "From x"), y("y1", "From y"), x("x2", "To x"), y("y2", "To y"));
        return List.of(
                command("line", "Line", twoPoints, LineCommands::line),
                command(
                        "arc",
                        "Arc through three points",
                        List.of(
                                x("x1", "From x"),
                                y("y1", "From y"),
                                x("x2", "Through x"),
                                y("y2", "Through y"),
                                x("x3", "To x"),
                                y("y3", "To y")),
                        LineCommands::throughThree),
                command(
                        "arc-centre",
                        "Arc round a centre",
                        List.of(
                                x("x", "Centre x"),
                                y("y", "Centre y"),
                                length("radius", "Radius", ""),
                                angle("from", "From angle", "0"),
                                angle("sweep", "Turn", "90")),
                        LineCommands::roundCentre),
                command(
                        "arc-radius",
                        "Arc between ends with a radius",
                        List.of(
                                x("x1", "From x"),
                                y("y1", "From y"),
                                x("x2", "To x"),
                                y("y2", "To y"),
                                length("radius", "Radius", ""),
                                new Parameter(
                                        "large", "Long way round", Parameter.Kind.YES_NO, "no")),
                        LineCommands::withRadius));
    }

    private static Command command(
            String word, String label, List<Parameter> parameters, Command.Deed deed) {
        return new Command(word, label, Group.LINES, Targets.NONE, parameters, deed);
    }

    private static void line(Sketch sketch, Args args) {
        Point from = args.point("x1", "y1");
        Point to = args.point("x2", "y2");
        requireApart(from, to, "The line");
        draw(sketch, args, "LINE", new Line(from, to));
    }

    private static void draw(Sketch sketch, Args args, String type, Segment segment) {
        sketch.draw(args.step(), type, new Path(List.of(segment)));
    }

    private static void requireApart(Point a, Point b, String what) {
        if (a.distance(b) < 1e-6) {
            throw new DrawException(
                    "%s would have no length: both ends are at (%.3f, %.3f).", what, a.x(), a.y());
        }
    }

    private static void throughThree(Sketch sketch, Args args) {
        Point a = args.point("x1", "y1");
        Point b = args.point("x2", "y2");
        Point c = args.point("x3", "y3");
        requireApart(a, c, "The arc");
        requireApart(a, b, "The arc");
        requireApart(b, c, "The arc");
        double bulge = bulge(a, b, c);
        draw(sketch, args, bulge == 0 ? "LINE" : "ARC", Segment.of(a, c, bulge));
    }

    /**
     * Of the arc from one place over another to a third: the angle between its chords is half the
     * turn. 0 where all are on a line.
     */
    static double bulge(Point from, Point over, Point to) {
        Point in = over.minus(from);
        Point out = to.minus(over);
        double turn = Math.atan2(in.cross(out), in.dot(out));
        double bulge = Math.tan(turn / 2);
        if (Math.abs(bulge) > 1e6) {
            throw new DrawException(
                    "The three points lie on a line that turns back; they give no arc.");
        }
        return Math.abs(turn) < 1e-9 ? 0 : bulge;
    }

    private static void roundCentre(Sketch sketch, Args args) {
        double sweep = args.angle("sweep");
        Args.require(
                Math.abs(args.number("sweep")) >= 1e-6 && Math.abs(args.number("sweep")) < 360,
                "sweep",
                "The turn is %s°; it must be less than a whole turn and not 0.",
                args.number("sweep"));
        double radius = args.positive("radius", "The radius");
        draw(
                sketch,
                args,
                "ARC",
                Arc.about(args.point("x", "y"), radius, args.angle("from"), sweep));
    }

    /** A positive radius turns left on the way from one end to the other, a negative one right. */
    private static void withRadius(Sketch sketch, Args args) {
        Point from = args.point("x1", "y1");
        Point to = args.point("x2", "y2");
        requireApart(from, to, "The arc");
        double radius = args.number("radius");
        double half = from.distance(to) / 2;
        Args.require(
                Math.abs(radius) >= half * (1 - 1e-9),
                "radius",
                "The radius is %s mm; the ends are %s mm apart, so it must be at least half of that.",
                radius,
                2 * half);
        double sweep = 2 * Math.asin(Math.min(1, half / Math.abs(radius)));
        double turned = args.yes("large") ? 2 * Math.PI - sweep : sweep;
        draw(sketch, args, "ARC", new Arc(from, to, Math.signum(radius) * Math.tan(turned / 4)));
    }
}
