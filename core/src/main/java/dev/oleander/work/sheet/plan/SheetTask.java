package dev.oleander.work.sheet.plan;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.machine.HeldEdge;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Decisions;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.order.Loosening;
import dev.oleander.work.sheet.order.OrderCosts;

/** All that a plan of a sheet follows from. */
record SheetTask(
        Machine machine,
        CutBook book,
        Reading reading,
        SheetPlanner.Order order,
        PlanChoices choices,
        SheetChoices sheet) {

    /** Whether nothing differs but what was set for single stops. */
    boolean differsInStopsOnly(SheetTask other) {
        return reading == other.reading
                && book == other.book
                && machine.equals(other.machine)
                && order.equals(other.order)
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
