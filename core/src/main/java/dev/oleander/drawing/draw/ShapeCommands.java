package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Command.Shown.across;
import static dev.oleander.drawing.draw.Command.Shown.at;
import static dev.oleander.drawing.draw.Command.Shown.up;
import static dev.oleander.drawing.draw.Parameter.angle;
import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/** Whole parts that shops cut every day. Their first entity is the outline, then the openings. */
final class ShapeCommands {

    private ShapeCommands() {}

    static List<Command> all() {
        return List.of(
                command(
                                "plate",
                                "Plate with hole pattern",
                                List.of(
                                        length("width", "Width", "200"),
                                        length("height", "Height", "120"),
                                        length("radius", "Corner radius", "10"),
                                        length("hole", "Hole diameter", "11"),
                                        count("columns", "Holes across", "2"),
                                        count("rows", "Holes up", "2"),
                                        length("edge", "Hole centre from edge", "20")),
                                ShapeCommands::plate)
                        .showing(
                                across("width", "-width/2", "width/2", "-height/2"),
                                up("height", "-width/2", "-height/2", "height/2"),
                                across("radius", "width/2 - radius", "width/2", "height/2"),
                                across(
                                        "hole",
                                        "edge - width/2 - hole/2",
                                        "edge - width/2 + hole/2",
                                        "edge - height/2"),
                                up("edge", "width/2 - edge", "-height/2", "edge - height/2"),
                                at("columns", "0", "edge - height/2"),
                                at("rows", "edge - width/2", "0")),
                command(
                                "ring",
                                "Ring with bolt circle",
                                List.of(
                                        length("outer", "Outer diameter", "160"),
                                        length("inner", "Inner diameter", "90"),
                                        length("circle", "Bolt circle", "(outer + inner)/2"),
                                        count("holes", "Holes", "6"),
                                        length("hole", "Hole diameter", "9"),
                                        angle("first", "First hole at", "0")),
                                ShapeCommands::ring)
                        .showing(
                                across("outer", "-outer/2", "outer/2", "0"),
                                up("inner", "0", "-inner/2", "inner/2"),
                                across("circle", "-circle/2", "circle/2", "-outer/2"),
                                across("hole", "circle/2 - hole/2", "circle/2 + hole/2", "0"),
                                at("holes", "circle/2", "0"),
                                at("first", "circle/2", "hole")),
                command(
                                "bracket",
                                "Bracket with notches",
                                List.of(
                                        length("width", "Width", "120"),
                                        length("height", "Height", "80"),
                                        length("notch", "Notch width", "12"),
                                        length("depth", "Notch depth", "12"),
                                        length("hole", "Hole diameter", "9"),
                                        length("edge", "Hole centre from edge", "15")),
                                ShapeCommands::bracket)
                        .showing(
                                across("width", "-width/2", "width/2", "-height/2"),
                                up("height", "-width/2", "-height/2", "height/2"),
                                across("notch", "width/2 - notch", "width/2", "height/2"),
                                up("depth", "width/2", "height/2 - depth", "height/2"),
                                across(
                                        "hole",
                                        "edge - width/2 - hole/2",
                                        "edge - width/2 + hole/2",
                                        "0"),
                                across("edge", "width/2 - edge", "width/2", "0")),
                command(
                                "strip",
                                "Slotted strip",
                                List.of(
                                        length("length", "Length", "300"),
                                        length("width", "Width", "40"),
                                        length("radius", "Corner radius", "5"),
                                        count("slots", "Slots", "5"),
                                        length("slot", "Slot length", "24"),
                                        length("across", "Slot width", "9"),
                                        length("pitch", "Slot pitch", "length/slots")),
                                ShapeCommands::strip)
                        .showing(
                                across("length", "-length/2", "length/2", "-width/2"),
                                up("width", "-length/2", "-width/2", "width/2"),
                                across("radius", "length/2 - radius", "length/2", "width/2"),
                                at("slots", "0", "0"),
                                across(
                                        "slot",
                                        "-(slots - 1)/2*pitch - slot/2",
                                        "-(slots - 1)/2*pitch + slot/2",
                                        "0"),
                                up("across", "(slots - 1)/2*pitch", "-across/2", "across/2"),
                                across(
                                        "pitch",
                                        "-(slots - 1)/2*pitch",
                                        "-(slots - 1)/2*pitch + pitch",
                                        "width/2")),
                command(
                                "brace",
                                "Corner brace",
                                List.of(
                                        length("width", "Leg along x", "120"),
                                        length("height", "Leg along y", "120"),
                                        length("nose", "Nose at the ends", "20"),
                                        length("clip", "Clipped corner", "15"),
                                        length("hole", "Hole diameter", "0")),
                                ShapeCommands::brace)
                        .showing(
                                across("width", "0", "width", "0"),
                                up("height", "0", "0", "height"),
                                up("nose", "width", "0", "nose"),
                                across("clip", "0", "clip", "clip"),
                                at("hole", "width/3", "height/3")),
                command(
                                "toothed",
                                "Toothed ring",
                                List.of(
                                        count("teeth", "Teeth", "24"),
                                        length("outer", "Over the teeth", "150"),
                                        length("root", "At the roots", "136"),
                                        length(
                                                "land",
                                                "Width of a tooth's land",
                                                "pi*outer/teeth*0.3"),
                                        length("bore", "Bore", "40")),
                                ShapeCommands::toothed)
                        .showing(
                                at("teeth", "outer/2", "0"),
                                across("outer", "-outer/2", "outer/2", "-outer/2"),
                                up("root", "0", "-root/2", "root/2"),
                                up("land", "outer/2", "-land/2", "land/2"),
                                across("bore", "-bore/2", "bore/2", "0")));
    }

    /** A whole part: its place comes before its own values, its turn after them. */
    static Command command(String word, String label, List<Parameter> own, Command.Deed deed) {
        List<Parameter> parameters = new ArrayList<>();
        parameters.add(x("x", "Centre x"));
        parameters.add(y("y", "Centre y"));
        parameters.addAll(own);
        parameters.add(angle("turn", "Turned by", "0"));
        return new Command(word, label, Group.SHAPES, Targets.NONE, parameters, deed);
    }

    static void drawAll(Sketch sketch, Args args, List<Contour> contours) {
        Transform place = Figures.at(args.point("x", "y"), args.angle("turn"));
        sketch.drawAll(
                args.step(),
                "LWPOLYLINE",
                contours.stream().map(c -> c.transformed(place)).toList());
    }

    static Contour hole(double x, double y, double diameter) {
        return Contour.circle(new Point(x, y), diameter / 2);
    }

    private static void plate(Sketch sketch, Args args) {
        double w = args.positive("width", "The width");
        double h = args.positive("height", "The height");
        double radius = args.notNegative("radius", "The corner radius");
        double d = args.notNegative("hole", "The hole diameter");
        double edge = args.positive("edge", "The distance from the edge");
        int columns = args.count("columns", "The number of holes across", 0);
        int rows = args.count("rows", "The number of holes up", 0);
        double least = Math.min(w, h);
        Args.require(
                radius <= least / 2,
                "radius",
                "The corner radius is %s mm; half of the shorter side, %s mm, is the limit.",
                radius,
                least / 2);
        Args.require(
                edge > d / 2,
                "edge",
                "Holes %s mm from the edge with a diameter of %s mm cut into it.",
                edge,
                d);
        Args.require(
                2 * edge <= least,
                "edge",
                "Holes %s mm from the edge do not fit on a side of %s mm.",
                edge,
                least);
        List<Contour> contours = new ArrayList<>();
        contours.add(Figures.rectangle(w, h, radius));
        if (d > 0) {
            for (int row = 0; row < rows; row++) {
                for (int column = 0; column < columns; column++) {
                    contours.add(
                            hole(
                                    spread(w / 2 - edge, column, columns),
                                    spread(h / 2 - edge, row, rows),
                                    d));
                }
            }
        }
        drawAll(sketch, args, contours);
    }

    /** Places evenly from -reach to reach; a single one in the middle. */
    private static double spread(double reach, int i, int count) {
        return count == 1 ? 0 : -reach + 2 * reach * i / (count - 1);
    }

    private static void ring(Sketch sketch, Args args) {
        double outer = args.positive("outer", "The outer diameter");
        double inner = args.notNegative("inner", "The inner diameter");
        double circle = args.positive("circle", "The bolt circle");
        double d = args.notNegative("hole", "The hole diameter");
        int holes = args.count("holes", "The number of holes", 0);
        Args.require(
                inner < outer,
                "inner",
                "The inner diameter is %s mm; it must be less than the outer one, %s mm.",
                inner,
                outer);
        boolean drilled = holes > 0 && d > 0;
        Args.require(
                !drilled || circle + d < outer && circle - d > inner,
                "circle",
                "Holes of %s mm on a circle of %s mm cut into the ring's edge.",
                d,
                circle);
        double apart = holes > 1 ? circle * Math.sin(Math.PI / holes) : Double.POSITIVE_INFINITY;
        Args.require(
                !drilled || apart > d,
                "holes",
                "%s holes of %s mm cut into each other on a circle of %s mm.",
                holes,
                d,
                circle);
        List<Contour> contours = new ArrayList<>();
        contours.add(hole(0, 0, outer));
        if (inner > 0) {
            contours.add(hole(0, 0, inner));
        }
        for (int i = 0; drilled && i < holes; i++) {
            Point at = Point.polar(circle / 2, args.angle("first") + 2 * Math.PI * i / holes);
            contours.add(hole(at.x(), at.y(), d));
        }
        drawAll(sketch, args, contours);
    }

    /** A rectangle with a notch in each corner, so that its sides can be folded up. */
    private static void bracket(Sketch sketch, Args args) {
        double w = args.positive("width", "The width") / 2;
        double h = args.positive("height", "The height") / 2;
        double n = args.positive("notch", "The notch width");
        double p = args.positive("depth", "The notch depth");
        double d = args.notNegative("hole", "The hole diameter");
        double edge = args.positive("edge", "The distance from the edge");
        Args.require(n < w, "notch", "Notches of %s mm meet on a width of %s mm.", n, 2 * w);
        Args.require(p < h, "depth", "Notches of %s mm meet on a height of %s mm.", p, 2 * h);
        List<Point> corners =
                List.of(
                        new Point(-w + n, -h),
                        new Point(w - n, -h),
                        new Point(w - n, -h + p),
                        new Point(w, -h + p),
                        new Point(w, h - p),
                        new Point(w - n, h - p),
                        new Point(w - n, h),
                        new Point(-w + n, h),
                        new Point(-w + n, h - p),
                        new Point(-w, h - p),
                        new Point(-w, -h + p),
                        new Point(-w + n, -h + p));
        List<Contour> contours = new ArrayList<>();
        contours.add(Figures.polygon(corners, 0));
        if (d > 0) {
            Args.require(
                    edge > d / 2 && edge < w - d / 2,
                    "edge",
                    "A hole of %s mm does not fit %s mm from the edge.",
                    d,
                    edge);
            Args.require(
                    d < 2 * (h - p), "hole", "A hole of %s mm does not fit between notches.", d);
            contours.add(hole(-w + edge, 0, d));
            contours.add(hole(w - edge, 0, d));
        }
        drawAll(sketch, args, contours);
    }

    private static void strip(Sketch sketch, Args args) {
        double length = args.positive("length", "The length");
        double width = args.positive("width", "The width");
        double radius = args.notNegative("radius", "The corner radius");
        int slots = args.count("slots", "The number of slots", 1);
        double slot = args.positive("slot", "The slot length");
        double across = args.positive("across", "The slot width");
        double pitch = args.positive("pitch", "The slot pitch");
        Args.require(
                radius <= Math.min(length, width) / 2,
                "radius",
                "The corner radius is %s mm; half of the width, %s mm, is the limit.",
                radius,
                Math.min(length, width) / 2);
        Args.require(
                slot > across,
                "slot",
                "A slot %s mm long must be longer than wide, %s mm.",
                slot,
                across);
        Args.require(
                across < width,
                "across",
                "A slot %s mm wide does not fit in %s mm.",
                across,
                width);
        Args.require(
                slots == 1 || pitch > slot,
                "pitch",
                "Slots of %s mm meet at a pitch of %s mm.",
                slot,
                pitch);
        Args.require(
                (slots - 1) * pitch + slot < length,
                "slots",
                "%s slots at a pitch of %s mm do not fit in %s mm.",
                slots,
                pitch,
                length);
        List<Contour> contours = new ArrayList<>();
        contours.add(Figures.rectangle(length, width, radius));
        for (int i = 0; i < slots; i++) {
            double at = (i - (slots - 1) / 2.0) * pitch;
            contours.add(
                    Figures.slot(slot, across)
                            .transformed(Transform.translation(new Point(at, 0))));
        }
        drawAll(sketch, args, contours);
    }

    /** Of legs that end in one. */
    static double nose(Args args, double leastLeg) {
        double nose = args.positive("nose", "The nose");
        Args.require(
                nose < leastLeg,
                "nose",
                "A nose of %s mm needs legs longer than that; one is %s mm.",
                nose,
                leastLeg);
        return nose;
    }

    /** The right angle lies at the place given. */
    private static void brace(Sketch sketch, Args args) {
        double w = args.positive("width", "The leg along x");
        double h = args.positive("height", "The leg along y");
        double least = Math.min(w, h);
        double nose = nose(args, least);
        double clip = args.notNegative("clip", "The clipped corner");
        double d = args.notNegative("hole", "The hole diameter");
        Args.require(
                clip < least,
                "clip",
                "A corner of %s mm cannot be clipped off a leg of %s mm.",
                clip,
                least);
        List<Point> corners = new ArrayList<>();
        if (clip > 0) {
            corners.add(new Point(0, clip));
            corners.add(new Point(clip, 0));
        } else {
            corners.add(Point.ORIGIN);
        }
        corners.add(new Point(w, 0));
        corners.add(new Point(w, nose));
        corners.add(new Point(nose, h));
        corners.add(new Point(0, h));
        List<Contour> contours = new ArrayList<>();
        Contour outline = Figures.polygon(corners, 0);
        contours.add(outline);
        if (d > 0) {
            Point middle = outline.centroid();
            double room = outline.nearest(middle).point().distance(middle);
            Args.require(
                    d / 2 < room,
                    "hole",
                    "A hole of %s mm does not fit; the brace has room for %s mm.",
                    d,
                    2 * room);
            contours.add(hole(middle.x(), middle.y(), d));
        }
        drawAll(sketch, args, contours);
    }

    private static void toothed(Sketch sketch, Args args) {
        int teeth = args.count("teeth", "The number of teeth", 3);
        double outer = args.positive("outer", "The size over the teeth");
        double root = args.positive("root", "The size at the roots");
        double land = args.positive("land", "The width of a land");
        double bore = args.notNegative("bore", "The bore");
        Args.require(
                root < outer,
                "root",
                "The roots at %s mm must lie inside the teeth at %s mm.",
                root,
                outer);
        Args.require(
                bore < root,
                "bore",
                "The bore of %s mm must be less than the roots at %s mm.",
                bore,
                root);
        double pitch = 2 * Math.PI / teeth;
        double half = land / outer;
        Args.require(
                2 * half < 0.9 * pitch,
                "land",
                "A land of %s mm leaves no gap; the teeth are %s mm apart.",
                land,
                outer / 2 * pitch);
        // flanks lean so that the gap at the root is as wide as the land is at the top
        double low = Math.max(half, pitch / 2 - half);
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < teeth; i++) {
            double at = i * pitch;
            corners.add(Point.polar(root / 2, at - Math.min(low, 0.49 * pitch)));
            corners.add(Point.polar(outer / 2, at - half));
            corners.add(Point.polar(outer / 2, at + half));
            corners.add(Point.polar(root / 2, at + Math.min(low, 0.49 * pitch)));
        }
        List<Contour> contours = new ArrayList<>();
        contours.add(Figures.polygon(corners, 0));
        if (bore > 0) {
            contours.add(hole(0, 0, bore));
        }
        drawAll(sketch, args, contours);
    }
}
