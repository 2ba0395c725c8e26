package dev.oleander.bench;

import dev.oleander.geometry.Point;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.OrderOptimiser;
import dev.oleander.plan.order.OrderOptions;
import dev.oleander.plan.order.OrderProblem;
import dev.oleander.plan.order.OrderProblem.Visit;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.motion.RunMotion;
import dev.oleander.work.sheet.plan.SheetPlan;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/** Order of many starts, and whole sheets from reading to motion. */
final class CuttingArea implements Area {

    private static final int STARTS = 5000;
    private static final int INSIDE = 9;
    private static final double WIDTH = 3000;
    private static final double HEIGHT = 1500;

    /** Seconds an order of so many starts may take, and a longer run to compare it with. */
    private static final double ORDER = 5;

    private static final double LONG = 60;

    /** How much longer than that of the longer run the way may be. */
    private static final double NEAR = 1.02;

    /** Constant of the shortest way through random places: length over sqrt(n A). */
    private static final double RANDOM = 0.72;

    /** How much longer than that the way may be. */
    private static final double AT_RANDOM = 1.03;

    /** Share of the machine time that planning saves. */
    private static final double SAVED = 0.15;

    private static final int PLATES = 2000;

    /** Planned first, by code that is not compiled yet. */
    private static final int FEW_PLATES = 200;

    /** Seconds from the reading of that many plates to their motion. */
    private static final double SHEET = 10;

    /** Seconds until plan and motion follow the edit of one lead. */
    private static final double EDIT = 0.1;

    private static final int EDITS = 31;

    private static final MachineLibrary MACHINES = MachineLibrary.shipped();

    @Override
    public String name() {
        return "cutting";
    }

    @Override
    public List<Row> measure() {
        List<Row> rows = new ArrayList<>();
        double free = order("no precedence", places(0), rows);
        rows.add(
                Row.below(
                        "its way over 0.72 sqrt(n A)",
                        free / (RANDOM * Math.sqrt(STARTS * WIDTH * HEIGHT)),
                        "x",
                        AT_RANDOM,
                        1.0));
        order("holes before outlines", places(INSIDE), rows);
        sheet(rows);
        rows.addAll(DenseParts.measure());
        demo(new NaivePlans().times(), rows);
        return rows;
    }

    private static void demo(Map<String, NaivePlans.Times> sheets, List<Row> rows) {
        sheets.forEach(
                (sheet, t) ->
                        rows.add(Row.against(sheet, t.planned(), t.naive(), "s", null, null)));
        NaivePlans.Times times =
                sheets.values().stream().reduce(NaivePlans.Times.NONE, NaivePlans.Times::plus);
        rows.add(
                Row.against(
                        "all demo jobs: machine time against plans without thought",
                        times.planned(),
                        times.naive(),
                        "s",
                        1 / (1 - SAVED),
                        null));
        rows.add(
                Row.against(
                        "the same with common lines",
                        times.joined(),
                        times.naive(),
                        "s",
                        null,
                        null));
        rows.add(
                Row.against(
                        "the same, when the heads of those stay down where they may",
                        times.planned(),
                        times.naiveLow(),
                        "s",
                        null,
                        null));
        rows.add(
                Row.against(
                        "travel, lifts and pierces that leads and order can save",
                        times.naiveTravel() - (times.naive() - times.planned()),
                        times.naiveTravel(),
                        "s",
                        null,
                        null));
    }

    /** Random starts; with some inside, plates of that many holes and an outline after them. */
    private static OrderProblem places(int inside) {
        SplittableRandom random = new SplittableRandom(5);
        List<Visit> visits = new ArrayList<>();
        while (visits.size() < STARTS) {
            Point corner = new Point(WIDTH * random.nextDouble(), HEIGHT * random.nextDouble());
            List<Integer> holes = new ArrayList<>();
            for (int i = 0; i < inside; i++) {
                holes.add(visits.size());
                Point hole =
                        corner.plus(new Point(60 * random.nextDouble(), 40 * random.nextDouble()));
                visits.add(new Visit(hole, hole, 0, 0, List.of()));
            }
            visits.add(new Visit(corner, corner, 0, 0, holes));
        }
        return new OrderProblem(Point.ORIGIN, visits, TravelTime.byLength(), Heat.NONE);
    }

    private static double order(String what, OrderProblem problem, List<Row> rows) {
        OrderOptions options = OrderOptions.forVisits(STARTS);
        improve(problem, options);
        long began = System.nanoTime();
        double way = improve(problem, options);
        double seconds = (System.nanoTime() - began) / 1e9;
        String name = "%d starts put in order, %s".formatted(STARTS, what);
        rows.add(Row.below(name, seconds, "s", ORDER, null));
        OrderOptions longer = options.withKicks((int) (options.kicks() * LONG / seconds));
        double best = improve(problem, longer.patient());
        rows.add(Row.below("its way over that of a run of 60 s", way / best, "x", NEAR, null));
        return way;
    }

    private static double improve(OrderProblem problem, OrderOptions options) {
        int[] first = nearestNext(problem);
        return problem.cost(new OrderOptimiser(options).improve(problem, first, Progress.NONE));
    }

    /** Always the nearest of those that may come next, as the planner begins. */
    private static int[] nearestNext(OrderProblem problem) {
        List<Visit> visits = problem.visits();
        int[] order = new int[visits.size()];
        boolean[] done = new boolean[order.length];
        Point at = problem.from();
        for (int i = 0; i < order.length; i++) {
            int best = -1;
            double least = Double.POSITIVE_INFINITY;
            for (int v = 0; v < order.length; v++) {
                double way = done[v] ? least : visits.get(v).begin().distance(at);
                if (way < least && visits.get(v).after().stream().allMatch(e -> done[e])) {
                    least = way;
                    best = v;
                }
            }
            order[i] = best;
            done[best] = true;
            at = visits.get(best).end();
        }
        return order;
    }

    private static void sheet(List<Row> rows) {
        PlannedPlates few = PlannedPlates.of(FEW_PLATES);
        rows.add(
                Row.below(
                        few.what() + "the first plan of a process",
                        few.seconds(),
                        "s",
                        null,
                        null));
        PlannedPlates many = PlannedPlates.of(PLATES);
        rows.add(Row.below(many.what() + "leads, order, motion", many.seconds(), "s", SHEET, null));
        rows.add(Row.below(many.what() + "one lead edited", edit(many), "s", EDIT, null));
    }

    /** The median of some edits, each of another stop's lead. */
    private static double edit(PlannedPlates planned) {
        SplittableRandom random = new SplittableRandom(3);
        PlanChoices choices = PlanChoices.defaults();
        SheetPlan plan = planned.plan();
        RunMotion motion = planned.motion();
        double[] seconds = new double[EDITS];
        for (int i = 0; i < EDITS; i++) {
            Stop stop = plan.run().stops().get(random.nextInt(plan.run().stops().size()));
            Typed start = Typed.of(20 * random.nextDouble());
            choices = choices.withStop(stop.feature(), StopChoice.NOTHING.withStart(start));
            long began = System.nanoTime();
            plan = planned.next(choices, plan);
            motion = motion.next(plan.run());
            seconds[i] = (System.nanoTime() - began) / 1e9;
        }
        Arrays.sort(seconds);
        return seconds[EDITS / 2];
    }
}
