package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.choice;
import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.ChainCutter;
import dev.oleander.geometry.fit.ArcFitter;
import dev.oleander.geometry.fit.FitOptions;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.List;

/** A stretch of a chain laid anew, all else of it as it was: what a trace or a scan did badly. */
final class StretchCommands {

    /** mm; a shorter stretch is none. */
    private static final double SHORTEST = 1e-3;

    /** Places along a stretch that is smoothed, at most. */
    private static final int MOST_PLACES = 20_000;

    private StretchCommands() {}

    /** What a stretch becomes. */
    private enum Becomes implements Worded {
        SMOOTH,
        LINE,
        ARC
    }

    /** The stretch, and what comes before and after it; a chain that is closed has no before. */
    private record Divided(List<Segment> before, Path stretch, List<Segment> after) {}

    static List<Command> all() {
        return List.of(
                new Command(
                        "stretch",
                        "Lay a stretch anew",
                        Group.CHANGES,
                        Targets.ONE,
                        List.of(
                                x("x1", "From x"),
                                y("y1", "From y"),
                                x("x2", "To x"),
                                y("y2", "To y"),
                                x("x", "Over x"),
                                y("y", "Over y"),
                                choice("becomes", "Becomes", Becomes.class),
                                length("within", "Smoothed within", "0.1")),
                        StretchCommands::stretch));
    }

    private static void stretch(Sketch sketch, Args args) {
        Entity entity = sketch.targets(args.step()).get(0);
        Chain chain = entity.chain();
        Point over = args.point("x", "y");
        Chain.Station first = chain.nearest(args.point("x1", "y1"));
        Chain.Station second = chain.nearest(args.point("x2", "y2"));
        if (first.point().distance(second.point()) < SHORTEST) {
            throw new DrawException("Both ends of the stretch are at one place of the line.");
        }
        Divided divided =
                chain instanceof Contour contour
                        ? divided(contour, first, second, over)
                        : divided((Path) chain, first, second);
        List<Segment> all = new ArrayList<>(divided.before());
        all.addAll(laid(divided, over, args));
        all.addAll(divided.after());
        sketch.reshape(entity, chain instanceof Contour ? new Contour(all) : new Path(all));
    }

    /** Of both ways round the one that goes over the place. */
    private static Divided divided(
            Contour contour, Chain.Station first, Chain.Station second, Point over) {
        List<Path> ways = ChainCutter.split(contour, first, second);
        boolean ahead = away(ways.get(0), over) <= away(ways.get(1), over);
        return new Divided(List.of(), ways.get(ahead ? 0 : 1), ways.get(ahead ? 1 : 0).segments());
    }

    private static double away(Path path, Point from) {
        return path.nearest(from).point().distance(from);
    }

    private static Divided divided(Path path, Chain.Station first, Chain.Station second) {
        boolean turned = path.distanceAt(first) > path.distanceAt(second);
        Point begins = (turned ? second : first).point();
        Point ends = (turned ? first : second).point();
        List<Segment> before = List.of();
        Path rest = path;
        if (begins.distance(path.start()) > SHORTEST) {
            List<Path> parts = ChainCutter.split(path, turned ? second : first);
            before = parts.get(0).segments();
            rest = parts.get(parts.size() - 1);
        }
        if (ends.distance(path.end()) <= SHORTEST) {
            return new Divided(before, rest, List.of());
        }
        List<Path> parts = ChainCutter.split(rest, rest.nearest(ends));
        return new Divided(before, parts.get(0), parts.get(parts.size() - 1).segments());
    }

    private static List<Segment> laid(Divided divided, Point over, Args args) {
        Path stretch = divided.stretch();
        return switch (args.choice("becomes", Becomes.class)) {
            case LINE -> List.of(new Line(stretch.start(), stretch.end()));
            case ARC ->
                    List.of(
                            Segment.of(
                                    stretch.start(),
                                    stretch.end(),
                                    LineCommands.bulge(stretch.start(), over, stretch.end())));
            case SMOOTH -> smooth(divided, args.positive("within", "The distance"));
        };
    }

    /** The fewest lines and arcs within a distance, tangent to what they go on from. */
    private static List<Segment> smooth(Divided divided, double within) {
        Path stretch = divided.stretch();
        double apart = Math.max(within, stretch.length() / MOST_PLACES);
        List<Point> places = new ArrayList<>(List.of(stretch.start()));
        for (Segment s : stretch.segments()) {
            int n = s instanceof Line ? 1 : (int) Math.ceil(s.length() / apart);
            for (int i = 1; i <= n; i++) {
                places.add(i == n ? s.end() : s.at((double) i / n));
            }
        }
        List<Segment> before = divided.before().isEmpty() ? divided.after() : divided.before();
        return new ArcFitter(FitOptions.within(within))
                .fit(places, leaves(before, stretch), comes(divided.after(), stretch))
                .segments();
    }

    /** Direction of what ends where the stretch begins; free where nothing does. */
    private static double leaves(List<Segment> before, Path stretch) {
        if (before.isEmpty()) {
            return Double.NaN;
        }
        Segment last = before.get(before.size() - 1);
        boolean meets = last.end().distance(stretch.start()) < SHORTEST;
        return meets ? last.direction(1).angle() : Double.NaN;
    }

    private static double comes(List<Segment> after, Path stretch) {
        boolean meets = !after.isEmpty() && after.get(0).start().distance(stretch.end()) < SHORTEST;
        return meets ? after.get(0).direction(0).angle() : Double.NaN;
    }
}
