package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.NestMissing;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestScore;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** A task with its bodies and rooms; never changes, and serves all worlds. */
final class Model {

    /** Priorities from 1. */
    static final int PRIORITIES = 9;

    /** Parts of all lines that fill which are tried: every pair is kept in memory. */
    private static final int MOST_FILL = 1_500;

    final NestTask task;

    /** Parts that must be laid, one entry for each copy, in the order of construction. */
    final List<Kind> items;

    /** Parts that fill what is left. */
    final List<Kind> fill;

    /** Parts of one shape and gap have one body. */
    private record Form(Region shape, double gap) {}

    private final Map<Form, Body> bodies = new HashMap<>();
    private final Map<String, Kind> kinds = new LinkedHashMap<>();
    private final Map<String, Room> rooms = new HashMap<>();
    private final double inset;
    private final Smallest smallest;

    /** mm2 of what is larger than every sheet, by priority. */
    private final double[] tooLarge = new double[PRIORITIES];

    Model(NestTask task) {
        this.task = task;
        double half = task.rules().gap() / 2;
        this.inset = task.rules().margin() - half + Body.SLACK;
        Set<Double> grains =
                task.stock().stream()
                        .map(SheetStock::grainOrNone)
                        .collect(Collectors.toCollection(TreeSet::new));
        this.smallest = Smallest.of(task);
        for (OrderLine line : task.lines()) {
            Form form = new Form(line.shape(), task.gap(line));
            Body body = bodies.computeIfAbsent(form, this::body);
            kinds.put(line.id(), new Kind(line, body, form.gap / 2, grains));
        }
        Map<String, Integer> locked = new HashMap<>();
        task.locked().stream()
                .flatMap(s -> s.placements().stream())
                .forEach(p -> locked.merge(p.line(), 1, Integer::sum));
        long fillLines = task.lines().stream().filter(OrderLine::fill).count();
        List<Kind> must = new ArrayList<>();
        List<Kind> may = new ArrayList<>();
        for (Kind kind : kinds.values()) {
            int left = kind.line.quantity() - locked.getOrDefault(kind.line.id(), 0);
            left = kind.line.fill() ? Math.min(left, MOST_FILL / (int) fillLines) : left;
            if (!fits(kind)) {
                // Nothing is left out for what can never lie anywhere.
                tooLarge[kind.line.priority() - 1] +=
                        kind.line.fill() ? 0 : left * kind.line.shape().area();
                continue;
            }
            for (int i = 0; i < left; i++) {
                (kind.line.fill() ? may : must).add(kind);
            }
        }
        must.sort(
                Comparator.comparingInt((Kind k) -> k.line.priority())
                        .thenComparing(k -> -k.body.hullArea * k.body.diameter));
        may.sort(Comparator.comparing(k -> -k.body.area));
        this.items = List.copyOf(must);
        this.fill = List.copyOf(may);
    }

    /** Whether one of its ways has room on one of the sheets. */
    boolean fits(Kind kind) {
        return task.stock().stream()
                .filter(stock -> stock.count().orElse(1) > 0)
                .anyMatch(stock -> kind.fits(room(stock)));
    }

    /**
     * Why parts of a line found no place.
     *
     * @param used by id, sheets that something lies on
     */
    NestMissing.Why why(OrderLine line, Map<String, Long> used) {
        Kind kind = kind(line.id());
        if (fits(kind)) {
            boolean another =
                    task.stock().stream()
                            .filter(sheet -> isLeft(sheet, used))
                            .anyMatch(sheet -> kind.fits(room(sheet)));
            // what fills opens no sheet
            return another && !line.fill() ? NestMissing.Why.NOT_LAID : NestMissing.Why.NO_ROOM;
        }
        boolean turned = task.stock().stream().map(this::room).anyMatch(kind::fitsTurned);
        return turned ? NestMissing.Why.TURNS : NestMissing.Why.TOO_LARGE;
    }

    private static boolean isLeft(SheetStock sheet, Map<String, Long> used) {
        return sheet.count().map(n -> n > used.getOrDefault(sheet.id(), 0L)).orElse(true);
    }

    private Body body(Form form) {
        return Body.ofPart(form.shape, form.gap / 2, smallest::fitsIn);
    }

    Kind kind(String line) {
        return kinds.get(line);
    }

    /** An empty sheet of a kind; worlds share it. */
    synchronized Room room(SheetStock stock) {
        return rooms.computeIfAbsent(stock.id(), id -> Room.of(stock, inset, List.of()));
    }

    /** A sheet with locked parts. */
    Room room(SheetStock stock, List<NestPlacement> locked) {
        List<Room.Placed> bodies =
                locked.stream()
                        .map(
                                p ->
                                        new Room.Placed(
                                                new Turned(
                                                        kind(p.line()).body,
                                                        p.angle(),
                                                        p.mirrored()),
                                                p.at()))
                        .toList();
        return Room.of(stock, inset, bodies);
    }

    /** mm2 of all that must be laid, each with its share of the gap. */
    double needed() {
        return items.stream().mapToDouble(k -> k.body.area).sum();
    }

    /** Sheets with what lies on them, locked and filling parts too; empty ones are left out. */
    List<NestedSheet> sheets(Scene.Places places, SheetSet set) {
        List<NestedSheet> sheets = new ArrayList<>();
        for (int r = 0; r < set.rooms().size(); r++) {
            List<NestPlacement> on = new ArrayList<>(set.locked(r));
            for (int i = 0; i < places.room().length; i++) {
                if (places.room()[i] == r) {
                    on.add(placement(places, i));
                }
            }
            if (!on.isEmpty()) {
                sheets.add(new NestedSheet(set.rooms().get(r).stock.id(), on));
            }
        }
        return sheets;
    }

    private NestPlacement placement(Scene.Places places, int i) {
        Turned way = places.way()[i];
        return new NestPlacement(
                (i < items.size() ? items.get(i) : fill.get(i - items.size())).line.id(),
                new Point(places.x()[i], places.y()[i]),
                way.degrees,
                way.mirrored,
                false);
    }

    /** What it is worth when nothing is laid that may be. */
    NestScore empty() {
        double[] missing = tooLarge.clone();
        items.forEach(kind -> missing[kind.line.priority() - 1] += kind.line.shape().area());
        return new NestScore(missing, 0, 0);
    }

    /** What a scene without overlaps is worth. */
    NestScore score(Scene scene, SheetSet set) {
        double[] missing = tooLarge.clone();
        for (int i = 0; i < scene.size(); i++) {
            OrderLine line = scene.items[i].line;
            if (scene.room[i] == Scene.NONE && !line.fill()) {
                missing[line.priority() - 1] += line.shape().area();
            }
        }
        double cost = 0;
        double front = 0;
        for (int r = 0; r < scene.rooms.length; r++) {
            double[] reach = reach(scene, set, r);
            if (reach[0] > Double.NEGATIVE_INFINITY) {
                cost += Worth.costOf(scene.rooms[r].stock, reach[0], reach[1], task.rules());
                front = set.front() == r ? set.alongX() ? reach[0] : reach[1] : front;
            }
        }
        return new NestScore(missing, cost, front);
    }

    /** Highest x and y of the parts on a sheet, without the gap round them. */
    double[] reach(Scene scene, SheetSet set, int r) {
        double[] reach = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == r) {
                double half = scene.items[i].half - Body.SLACK;
                reach[0] = Math.max(reach[0], scene.way[i].maxX + scene.x[i] - half);
                reach[1] = Math.max(reach[1], scene.way[i].maxY + scene.y[i] - half);
            }
        }
        for (NestPlacement p : set.locked(r)) {
            Box box = kind(p.line()).line.shape().transformed(p.transform()).box();
            reach[0] = Math.max(reach[0], box.max().x());
            reach[1] = Math.max(reach[1], box.max().y());
        }
        return reach;
    }
}
