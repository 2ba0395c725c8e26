package dev.oleander.bench;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Machine;
import dev.oleander.machine.Machine.Habits;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.motion.RunMotion;
import dev.oleander.work.sheet.order.Precedence;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Machine time of the demo jobs, all sheets they need, against plans made without thought: every
 * cut begins at the first point of its contour, always the nearest of those that may come next, the
 * head lifts every time.
 */
final class NaivePlans {

    /** What the demo data ask for: drawing, machine, material, thickness, quantity. */
    private static final List<Sheet> SHEETS =
            List.of(
                    new Sheet("name_board_lettering.svg", "yarrow", "aluminium", 4, 1),
                    new Sheet("fairlead_base_gaps.dxf", "teasel", "mild steel", 8, 2),
                    new Sheet("ramp_tread_plates.dxf", "teasel", "mild steel", 5, 1),
                    new Sheet("flag_socket_islands.dxf", "teasel", "stainless", 3, 4),
                    new Sheet("winch_drum_cheek.dxf", "sorrel", "mild steel", 10, 2),
                    new Sheet("porthole_trim_ring.dxf", "teasel", "stainless", 2, 12),
                    new Sheet("nav_light_bracket_blank.dxf", "teasel", "stainless", 2, 40),
                    new Sheet("bulkhead_penetration_plate.dxf", "teasel", "stainless", 2, 4),
                    new Sheet("vent_louvre_panel.svg", "teasel", "aluminium", 2, 4),
                    new Sheet("deck_hatch_panel.dxf", "teasel", "aluminium", 4, 1),
                    new Sheet("chain_stopper_pawl.dxf", "teasel", "mild steel", 10, 6),
                    new Sheet("cleat_backing_plate.dxf", "teasel", "mild steel", 6, 12),
                    new Sheet("sheave_cheek_plate.dxf", "teasel", "mild steel", 6, 8));

    private static final MachineLibrary MACHINES = MachineLibrary.shipped();

    private record Sheet(
            String file, String machine, String material, double thickness, int quantity) {

        String name() {
            String drawing = file.substring(0, file.indexOf('.')).replace('_', ' ');
            return "%d x %s, %s %.0f mm".formatted(quantity, drawing, material, thickness);
        }
    }

    /**
     * Machine time, s.
     *
     * @param planned as Oleander plans them by itself
     * @param joined the same with common lines where that is quicker
     * @param naive without thought
     * @param naiveLow without thought, but with the head down where it may stay down
     * @param naiveTravel how much of the naive time is travel, lifts and pierces: all that leads
     *     and order could save
     */
    record Times(double planned, double joined, double naive, double naiveLow, double naiveTravel) {

        static final Times NONE = new Times(0, 0, 0, 0, 0);

        Times plus(Times other) {
            return new Times(
                    planned + other.planned,
                    joined + other.joined,
                    naive + other.naive,
                    naiveLow + other.naiveLow,
                    naiveTravel + other.naiveTravel);
        }

        Times times(int sheets) {
            return new Times(
                    sheets * planned,
                    sheets * joined,
                    sheets * naive,
                    sheets * naiveLow,
                    sheets * naiveTravel);
        }
    }

    /** Of each sheet, by its drawing, material and quantity. */
    Map<String, Times> times() {
        Map<String, Times> times = new LinkedHashMap<>();
        for (Sheet sheet : SHEETS) {
            times.put(sheet.name(), times(sheet));
        }
        return times;
    }

    private static Times times(Sheet sheet) {
        Reading reading = reading(sheet.file());
        Machine machine = MACHINES.find(sheet.machine()).orElseThrow();
        PlanChoices rule = PlanChoices.defaults().withOrder(OrderRule.SHORTEST);
        PlanChoices fixed = fixedStarts(reading);
        List<String> nearest =
                nearestNext(reading, plan(sheet, reading, machine, fixed, SheetChoices.defaults()));
        PlanChoices naive = fixed.withRun(fixed.run().inSequence(nearest));
        SheetChoices apart = SheetChoices.defaults();
        Run whole = plan(sheet, reading, machine, rule, apart);
        double planned = seconds(whole);
        double joined = seconds(plan(sheet, reading, machine, rule, apart.withCommonLines(true)));
        Timeline without =
                RunMotion.of(plan(sheet, reading, lifting(machine), naive, apart)).timeline();
        Times one =
                new Times(
                        planned,
                        Math.min(planned, joined),
                        without.total(),
                        seconds(plan(sheet, reading, machine, naive, apart)),
                        without.seconds().travel() + without.seconds().piercing());
        return one.times(sheets(sheet, whole));
    }

    /** Sheets of stock that the quantity needs. */
    private static int sheets(Sheet sheet, Run run) {
        int each = run.layout().placements().size();
        return (sheet.quantity() + each - 1) / each;
    }

    private static Reading reading(String file) {
        try {
            byte[] bytes = Files.readAllBytes(Path.of("samples", file));
            return new DrawingReading(ReadOptions.defaults())
                    .read(new DrawingFiles(ImportOptions.defaults()).read(file, bytes));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static PlanChoices fixedStarts(Reading reading) {
        PlanChoices choices = PlanChoices.defaults();
        for (Feature feature : reading.features()) {
            choices = choices.withStop(feature.id(), StopChoice.NOTHING.withStart(Typed.of(0)));
        }
        return choices;
    }

    /** Always the nearest of the stops that nothing uncut lies within. */
    private static List<String> nearestNext(Reading reading, Run run) {
        Precedence precedence = new Precedence(reading.byId());
        List<Stop> waiting = new ArrayList<>(run.stops());
        List<String> order = new ArrayList<>();
        Point at = Point.ORIGIN;
        while (!waiting.isEmpty()) {
            Stop next = null;
            double least = Double.POSITIVE_INFINITY;
            for (Stop stop : waiting) {
                boolean free = waiting.stream().noneMatch(w -> precedence.isWithin(w, stop));
                Point here = at;
                double way = stop.path().map(p -> p.pierce().distance(here)).orElse(1e9);
                if (free && way < least) {
                    least = way;
                    next = stop;
                }
            }
            waiting.remove(next);
            order.add(next.id());
            at = next.path().map(CutPath::end).orElse(at);
        }
        return order;
    }

    private static Machine lifting(Machine m) {
        Habits h = m.habits();
        return m.with(
                new Habits(
                        h.slatPitch(),
                        0,
                        h.compensation(),
                        h.scrapOn(),
                        h.heat(),
                        h.hold(),
                        h.tabs()));
    }

    private static Run plan(
            Sheet sheet,
            Reading reading,
            Machine machine,
            PlanChoices choices,
            SheetChoices layout) {
        return new SheetPlanner(
                        machine, (CutBook) MACHINES.book(MACHINES.find(machine.id()).orElseThrow()))
                .plan(
                        reading,
                        new SheetPlanner.Order(
                                sheet.material(), sheet.thickness(), sheet.quantity()),
                        choices,
                        layout);
    }

    private static double seconds(Run run) {
        return RunMotion.of(run).timeline().total();
    }
}
