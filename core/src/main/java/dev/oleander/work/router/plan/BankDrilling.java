package dev.oleander.work.router.plan;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.work.router.book.Bank;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.plan.Strokes.Stroke;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Holes that lie as the drills of a bank stand are drilled by one stroke. Only where they lie on
 * the machine is known which do, so it is done after copies were placed.
 */
public final class BankDrilling {

    private final RouterTask task;
    private final Optional<Bank> bank;
    private final RouterBook book;

    /**
     * @param bank null: the machine has none
     */
    public BankDrilling(RouterTask task, Bank bank, RouterBook book) {
        this.task = task;
        this.bank = Optional.ofNullable(bank);
        this.book = book;
    }

    /** A stop where it lies on the machine: with strokes, if they are fewer than its holes. */
    public RouterStop of(RouterStop stop) {
        boolean drills =
                stop.isDone()
                        && bank.isPresent()
                        && stop.turns().isEmpty()
                        && stop.wrap().isEmpty()
                        && task.operation(stop.operation())
                                .map(o -> o.what() instanceof Drill drill && drill.bank())
                                .orElse(false);
        if (!drills) {
            return stop;
        }
        Map<Integer, Point> places = places(stop.tool().orElseThrow());
        List<Point> visits = stop.figures().visits();
        if (places.size() < 2 || visits.size() < 2) {
            return stop;
        }
        List<Stroke> strokes = Strokes.of(visits, places);
        return strokes.size() < visits.size() ? by(stop, ordered(strokes, visits)) : stop;
    }

    /** Of the drills that are this tool, as the machine holds it. */
    private Map<Integer, Point> places(Tool tool) {
        Map<Integer, Point> places = new TreeMap<>();
        boolean held = book.tools().stream().anyMatch(tool::equals);
        if (held) {
            for (int slot : bank.get().holding(tool.number(), book.stations())) {
                places.put(slot, bank.get().slots().get(slot).place());
            }
        }
        return places;
    }

    /** The shortest way from the first hole of each to that of the next. */
    private static List<Stroke> ordered(List<Stroke> strokes, List<Point> visits) {
        Map<Point, Stroke> byPlace = new TreeMap<>(RouterStop.BY_PLACE);
        strokes.forEach(s -> byPlace.put(first(s, visits), s));
        return DrillPlanner.shortest(List.copyOf(byPlace.keySet())).stream()
                .map(byPlace::get)
                .toList();
    }

    private static Point first(Stroke stroke, List<Point> visits) {
        return visits.get(stroke.holes().firstEntry().getValue());
    }

    private static RouterStop by(RouterStop stop, List<Stroke> strokes) {
        List<Point> visits = stop.figures().visits();
        List<Leg> hole = ofOneHole(stop, visits.get(0));
        double high = hole.get(hole.size() - 1).toZ();
        List<Leg> legs = new ArrayList<>();
        List<Point> order = new ArrayList<>();
        List<Long> choices = new ArrayList<>();
        Point at = null;
        for (Stroke stroke : strokes) {
            Point first = first(stroke, visits);
            if (at != null) {
                legs.add(Leg.travel(at, first, high));
            }
            at = first;
            hole.forEach(leg -> legs.add(moved(leg, first, leg.pace())));
            choices.add(stroke.choice());
            for (int i : stroke.holes().values()) {
                order.add(visits.get(i));
                if (order.get(order.size() - 1) != first) {
                    Point beside = visits.get(i);
                    hole.stream()
                            .filter(Leg::cuts)
                            .forEach(leg -> legs.add(moved(leg, beside, Leg.Pace.BESIDE)));
                }
            }
        }
        return stop.inStrokes(legs, order, choices);
    }

    /** From the height of travels down, and up again. */
    private static List<Leg> ofOneHole(RouterStop stop, Point hole) {
        return stop.legs().stream()
                .filter(leg -> leg.segment().isEmpty() && leg.from().distance(hole) < 1e-9)
                .toList();
    }

    private static Leg moved(Leg leg, Point to, Leg.Pace pace) {
        Leg there = leg.transformed(Transform.translation(to.minus(leg.from())));
        return new Leg(there.segment(), there.from(), there.to(), there.fromZ(), there.toZ(), pace);
    }
}
