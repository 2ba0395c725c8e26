package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.List;

/** Closed figures: circle, rectangle, polygon, slot. */
final class FigureCommands {

    private FigureCommands() {}

    static List<Command> all() {
        return List.of(
                command(
                        "circle",
                        "Circle",
                        List.of(
                                x("x", "Centre x"),
                                y("y", "Centre y"),
                                length("diameter", "Diameter", "")),
                        FigureCommands::circle),
                command(
                        "rectangle",
                        "Rectangle",
                        List.of(
                                x("x", "Corner x"),
                                y("y", "Corner y"),
                                length("width", "Width", ""),
                                length("height", "Height", ""),
                                length("radius", "Corner radius", "0")),
                        FigureCommands::rectangle),
                command(
                        "slot",
                        "Slot",
                        List.of(
                                x("x", "Centre x"),
                                y("y", "Centre y"),
                                length("length", "Length over ends", ""),
                                length("width", "Width", ""),
                                angle("turn", "Turned by", "0")),
                        FigureCommands::slot),
                command(
                        "polygon",
                        "Regular polygon",
                        List.of(
                                x("x", "Centre x"),
                                y("y", "Centre y"),
                                count("sides", "Sides", "6"),
                                length("flats", "Across flats", ""),
                                angle("turn", "Turned by", "0")),
                        FigureCommands::polygon));
    }

    private static Command command(
            String word, String label, List<Parameter> parameters, Command.Deed deed) {
        return new Command(word, label, Group.FIGURES, Targets.NONE, parameters, deed);
    }

    private static void circle(Sketch sketch, Args args) {
        double diameter = args.positive("diameter", "The diameter");
        sketch.draw(args.step(), "CIRCLE", Contour.circle(args.point("x", "y"), diameter / 2));
    }

    /** A negative width or height goes the other way from the corner. */
    private static void rectangle(Sketch sketch, Args args) {
        double w = args.number("width");
        double h = args.number("height");
        Args.require(Math.abs(w) > 1e-6, "width", "The width is %s mm; it must not be 0.", w);
        Args.require(Math.abs(h) > 1e-6, "height", "The height is %s mm; it must not be 0.", h);
        double radius = args.notNegative("radius", "The corner radius");
        double most = Math.min(Math.abs(w), Math.abs(h)) / 2;
        Args.require(
                radius <= most * (1 + 1e-12),
                "radius",
                "The corner radius is %s mm; half of the shorter side, %s mm, is the limit.",
                radius,
                most);
        Point middle = args.point("x", "y").plus(new Point(w / 2, h / 2));
        Contour figure = Figures.rectangle(Math.abs(w), Math.abs(h), radius);
        sketch.draw(args.step(), "LWPOLYLINE", figure.transformed(Figures.at(middle, 0)));
    }

    private static void slot(Sketch sketch, Args args) {
        double width = args.positive("width", "The width");
        double length = args.positive("length", "The length");
        Args.require(
                length > width,
                "length",
                "The slot is %s mm long and %s mm wide; it must be longer than wide.",
                length,
                width);
        Contour figure = Figures.slot(length, width);
        sketch.draw(
                args.step(),
                "LWPOLYLINE",
                figure.transformed(Figures.at(args.point("x", "y"), args.angle("turn"))));
    }

    private static void polygon(Sketch sketch, Args args) {
        int sides = args.count("sides", "The number of sides", 3);
        double flats = args.positive("flats", "The size across flats");
        Contour figure = Figures.regular(sides, flats);
        sketch.draw(
                args.step(),
                "LWPOLYLINE",
                figure.transformed(Figures.at(args.point("x", "y"), args.angle("turn"))));
    }
}
