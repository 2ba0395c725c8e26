package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Command.Shown.across;
import static dev.oleander.drawing.draw.Command.Shown.at;
import static dev.oleander.drawing.draw.Command.Shown.up;
import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/** Flanges, frames and segments. Their first entity is the outline, then the openings. */
final class FlangeCommands {

    private FlangeCommands() {}

    static List<Command> all() {
        return List.of(
                ShapeCommands.command(
                                "ovalFlange",
                                "Oval flange",
                                List.of(
                                        length("middle", "Middle diameter", "70"),
                                        length("ends", "Diameter at the ends", "24"),
                                        length("centres", "Between the holes", "104"),
                                        length("bore", "Bore", "42"),
                                        length("hole", "Hole diameter", "11")),
                                FlangeCommands::ovalFlange)
                        .showing(
                                up("middle", "0", "-middle/2", "middle/2"),
                                across("ends", "centres/2 - ends/2", "centres/2 + ends/2", "0"),
                                across("centres", "-centres/2", "centres/2", "-middle/2"),
                                across("bore", "-bore/2", "bore/2", "0"),
                                across("hole", "-centres/2 - hole/2", "-centres/2 + hole/2", "0")),
                ShapeCommands.command(
                                "squareFlange",
                                "Square flange",
                                List.of(
                                        length("side", "Side", "120"),
                                        length("radius", "Corner radius", "side/10"),
                                        length("bore", "Bore", "60"),
                                        length("circle", "Bolt circle", "bore + 28"),
                                        count("holes", "Holes", "8"),
                                        length("hole", "Hole diameter", "9"),
                                        angle("first", "First hole at", "360/holes/2")),
                                FlangeCommands::squareFlange)
                        .showing(
                                across("side", "-side/2", "side/2", "-side/2"),
                                across("radius", "side/2 - radius", "side/2", "side/2"),
                                across("bore", "-bore/2", "bore/2", "0"),
                                up("circle", "0", "-circle/2", "circle/2"),
                                at("holes", "circle/2", "0"),
                                across("hole", "circle/2 - hole/2", "circle/2 + hole/2", "0"),
                                at("first", "circle/2", "hole")),
                ShapeCommands.command(
                                "ringSegment",
                                "Ring segment",
                                List.of(
                                        length("outer", "Outer diameter", "200"),
                                        length("inner", "Inner diameter", "120"),
                                        angle("sweep", "Angle", "90"),
                                        count("holes", "Holes", "3"),
                                        length("hole", "Hole diameter", "9")),
                                FlangeCommands::ringSegment)
                        .showing(
                                across("outer", "0", "outer/2", "0"),
                                across("inner", "0", "inner/2", "0"),
                                at("sweep", "0", "0"),
                                at("holes", "(outer + inner)/4", "0"),
                                at("hole", "(outer + inner)/4", "hole")),
                ShapeCommands.command(
                                "frame",
                                "Frame",
                                List.of(
                                        length("width", "Width", "200"),
                                        length("height", "Height", "120"),
                                        length("border", "Border", "20"),
                                        length("radius", "Corner radius", "10")),
                                FlangeCommands::frame)
                        .showing(
                                across("width", "-width/2", "width/2", "-height/2"),
                                up("height", "-width/2", "-height/2", "height/2"),
                                across("border", "width/2 - border", "width/2", "0"),
                                across("radius", "width/2 - radius", "width/2", "height/2")));
    }

    /** The hull of three circles in a row. */
    private static void ovalFlange(Sketch sketch, Args args) {
        double middle = args.positive("middle", "The middle diameter") / 2;
        double ends = args.positive("ends", "The diameter at the ends") / 2;
        double reach = args.positive("centres", "The distance between the holes") / 2;
        double bore = args.notNegative("bore", "The bore");
        double hole = args.notNegative("hole", "The hole diameter");
        Args.require(
                reach > Math.abs(middle - ends),
                "centres",
                "Ends %s mm from the middle lie within its circle of %s mm.",
                reach,
                2 * middle);
        Args.require(
                ends <= middle,
                "ends",
                "The ends are %s mm wide; the middle, %s mm, is the limit.",
                2 * ends,
                2 * middle);
        Args.require(
                bore < 2 * middle,
                "bore",
                "A bore of %s mm leaves nothing of %s mm.",
                bore,
                2 * middle);
        Args.require(
                hole < 2 * ends,
                "hole",
                "Holes of %s mm leave nothing of ends of %s mm.",
                hole,
                2 * ends);
        Args.require(
                bore / 2 + hole / 2 < reach,
                "bore",
                "A bore of %s mm cuts into the holes, %s mm from the middle.",
                bore,
                reach);
        List<Contour> contours = new ArrayList<>();
        contours.add(hull(middle, ends, reach));
        if (bore > 0) {
            contours.add(ShapeCommands.hole(0, 0, bore));
        }
        if (hole > 0) {
            contours.add(ShapeCommands.hole(-reach, 0, hole));
            contours.add(ShapeCommands.hole(reach, 0, hole));
        }
        ShapeCommands.drawAll(sketch, args, contours);
    }

    /** Tangents touch both circles at an angle whose cosine is (R - r) / d. */
    private static Contour hull(double middle, double ends, double reach) {
        double a = Math.acos((middle - ends) / reach);
        Point right = new Point(reach, 0);
        Point left = new Point(-reach, 0);
        Arc first = Arc.about(right, ends, -a, 2 * a);
        Arc second = Arc.about(left, ends, Math.PI - a, 2 * a);
        if (Math.abs(middle - ends) < 1e-9) {
            return new Contour(
                    List.of(
                            first,
                            new Line(first.end(), second.start()),
                            second,
                            new Line(second.end(), first.start())));
        }
        Arc above = Arc.about(Point.ORIGIN, middle, a, Math.PI - 2 * a);
        Arc below = Arc.about(Point.ORIGIN, middle, Math.PI + a, Math.PI - 2 * a);
        return new Contour(
                List.of(
                        first,
                        new Line(first.end(), above.start()),
                        above,
                        new Line(above.end(), second.start()),
                        second,
                        new Line(second.end(), below.start()),
                        below,
                        new Line(below.end(), first.start())));
    }

    private static void squareFlange(Sketch sketch, Args args) {
        double side = args.positive("side", "The side");
        double radius = args.notNegative("radius", "The corner radius");
        double bore = args.notNegative("bore", "The bore");
        double circle = args.positive("circle", "The bolt circle");
        double hole = args.notNegative("hole", "The hole diameter");
        int holes = args.count("holes", "The number of holes", 0);
        Args.require(
                radius <= side / 2,
                "radius",
                "The corner radius is %s mm; half of the side, %s mm, is the limit.",
                radius,
                side / 2);
        Args.require(bore < side, "bore", "A bore of %s mm leaves nothing of %s mm.", bore, side);
        boolean drilled = holes > 0 && hole > 0;
        Args.require(
                !drilled || circle - hole > bore,
                "circle",
                "Holes of %s mm on a circle of %s mm cut into the bore.",
                hole,
                circle);
        List<Contour> contours = new ArrayList<>();
        contours.add(Figures.rectangle(side, side, radius));
        if (bore > 0) {
            contours.add(ShapeCommands.hole(0, 0, bore));
        }
        for (int i = 0; drilled && i < holes; i++) {
            Point at = Point.polar(circle / 2, args.angle("first") + 2 * Math.PI * i / holes);
            Args.require(
                    Math.max(Math.abs(at.x()), Math.abs(at.y())) + hole / 2 < side / 2,
                    "circle",
                    "Holes of %s mm on a circle of %s mm cut into the edge.",
                    hole,
                    circle);
            contours.add(ShapeCommands.hole(at.x(), at.y(), hole));
        }
        ShapeCommands.drawAll(sketch, args, contours);
    }

    /** From the angle 0 on; its holes lie on the middle circle, evenly. */
    private static void ringSegment(Sketch sketch, Args args) {
        double outer = args.positive("outer", "The outer diameter") / 2;
        double inner = args.positive("inner", "The inner diameter") / 2;
        double sweep = args.angle("sweep");
        double hole = args.notNegative("hole", "The hole diameter");
        int holes = args.count("holes", "The number of holes", 0);
        Args.require(
                inner < outer,
                "inner",
                "The inner diameter is %s mm; it must be less than the outer one, %s mm.",
                2 * inner,
                2 * outer);
        Args.require(
                sweep > 0 && sweep < 2 * Math.PI,
                "sweep",
                "The angle is %s°; it lies between 0 and 360.",
                Math.toDegrees(sweep));
        Args.require(
                hole < outer - inner,
                "hole",
                "Holes of %s mm leave nothing of a ring %s mm wide.",
                hole,
                outer - inner);
        double middle = (outer + inner) / 2;
        double apart = holes == 0 ? 0 : 2 * middle * Math.sin(sweep / holes / 2);
        Args.require(
                holes == 0 || hole == 0 || apart > hole,
                "holes",
                "%s holes of %s mm cut into each other, or into the ends.",
                holes,
                hole);
        Arc out = Arc.about(Point.ORIGIN, outer, 0, sweep);
        Arc in = Arc.about(Point.ORIGIN, inner, sweep, -sweep);
        List<Contour> contours = new ArrayList<>();
        contours.add(
                new Contour(
                        List.of(
                                out,
                                new Line(out.end(), in.start()),
                                in,
                                new Line(in.end(), out.start()))));
        for (int i = 0; hole > 0 && i < holes; i++) {
            Point at = Point.polar(middle, sweep * (i + 0.5) / holes);
            contours.add(ShapeCommands.hole(at.x(), at.y(), hole));
        }
        ShapeCommands.drawAll(sketch, args, contours);
    }

    private static void frame(Sketch sketch, Args args) {
        double width = args.positive("width", "The width");
        double height = args.positive("height", "The height");
        double border = args.positive("border", "The border");
        double radius = args.notNegative("radius", "The corner radius");
        double least = Math.min(width, height);
        Args.require(
                2 * border < least,
                "border",
                "A border of %s mm leaves no opening in %s mm.",
                border,
                least);
        Args.require(
                radius <= least / 2,
                "radius",
                "The corner radius is %s mm; half of the shorter side, %s mm, is the limit.",
                radius,
                least / 2);
        ShapeCommands.drawAll(
                sketch,
                args,
                List.of(
                        Figures.rectangle(width, height, radius),
                        Figures.rectangle(
                                width - 2 * border,
                                height - 2 * border,
                                Math.max(0, radius - border))));
    }
}
