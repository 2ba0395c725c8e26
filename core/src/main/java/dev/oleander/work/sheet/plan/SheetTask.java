package dev.oleander.work.sheet.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.machine.HeldEdge;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Decisions;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.Task;
import dev.oleander.work.Together;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.order.Loosening;
import dev.oleander.work.sheet.order.OrderCosts;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/** All that a plan of a sheet follows from. */
record SheetTask(
        Machine machine,
        CutBook book,
        Reading reading,
        SheetPlanner.Order order,
        PlanChoices choices,
        SheetChoices sheet,
        Optional<Together<PlanChoices>> together) {

    static SheetTask of(Task<PlanChoices> task) {
        Task.Order order = task.order();
        return new SheetTask(
                task.machine(),
                (CutBook) task.book(),
                task.reading(),
                new SheetPlanner.Order(
                        order.material(), order.thickness(), order.quantity(), order.firstCopy()),
                task.choices(),
                task.bed(),
                task.together());
    }

    /** What was decided in the job that a feature is of. */
    PlanChoices choices(Feature feature) {
        return whole().choices(feature.id());
    }

    /**
     * Where everything lies.
     *
     * @throws dev.oleander.plan.bed.PlanException when the stock or the rows are not usable
     */
    SheetLayout layout(double gap, Optional<Double> kerf) {
        return whole().layout(gap, kerf);
    }

    /** What it was made of. */
    Task<PlanChoices> whole() {
        Task.Order all =
                new Task.Order(
                        order.material(),
                        order.thickness(),
                        order.quantity(),
                        order.firstCopy(),
                        0);
        return new Task<>(machine, book, reading, all, sheet, choices, together);
    }

    /** Whether nothing differs but what was set for single stops. */
    boolean differsInStopsOnly(SheetTask other) {
        return reading == other.reading
                && book == other.book
                && machine.equals(other.machine)
                && order.equals(other.order)
                && together.equals(other.together)
                && sheet.equals(other.sheet)
                && withStopsOf(other).equals(other.choices);
    }

    private PlanChoices withStopsOf(SheetTask other) {
        return choices.with(
                new Decisions<>(
                        choices.run().withEventsOf(other.choices.run()),
                        other.choices.stops(),
                        choices.recipes(),
                        choices.given()));
    }

    /** What happens at stops, by id: what was said of the sheet, and in the jobs of its parts. */
    Map<String, List<StopEvent>> eventsOf(List<Stop> stops) {
        Map<String, List<StopEvent>> all = new TreeMap<>(choices.run().eventsOf(stops));
        together.ifPresent(
                t ->
                        t.choices()
                                .forEach(
                                        (source, c) ->
                                                c.run()
                                                        .eventsOf(stops)
                                                        .forEach(
                                                                (stop, own) ->
                                                                        all.merge(
                                                                                stop,
                                                                                own,
                                                                                SheetTask
                                                                                        ::joined))));
        return all;
    }

    private static List<StopEvent> joined(List<StopEvent> some, List<StopEvent> more) {
        return Stream.concat(some.stream(), more.stream()).toList();
    }

    TravelTime travelTime() {
        Machine.Motion motion = machine.motion();
        return new TravelTime(
                motion.rapid() / 60,
                motion.acceleration(),
                motion.liftSeconds() + motion.lowerSeconds(),
                machine.habits().lowTravel());
    }

    OrderCosts costs(Box stock) {
        return new OrderCosts(travelTime(), heat(), loosening(stock));
    }

    private Loosening loosening(Box stock) {
        Machine.HoldRule rule = machine.habits().hold();
        HeldEdge held = sheet.heldAt() == null ? rule.edge() : sheet.heldAt();
        return order.thickness() <= rule.upToThickness()
                ? new Loosening(held, stock, rule.cost())
                : Loosening.NONE;
    }

    private Heat heat() {
        Machine.HeatRule rule = machine.habits().heat();
        return order.thickness() >= rule.fromThickness()
                ? new Heat(rule.distance(), rule.seconds(), rule.cost())
                : Heat.NONE;
    }
}
