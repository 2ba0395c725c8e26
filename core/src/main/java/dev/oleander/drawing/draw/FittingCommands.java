package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Command.Shown.across;
import static dev.oleander.drawing.draw.Command.Shown.at;
import static dev.oleander.drawing.draw.Command.Shown.up;
import static dev.oleander.drawing.draw.Parameter.count;
import static dev.oleander.drawing.draw.Parameter.length;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;

/** Gussets, saddles and other fittings. Their first entity is the outline, then the openings. */
final class FittingCommands {

    private FittingCommands() {}

    static List<Command> all() {
        return List.of(
                ShapeCommands.command(
                                "gusset",
                                "Gusset with a hollow",
                                List.of(
                                        length("width", "Leg along x", "150"),
                                        length("height", "Leg along y", "120"),
                                        length("nose", "Nose at the ends", "20"),
                                        length("hollow", "Depth of the hollow", "15"),
                                        length("cope", "Cope in the corner", "15")),
                                FittingCommands::gusset)
                        .showing(
                                across("width", "0", "width", "0"),
                                up("height", "0", "0", "height"),
                                up("nose", "width", "0", "nose"),
                                at("hollow", "(width + nose)/2", "(height + nose)/2"),
                                across("cope", "0", "cope", "0")),
                ShapeCommands.command(
                                "slottedAngle",
                                "Slotted angle",
                                List.of(
                                        length("width", "Leg along x", "160"),
                                        length("height", "Leg along y", "120"),
                                        length("leg", "Width of the legs", "40"),
                                        length("slot", "Slot length", "24"),
                                        length("across", "Slot width", "9"),
                                        length("edge", "Slot from the end", "12")),
                                FittingCommands::slottedAngle)
                        .showing(
                                across("width", "0", "width", "0"),
                                up("height", "0", "0", "height"),
                                up("leg", "width", "0", "leg"),
                                across("slot", "width - edge - slot", "width - edge", "leg/2"),
                                across(
                                        "across",
                                        "leg/2 - across/2",
                                        "leg/2 + across/2",
                                        "height - edge - slot/2"),
                                up("edge", "leg/2", "height - edge", "height")),
                ShapeCommands.command(
                                "saddle",
                                "Saddle for a pipe",
                                List.of(
                                        length("width", "Width", "140"),
                                        length("height", "Height", "90"),
                                        length("pipe", "Pipe diameter", "76"),
                                        length("depth", "Depth of the pipe", "pipe/3"),
                                        length("hole", "Hole diameter", "11"),
                                        length("edge", "Hole centre from edge", "18")),
                                FittingCommands::saddle)
                        .showing(
                                across("width", "-width/2", "width/2", "0"),
                                up("height", "-width/2", "0", "height"),
                                at("pipe", "0", "height - depth + pipe/2"),
                                up("depth", "0", "height - depth", "height"),
                                across(
                                        "hole",
                                        "edge - width/2 - hole/2",
                                        "edge - width/2 + hole/2",
                                        "edge"),
                                up("edge", "width/2 - edge", "0", "edge")),
                ShapeCommands.command(
                                "hingePlate",
                                "Hinge plate",
                                List.of(
                                        length("width", "Width", "120"),
                                        length("height", "Height", "60"),
                                        count("knuckles", "Knuckles", "3"),
                                        length("finger", "Length of the knuckles", "24"),
                                        length("gap", "Play between them", "0.5"),
                                        length("hole", "Hole diameter", "6"),
                                        length("edge", "Hole centre from edge", "15")),
                                FittingCommands::hingePlate)
                        .showing(
                                across("width", "-width/2", "width/2", "0"),
                                up("height", "-width/2", "0", "height"),
                                at("knuckles", "0", "height + finger/2"),
                                up("finger", "-width/2", "height", "height + finger"),
                                at("gap", "-width/2", "height + finger"),
                                across(
                                        "hole",
                                        "edge - width/2 - hole/2",
                                        "edge - width/2 + hole/2",
                                        "edge"),
                                up("edge", "width/2 - edge", "0", "edge")),
                ShapeCommands.command(
                                "keyholePlate",
                                "Keyhole plate",
                                List.of(
                                        length("width", "Width", "120"),
                                        length("height", "Height", "50"),
                                        length("radius", "Corner radius", "6"),
                                        length("head", "Head diameter", "12"),
                                        length("neck", "Neck width", "6"),
                                        length("drop", "Drop of the neck", "12"),
                                        length("pitch", "Between the keyholes", "80")),
                                FittingCommands::keyholePlate)
                        .showing(
                                across("width", "-width/2", "width/2", "-height/2"),
                                up("height", "-width/2", "-height/2", "height/2"),
                                across("radius", "width/2 - radius", "width/2", "height/2"),
                                across("head", "-pitch/2 - head/2", "-pitch/2 + head/2", "-drop/2"),
                                across("neck", "-pitch/2 - neck/2", "-pitch/2 + neck/2", "drop/2"),
                                up("drop", "pitch/2", "-drop/2", "drop/2"),
                                across("pitch", "-pitch/2", "pitch/2", "-drop/2")),
                ShapeCommands.command(
                                "endCap",
                                "End cap of a tube",
                                List.of(
                                        length("width", "Width of the tube", "80"),
                                        length("height", "Height of the tube", "40"),
                                        length("corner", "Corner radius of the tube", "6"),
                                        length("seam", "Left for the seam", "1.5"),
                                        length("hole", "Vent", "0")),
                                FittingCommands::endCap)
                        .showing(
                                across("width", "-width/2", "width/2", "-height/2"),
                                up("height", "-width/2", "-height/2", "height/2"),
                                across("corner", "width/2 - corner", "width/2", "height/2"),
                                across("seam", "width/2 - seam", "width/2", "0"),
                                across("hole", "-hole/2", "hole/2", "0")));
    }

    /** The right angle lies at the place given; the long side is hollow. */
    private static void gusset(Sketch sketch, Args args) {
        double w = args.positive("width", "The leg along x");
        double h = args.positive("height", "The leg along y");
        double least = Math.min(w, h);
        double nose = ShapeCommands.nose(args, least);
        double hollow = args.notNegative("hollow", "The depth of the hollow");
        double cope = args.notNegative("cope", "The cope");
        Args.require(
                cope < least, "cope", "A cope of %s mm takes a leg of %s mm away.", cope, least);
        Point right = new Point(w, nose);
        Point top = new Point(nose, h);
        double chord = right.distance(top);
        double room = Math.abs(right.cross(top)) / chord - cope;
        Args.require(
                hollow < chord / 2 && hollow < room,
                "hollow",
                "A hollow of %s mm leaves nothing; the gusset has room for %s mm.",
                hollow,
                Math.min(chord / 2, Math.max(0, room)));
        List<Segment> segments = new ArrayList<>();
        segments.add(new Line(new Point(cope, 0), new Point(w, 0)));
        segments.add(new Line(new Point(w, 0), right));
        // the hollow bends towards the corner: its sagitta is the depth
        segments.add(Segment.of(right, top, -2 * hollow / chord));
        segments.add(new Line(top, new Point(0, h)));
        segments.add(new Line(new Point(0, h), new Point(0, cope)));
        if (cope > 0) {
            segments.add(new Arc(new Point(0, cope), new Point(cope, 0), -Math.tan(Math.PI / 8)));
        }
        ShapeCommands.drawAll(sketch, args, List.of(new Contour(segments)));
    }

    /** The corner of its legs lies at the place given. */
    private static void slottedAngle(Sketch sketch, Args args) {
        double w = args.positive("width", "The leg along x");
        double h = args.positive("height", "The leg along y");
        double leg = args.positive("leg", "The width of the legs");
        double slot = args.positive("slot", "The slot length");
        double across = args.positive("across", "The slot width");
        double edge = args.positive("edge", "The distance from the end");
        double least = Math.min(w, h);
        Args.require(leg < least, "leg", "Legs %s mm wide fill a leg of %s mm.", leg, least);
        Args.require(
                slot > across,
                "slot",
                "A slot %s mm long must be longer than wide, %s mm.",
                slot,
                across);
        Args.require(
                across < leg, "across", "A slot %s mm wide does not fit in %s mm.", across, leg);
        Args.require(
                edge + slot < least,
                "slot",
                "A slot of %s mm, %s mm from the end, does not fit a leg of %s mm.",
                slot,
                edge,
                least);
        List<Point> corners =
                List.of(
                        Point.ORIGIN,
                        new Point(w, 0),
                        new Point(w, leg),
                        new Point(leg, leg),
                        new Point(leg, h),
                        new Point(0, h));
        Contour along = Figures.slot(slot, across);
        ShapeCommands.drawAll(
                sketch,
                args,
                List.of(
                        Figures.polygon(corners, 0),
                        placed(along, 0, w - edge - slot / 2, leg / 2),
                        placed(along, Math.PI / 2, leg / 2, h - edge - slot / 2)));
    }

    private static Contour placed(Contour of, double turn, double x, double y) {
        return of.transformed(
                Transform.rotation(turn).then(Transform.translation(new Point(x, y))));
    }

    /** The middle of its foot lies at the place given. */
    private static void saddle(Sketch sketch, Args args) {
        double w = args.positive("width", "The width") / 2;
        double h = args.positive("height", "The height");
        double pipe = args.positive("pipe", "The pipe diameter") / 2;
        double depth = args.positive("depth", "The depth of the pipe");
        double hole = args.notNegative("hole", "The hole diameter");
        double edge = args.positive("edge", "The distance from the edge");
        Args.require(
                depth <= pipe,
                "depth",
                "The pipe lies %s mm deep; half of it, %s mm, is the limit.",
                depth,
                pipe);
        Args.require(
                depth < h, "depth", "The pipe lies %s mm deep in a height of %s mm.", depth, h);
        double half = Math.sqrt(pipe * pipe - (pipe - depth) * (pipe - depth));
        Args.require(
                half < w, "pipe", "The pipe opens %s mm of a width of %s mm.", 2 * half, 2 * w);
        Args.require(
                hole == 0 || edge > hole / 2 && edge + hole / 2 < w && edge + hole / 2 < h - depth,
                "hole",
                "Holes of %s mm do not fit %s mm from the edge.",
                hole,
                edge);
        Point right = new Point(half, h);
        Point left = new Point(-half, h);
        double sweep = 2 * Math.acos((pipe - depth) / pipe);
        List<Segment> segments =
                List.of(
                        new Line(new Point(-w, 0), new Point(w, 0)),
                        new Line(new Point(w, 0), new Point(w, h)),
                        new Line(new Point(w, h), right),
                        Segment.of(right, left, -Math.tan(sweep / 4)),
                        new Line(left, new Point(-w, h)),
                        new Line(new Point(-w, h), new Point(-w, 0)));
        List<Contour> contours = new ArrayList<>(List.of(new Contour(segments)));
        if (hole > 0) {
            contours.add(ShapeCommands.hole(edge - w, edge, hole));
            contours.add(ShapeCommands.hole(w - edge, edge, hole));
        }
        ShapeCommands.drawAll(sketch, args, contours);
    }

    /**
     * A leaf whose knuckles alternate with gaps; the middle of its foot lies at the place given.
     */
    private static void hingePlate(Sketch sketch, Args args) {
        double w = args.positive("width", "The width");
        double h = args.positive("height", "The height");
        int knuckles = args.count("knuckles", "The number of knuckles", 1);
        double finger = args.positive("finger", "The length of the knuckles");
        double gap = args.notNegative("gap", "The play");
        double hole = args.notNegative("hole", "The hole diameter");
        double edge = args.positive("edge", "The distance from the edge");
        double pitch = w / (2 * knuckles - 1);
        Args.require(
                gap < pitch,
                "gap",
                "A play of %s mm leaves nothing of knuckles %s mm wide.",
                gap,
                pitch);
        Args.require(
                hole == 0 || edge > hole / 2 && edge + hole / 2 < w / 2 && edge + hole / 2 < h,
                "hole",
                "Holes of %s mm do not fit %s mm from the edge.",
                hole,
                edge);
        List<Point> corners = new ArrayList<>();
        corners.add(new Point(-w / 2, 0));
        corners.add(new Point(w / 2, 0));
        for (int i = knuckles - 1; i >= 0; i--) {
            double right = -w / 2 + (2 * i + 1) * pitch - (i == knuckles - 1 ? 0 : gap / 2);
            double left = -w / 2 + 2 * i * pitch + (i == 0 ? 0 : gap / 2);
            if (i < knuckles - 1) {
                corners.add(new Point(right, h));
            }
            corners.add(new Point(right, h + finger));
            corners.add(new Point(left, h + finger));
            if (i > 0) {
                corners.add(new Point(left, h));
            }
        }
        List<Contour> contours = new ArrayList<>(List.of(Figures.polygon(corners, 0)));
        if (hole > 0) {
            contours.add(ShapeCommands.hole(edge - w / 2, edge, hole));
            contours.add(ShapeCommands.hole(w / 2 - edge, edge, hole));
        }
        ShapeCommands.drawAll(sketch, args, contours);
    }

    /** Heads lie below, necks above. */
    private static void keyholePlate(Sketch sketch, Args args) {
        double w = args.positive("width", "The width");
        double h = args.positive("height", "The height");
        double radius = args.notNegative("radius", "The corner radius");
        double head = args.positive("head", "The head diameter");
        double neck = args.positive("neck", "The neck width");
        double drop = args.positive("drop", "The drop");
        double pitch = args.positive("pitch", "The distance between the keyholes");
        Args.require(
                radius <= Math.min(w, h) / 2,
                "radius",
                "The corner radius is %s mm; half of the shorter side, %s mm, is the limit.",
                radius,
                Math.min(w, h) / 2);
        Args.require(
                neck < head, "neck", "A neck of %s mm is as wide as a head of %s mm.", neck, head);
        Args.require(
                drop > head / 2,
                "drop",
                "A drop of %s mm stays within a head of %s mm.",
                drop,
                head);
        Args.require(
                drop / 2 + head / 2 < h / 2 && pitch / 2 + head / 2 < w / 2,
                "pitch",
                "Keyholes do not fit on %s by %s mm.",
                w,
                h);
        Args.require(pitch > head, "pitch", "Keyholes %s mm apart cut into each other.", pitch);
        Contour keyhole = keyhole(head / 2, neck / 2, drop);
        ShapeCommands.drawAll(
                sketch,
                args,
                List.of(
                        Figures.rectangle(w, h, radius),
                        placed(keyhole, 0, -pitch / 2, -drop / 2),
                        placed(keyhole, 0, pitch / 2, -drop / 2)));
    }

    /** The middle of the head lies at the origin, that of the neck's end above it. */
    private static Contour keyhole(double head, double neck, double drop) {
        double high = Math.sqrt(head * head - neck * neck);
        double half = Math.asin(neck / head);
        Point right = new Point(neck, high);
        Point left = new Point(-neck, high);
        Point rightEnd = new Point(neck, drop);
        Point leftEnd = new Point(-neck, drop);
        Arc round = new Arc(left, right, Math.tan((2 * Math.PI - 2 * half) / 4));
        return new Contour(
                List.of(
                        round,
                        new Line(right, rightEnd),
                        new Arc(rightEnd, leftEnd, 1),
                        new Line(leftEnd, left)));
    }

    private static void endCap(Sketch sketch, Args args) {
        double w = args.positive("width", "The width");
        double h = args.positive("height", "The height");
        double corner = args.notNegative("corner", "The corner radius");
        double seam = args.notNegative("seam", "What is left for the seam");
        double hole = args.notNegative("hole", "The vent");
        double least = Math.min(w, h);
        Args.require(
                2 * seam < least,
                "seam",
                "A seam of %s mm all round leaves nothing of %s mm.",
                seam,
                least);
        Args.require(
                corner <= least / 2,
                "corner",
                "The corner radius is %s mm; half of the shorter side, %s mm, is the limit.",
                corner,
                least / 2);
        Args.require(
                hole < least - 2 * seam,
                "hole",
                "A vent of %s mm leaves nothing of %s mm.",
                hole,
                least - 2 * seam);
        List<Contour> contours = new ArrayList<>();
        contours.add(Figures.rectangle(w - 2 * seam, h - 2 * seam, Math.max(0, corner - seam)));
        if (hole > 0) {
            contours.add(ShapeCommands.hole(0, 0, hole));
        }
        ShapeCommands.drawAll(sketch, args, contours);
    }
}
