package dev.oleander.drawing.draw;

import static dev.oleander.drawing.draw.Parameter.length;
import static dev.oleander.drawing.draw.Parameter.x;
import static dev.oleander.drawing.draw.Parameter.y;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.draw.Command.Group;
import dev.oleander.drawing.draw.Command.Targets;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.ChainCutter;
import dev.oleander.geometry.edit.EditException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Changes of what is drawn: trim, extend, split, corners, join, reverse, parallel lines, delete.
 */
final class ChangeCommands {

    /** mm; lines nearer than this meet. */
    private static final double MEETS = 1e-6;

    private ChangeCommands() {}

    static List<Command> all() {
        List<Parameter> at = List.of(x("x", "At x"), y("y", "At y"));
        return List.of(
                command(
                        "offset",
                        "Offset",
                        Targets.SOME,
                        List.of(length("distance", "Distance, minus for inward or right", "")),
                        ParallelLines::offset),
                command("trim", "Trim", Targets.ONE, at, ChangeCommands::trim),
                command("extend", "Extend", Targets.ONE, at, ChangeCommands::extend),
                command("split", "Split", Targets.ONE, at, ChangeCommands::split),
                command(
                        "divide",
                        "Split where lines cross",
                        Targets.SOME,
                        List.of(),
                        ChangeCommands::divide),
                command(
                        "apart",
                        "Make parts of lines, apart",
                        Targets.SOME,
                        List.of(length("gap", "Gap between them", "")),
                        ChangeCommands::apart),
                command(
                        "fillet",
                        "Round a corner",
                        Targets.ONE_OR_TWO,
                        List.of(x("x", "Near x"), y("y", "Near y"), length("radius", "Radius", "")),
                        CornerCommands::fillet),
                command(
                        "chamfer",
                        "Bevel a corner",
                        Targets.ONE_OR_TWO,
                        List.of(
                                x("x", "Near x"),
                                y("y", "Near y"),
                                length("length", "Cut off", ""),
                                length("other", "On the other side", "length")),
                        CornerCommands::chamfer),
                command("meet", "Bring to a corner", Targets.ONE_OR_TWO, at, CornerCommands::meet),
                command("join", "Join", Targets.SOME, List.of(), ChangeCommands::join),
                command("reverse", "Reverse", Targets.SOME, List.of(), ChangeCommands::reverse),
                command("delete", "Delete", Targets.SOME, List.of(), ChangeCommands::delete));
    }

    private static Command command(
            String word,
            String label,
            Targets targets,
            List<Parameter> parameters,
            Command.Deed deed) {
        return new Command(word, label, Group.CHANGES, targets, parameters, deed);
    }

    private static List<Chain> knives(Sketch sketch, Entity entity) {
        Box box = entity.chain().box().grown(MEETS);
        return sketch.others(List.of(entity)).stream()
                .map(Entity::chain)
                .filter(c -> c.box().touches(box))
                .toList();
    }

    /** Takes away the stretch at the place, up to the nearest crossings on either side. */
    private static void trim(Sketch sketch, Args args) {
        Entity entity = sketch.targets(args.step()).get(0);
        Chain chain = entity.chain();
        Chain.Station at = chain.nearest(args.point("x", "y"));
        List<Chain> knives = knives(sketch, entity);
        List<Chain.Station> cuts = new ChainCutter(MEETS).crossings(chain, knives);
        if (cuts.isEmpty()) {
            throw new DrawException(
                    "Nothing crosses %s, so there is nothing to trim it at. Delete it, or split it.",
                    entity.key());
        }
        List<Path> rest =
                chain instanceof Contour contour
                        ? trimmed(contour, at, cuts)
                        : trimmed((Path) chain, at, cuts);
        if (rest.isEmpty()) {
            sketch.remove(entity);
            return;
        }
        sketch.reshape(entity, rest.get(0));
        rest.subList(1, rest.size()).forEach(p -> sketch.copy(args.step(), entity, p));
    }

    private static List<Path> trimmed(Path path, Chain.Station at, List<Chain.Station> cuts) {
        double place = path.distanceAt(at);
        double before = 0;
        double after = path.length();
        for (Chain.Station cut : cuts) {
            double here = path.distanceAt(cut);
            if (here <= place) {
                before = Math.max(before, here);
            } else {
                after = Math.min(after, here);
            }
        }
        List<Path> rest = new ArrayList<>();
        if (before > MEETS) {
            rest.add(ChainCutter.split(path, path.stationAt(before)).get(0));
        }
        if (after < path.length() - MEETS) {
            List<Path> parts = ChainCutter.split(path, path.stationAt(after));
            rest.add(parts.get(parts.size() - 1));
        }
        return rest;
    }

    private static List<Path> trimmed(Contour contour, Chain.Station at, List<Chain.Station> cuts) {
        double length = contour.length();
        double place = contour.distanceAt(at);
        if (cuts.size() < 2) {
            throw new DrawException("Something must cross the outline twice to trim it.");
        }
        // from the first crossing after the place, the long way round, to the last one before it
        Chain.Station next =
                cuts.stream()
                        .min(
                                Comparator.comparingDouble(
                                        c -> ahead(contour.distanceAt(c) - place, length)))
                        .orElseThrow();
        Chain.Station last =
                cuts.stream()
                        .max(
                                Comparator.comparingDouble(
                                        c -> ahead(contour.distanceAt(c) - place, length)))
                        .orElseThrow();
        return List.of(ChainCutter.split(contour, next, last).get(0));
    }

    private static double ahead(double distance, double length) {
        double turned = distance % length;
        return turned <= 0 ? turned + length : turned;
    }

    /** Continues the end nearest to the place until it meets something. */
    private static void extend(Sketch sketch, Args args) {
        Entity entity = sketch.targets(args.step()).get(0);
        if (!(entity.chain() instanceof Path path)) {
            throw new DrawException("%s is closed; it has no end to extend.", entity.key());
        }
        Point at = args.point("x", "y");
        boolean atStart = path.start().distance(at) < path.end().distance(at);
        Path onward = atStart ? path.reversed() : path;
        Path best = null;
        for (Entity other : sketch.others(List.of(entity))) {
            Path longer = reached(onward, other.chain());
            if (longer != null && (best == null || longer.length() < best.length())) {
                best = longer;
            }
        }
        if (best == null) {
            throw new DrawException(
                    "Going on from (%.2f, %.2f), %s meets nothing.",
                    onward.end().x(), onward.end().y(), entity.key());
        }
        sketch.reshape(entity, atStart ? best.reversed() : best);
    }

    private static Path reached(Path path, Chain target) {
        try {
            return new ChainCutter(MEETS).extendedTo(path, target);
        } catch (EditException never) {
            return null;
        }
    }

    private static void split(Sketch sketch, Args args) {
        Entity entity = sketch.targets(args.step()).get(0);
        Chain.Station at = entity.chain().nearest(args.point("x", "y"));
        if (entity.chain() instanceof Contour contour) {
            sketch.reshape(entity, ChainCutter.opened(contour, at));
            return;
        }
        List<Path> parts = ChainCutter.split((Path) entity.chain(), at);
        if (parts.size() < 2) {
            throw new DrawException(
                    "The place is an end of %s; it cannot be split there.", entity.key());
        }
        sketch.reshape(entity, parts.get(0));
        sketch.copy(args.step(), entity, parts.get(1));
    }

    /** Splits each of the lines wherever another of them crosses or touches it. */
    private static void divide(Sketch sketch, Args args) {
        List<Entity> targets = sketch.targets(args.step());
        List<List<Path>> parts = dividedByEachOther(targets);
        if (parts.stream().allMatch(List::isEmpty)) {
            throw new DrawException("None of these lines crosses another of them.");
        }
        for (int i = 0; i < targets.size(); i++) {
            Entity entity = targets.get(i);
            List<Path> own = parts.get(i);
            if (!own.isEmpty()) {
                sketch.reshape(entity, own.get(0));
                own.subList(1, own.size()).forEach(p -> sketch.copy(args.step(), entity, p));
            }
        }
    }

    private static List<List<Path>> dividedByEachOther(List<Entity> entities) {
        return entities.stream()
                .map(
                        entity -> {
                            List<Chain> knives =
                                    entities.stream()
                                            .filter(e -> e != entity)
                                            .map(Entity::chain)
                                            .toList();
                            return divided(entity.chain(), knives);
                        })
                .toList();
    }

    private static void apart(Sketch sketch, Args args) {
        double gap = args.positive("gap", "The gap");
        List<Entity> targets = sketch.targets(args.step());
        List<List<Path>> parts = dividedByEachOther(targets);
        List<Entity> pieces = new ArrayList<>();
        for (int i = 0; i < targets.size(); i++) {
            Entity entity = targets.get(i);
            List<Path> own = parts.get(i);
            pieces.addAll(
                    own.isEmpty() ? List.of(entity) : own.stream().map(entity::shaped).toList());
        }
        new PartsApart(sketch, args.step(), gap).replace(pieces);
    }

    /** The stretches between all crossings; none when nothing crosses. */
    private static List<Path> divided(Chain chain, List<Chain> knives) {
        List<Chain.Station> cuts = new ChainCutter(MEETS).crossings(chain, knives);
        if (cuts.isEmpty()) {
            return List.of();
        }
        Path rest =
                chain instanceof Contour contour
                        ? ChainCutter.opened(contour, cuts.get(0))
                        : (Path) chain;
        List<Path> parts = new ArrayList<>();
        List<Point> places =
                cuts.stream()
                        .map(Chain.Station::point)
                        .sorted(Comparator.comparingDouble(along(rest)))
                        .toList();
        for (Point place : places) {
            List<Path> halves = ChainCutter.split(rest, rest.nearest(place));
            if (halves.size() == 2 && halves.get(0).length() > MEETS) {
                parts.add(halves.get(0));
                rest = halves.get(1);
            }
        }
        parts.add(rest);
        return parts;
    }

    private static ToDoubleFunction<Point> along(Path path) {
        return p -> path.distanceAt(path.nearest(p));
    }

    /** Entities whose ends meet become one; it is called as the first of them. */
    private static void join(Sketch sketch, Args args) {
        List<Entity> targets = sketch.targets(args.step());
        List<Entity> left = new ArrayList<>(targets.subList(1, targets.size()));
        List<Segment> chain = new ArrayList<>(targets.get(0).segments());
        boolean grown = true;
        while (!left.isEmpty() && grown) {
            grown = false;
            for (Entity entity : List.copyOf(left)) {
                if (Joining.append(chain, entity)) {
                    left.remove(entity);
                    sketch.remove(entity);
                    grown = true;
                }
            }
        }
        if (!left.isEmpty()) {
            throw new DrawException(
                    "%s does not meet the others end to end. Extend it, or bring it to a corner.",
                    left.get(0).key());
        }
        sketch.reshape(targets.get(0), Joining.chain(chain));
    }

    private static void reverse(Sketch sketch, Args args) {
        sketch.targets(args.step()).forEach(e -> sketch.reshape(e, e.chain().reversed()));
    }

    private static void delete(Sketch sketch, Args args) {
        sketch.targets(args.step()).forEach(sketch::remove);
    }
}
