package dev.oleander.work.router.run;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.material.Volume;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterStop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * What each stop takes away within the stock, mm3: what an earlier stop of the same operation has
 * taken counts there, and so does what lies above the floor it begins at.
 */
public final class Volumes {

    /** Heights at which round stock is looked at. */
    private static final int SLICES = 600;

    private final RouterPlan plan;

    /** What each operation does on each copy. */
    private final Map<String, List<Cutting>> operations = new HashMap<>();

    /** By stop, how much of that is done before it. */
    private final Map<String, Integer> before = new HashMap<>();

    private Volumes(RouterPlan plan) {
        this.plan = plan;
        for (RouterStop stop : plan.done()) {
            List<Cutting> same = operations.computeIfAbsent(together(stop), o -> new ArrayList<>());
            before.put(stop.id(), same.size());
            same.add(stop.cutting());
        }
    }

    private static String together(RouterStop stop) {
        return stop.copy() + stop.operation();
    }

    /** By id, of stops that can be done. */
    public static Map<String, Double> of(RouterPlan plan) {
        Volumes volumes = new Volumes(plan);
        return plan.done().parallelStream()
                .collect(Collectors.toConcurrentMap(RouterStop::id, volumes::of));
    }

    private double of(RouterStop stop) {
        if (stop.figures().volume() > 0) {
            return stop.figures().volume();
        }
        boolean flat = stop.tool().orElseThrow().kind().isFlat();
        double from = RouterPlanner.beginsAt(plan.task(), stop);
        if (!stop.turns().isEmpty()) {
            return stop.turns().size() * (flat ? ofRound(stop) : summed(stop, this::round));
        }
        return flat ? ofFlat(stop, from) : summed(stop, beneath(stop, from));
    }

    private double ofFlat(RouterStop stop, double from) {
        Removed removed = new Removed(List.of(stop.cutting()));
        DoubleBinaryOperator layer = layer(stop);
        double all = removed.volume(plan.stock(), plan.task().thickness(), layer);
        return from > 0
                ? all - layer.applyAsDouble(0, from) * Removed.area(removed.at(-from), plan.stock())
                : all;
    }

    /** Round the axis there is less the deeper it lies: r - d of r. */
    private static DoubleBinaryOperator layer(RouterStop stop) {
        return stop.wrap()
                .<DoubleBinaryOperator>map(
                        round ->
                                (from, to) ->
                                        to - from - (to * to - from * from) / (2 * round.radius()))
                .orElse((from, to) -> to - from);
    }

    private double summed(RouterStop stop, ToDoubleFunction<Point> surface) {
        return Volume.of(
                stop.cutting(), plan.stock(), surface, plan.task().thickness(), layer(stop));
    }

    /** The floor it begins at, or deeper where the same operation has been. */
    private ToDoubleFunction<Point> beneath(RouterStop stop, double from) {
        List<Cutting> earlier = operations.get(together(stop)).subList(0, before.get(stop.id()));
        if (earlier.isEmpty()) {
            return p -> from;
        }
        Depths there = new Depths(earlier);
        return p -> Math.max(from, there.at(p).depth());
    }

    // ---- round stock

    private Optional<Double> radius() {
        return plan.choices().wholeBlock().map(b -> b.diameter()).map(d -> d / 2);
    }

    /** How far below its top round stock begins at a place. */
    private double round(Point place) {
        double r = radius().orElse(0.0);
        double off = place.y() - plan.run().layout().stock().centre().y();
        return r - Math.sqrt(Math.max(0, r * r - off * off));
    }

    /**
     * By heights z = -u^2, closer together near the top: there the stock is as wide as sqrt(r^2 -
     * (r + z)^2) to both sides of its axis.
     */
    private double ofRound(RouterStop stop) {
        Removed removed = new Removed(List.of(stop.cutting()));
        double deepest = removed.heights().stream().mapToDouble(z -> -z).max().orElse(0);
        double most = Math.sqrt(deepest);
        double sum = 0;
        for (int i = 0; i < SLICES; i++) {
            double u = (i + 0.5) * most / SLICES;
            sum += 2 * u * Removed.area(removed.at(-u * u), across(u * u)) * most / SLICES;
        }
        return sum;
    }

    private Region across(double below) {
        Box stock = plan.run().layout().stock();
        double r = radius().orElse(stock.height() / 2);
        double half = Math.sqrt(Math.max(0, r * r - (r - below) * (r - below)));
        double middle = stock.centre().y();
        return new Region(
                Contour.rectangle(
                        new Box(
                                new Point(stock.min().x(), middle - half),
                                new Point(stock.max().x(), middle + half))),
                List.of());
    }
}
