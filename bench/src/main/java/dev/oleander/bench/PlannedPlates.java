package dev.oleander.bench;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.dxf.DxfReader;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.motion.RunMotion;
import dev.oleander.work.sheet.plan.SheetPlan;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.nio.charset.StandardCharsets;

/**
 * A planned sheet of different plates, and how long it took.
 *
 * @param seconds for leads, order and motion
 */
record PlannedPlates(
        int plates,
        Reading reading,
        SheetChoices sheet,
        SheetPlan plan,
        RunMotion motion,
        double seconds) {

    private static final MachineLibrary MACHINES = MachineLibrary.shipped();

    static PlannedPlates of(int plates) {
        byte[] file = PlateSheet.of(plates, 7).getBytes(StandardCharsets.UTF_8);
        Reading reading =
                new DrawingReading(ReadOptions.defaults())
                        .read(new DxfReader(ImportOptions.defaults()).read("plates", file));
        SheetChoices usual = SheetChoices.defaults();
        SheetChoices sheet =
                usual.withStock(
                        new SheetChoices.Stock(
                                true, usual.width(), usual.height(), usual.allowance()));
        long began = System.nanoTime();
        SheetPlan plan = plan(reading, PlanChoices.defaults(), sheet, null);
        RunMotion motion = RunMotion.of(plan.run());
        double seconds = (System.nanoTime() - began) / 1e9;
        return new PlannedPlates(plates, reading, sheet, plan, motion, seconds);
    }

    /** How many of which, for the table of figures. */
    String what() {
        return "%d parts with %d contours: ".formatted(plates, contours() / plates);
    }

    int contours() {
        return plan.run().stops().size();
    }

    /** The plan after other choices. */
    SheetPlan next(PlanChoices choices, SheetPlan earlier) {
        return plan(reading, choices, sheet, earlier);
    }

    private static SheetPlan plan(
            Reading reading, PlanChoices choices, SheetChoices sheet, SheetPlan earlier) {
        Machine machine = MACHINES.find("teasel").orElseThrow();
        SheetPlanner planner = new SheetPlanner(machine, (CutBook) MACHINES.book(machine));
        SheetPlanner.Order order = new SheetPlanner.Order("mild steel", 6, 1);
        return earlier == null
                ? planner.plan(reading, order, choices, sheet, Progress.NONE)
                : planner.plan(reading, order, choices, sheet, earlier, Progress.NONE);
    }
}
