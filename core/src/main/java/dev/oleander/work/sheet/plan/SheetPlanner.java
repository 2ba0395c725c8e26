package dev.oleander.work.sheet.plan;

import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.work.Spacing;
import dev.oleander.work.Task;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import java.util.Optional;

/**
 * Plans a sheet from a reading: places copies, makes the path of every feature, orders the stops,
 * finds room for their leads.
 */
public final class SheetPlanner {

    private final Machine machine;
    private final CutBook book;

    public SheetPlanner(Machine machine, CutBook book) {
        this.machine = machine;
        this.book = book;
    }

    /**
     * What the job asks for.
     *
     * @param thickness of the material, mm
     * @param firstCopy number of the first of the copies
     */
    public record Order(String material, double thickness, int quantity, int firstCopy) {

        /** With copies that are numbered from 1. */
        public Order(String material, double thickness, int quantity) {
            this(material, thickness, quantity, 1);
        }
    }

    /**
     * The whole run. Stops that cannot be cut carry their refusal.
     *
     * @throws dev.oleander.plan.PlanException when the stock or the rows are not usable
     */
    public Run plan(Reading reading, Order order, PlanChoices choices, SheetChoices sheet) {
        return plan(reading, order, choices, sheet, Progress.NONE).run();
    }

    /** The same with all that can be asked of it, telling how far it is. */
    public SheetPlan plan(
            Reading reading,
            Order order,
            PlanChoices choices,
            SheetChoices sheet,
            Progress progress) {
        return new SheetWork(task(reading, order, choices, sheet)).plan(progress);
    }

    private SheetTask task(Reading reading, Order order, PlanChoices choices, SheetChoices sheet) {
        return new SheetTask(machine, book, reading, order, choices, sheet, Optional.empty());
    }

    /** How far parts that are cut next to each other must lie apart. */
    public static Spacing spacing(Task<PlanChoices> of) {
        return SheetSpacing.of(of);
    }

    /**
     * The same for a task, from an earlier plan if there is one.
     *
     * @throws dev.oleander.plan.bed.PlanException when the stock or the rows are not usable
     */
    public static SheetPlan plan(
            Task<PlanChoices> of, Optional<SheetPlan> earlier, Progress progress) {
        SheetTask task = SheetTask.of(of);
        return earlier.flatMap(before -> before.edited(task))
                .orElseGet(() -> new SheetWork(task).plan(progress));
    }

    /**
     * The same, from an earlier plan: where only leads and tabs of single stops differ, only those
     * are planned anew.
     */
    public SheetPlan plan(
            Reading reading,
            Order order,
            PlanChoices choices,
            SheetChoices sheet,
            SheetPlan earlier,
            Progress progress) {
        SheetTask task = task(reading, order, choices, sheet);
        return earlier.edited(task).orElseGet(() -> new SheetWork(task).plan(progress));
    }
}
