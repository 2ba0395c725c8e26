package dev.oleander.work.wire.plan;

import dev.oleander.geometry.Point;
import dev.oleander.plan.order.Heat;
import dev.oleander.plan.order.OrderOptimiser;
import dev.oleander.plan.order.OrderOptions;
import dev.oleander.plan.order.OrderProblem;
import dev.oleander.plan.order.OrderProblem.Visit;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.cut.WireVisit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Puts visits in order: phase by phase, within a phase the shortest way. */
final class WireSequencer {

    private static final int KICKS = 2_000;

    private final WireTask task;
    private final WireChoices choices;

    /** By copy, what a rotary axis turns the work by, degrees. */
    private final Map<Integer, Double> turns;

    WireSequencer(WireTask task, WireChoices choices, List<WireCopy> copies) {
        this.turns = copies.stream().collect(Collectors.toMap(WireCopy::number, WireCopy::turn));
        this.task = task;
        this.choices = choices;
    }

    /** Visits that follow each other without travel in between, as one. */
    private record Block(List<Stop> stops, int phase, Point begin, Point end, Set<String> after) {

        int copy() {
            return stops.get(0).copy();
        }
    }

    List<Stop> order(List<SubjectPlan> plans, Progress progress) {
        List<Stop> ordered = new ArrayList<>();
        List<Stop> refused = new ArrayList<>();
        List<Block> blocks = new ArrayList<>();
        for (SubjectPlan plan : plans) {
            if (plan.visits().isEmpty()) {
                refused.addAll(plan.stops());
            } else {
                blocks.addAll(blocks(plan, plans));
            }
        }
        Point at = Point.ORIGIN;
        double turned = 0;
        List<Integer> phases = blocks.stream().map(Block::phase).distinct().sorted().toList();
        for (int phase : phases) {
            List<Block> there = blocks.stream().filter(b -> b.phase() == phase).toList();
            for (Block block : shortest(there, at, turned, progress)) {
                ordered.addAll(block.stops());
                at = block.end();
                turned = turns.getOrDefault(block.copy(), 0.0);
            }
        }
        ordered.addAll(refused);
        List<Stop> wished = choices.run().isByHand() ? byHand(ordered) : ordered;
        List<Stop> numbered = new ArrayList<>();
        for (Stop stop : WireOrderCheck.rules(plans).arranged(wished, choices.run().pins())) {
            numbered.add(stop.numbered(numbered.size() + 1));
        }
        return numbered;
    }

    private List<Block> blocks(SubjectPlan plan, List<SubjectPlan> plans) {
        List<Block> blocks = new ArrayList<>();
        WireOrder order = choices.rule();
        if (order == WireOrder.ONE_AT_A_TIME) {
            List<WireVisit> visits = plan.visits();
            Point end = visits.get(visits.size() - 1).end();
            blocks.add(new Block(plan.stops(), 0, visits.get(0).begin(), end, freed(plan, true)));
            return blocks;
        }
        for (int i = 0; i < plan.visits().size(); i++) {
            WireVisit visit = plan.visits().get(i);
            int phase = order == WireOrder.PASS_BY_PASS ? byRole(plan, i) : visit.waits() ? 1 : 0;
            blocks.add(
                    new Block(
                            List.of(plan.stops().get(i)),
                            phase,
                            visit.begin(),
                            visit.end(),
                            freed(plan, visit.frees())));
        }
        return blocks;
    }

    /** Rough cuts, skims of what is still held, cut-offs, skims of what is free. */
    private static int byRole(SubjectPlan plan, int index) {
        WireVisit visit = plan.visits().get(index);
        boolean last = index + 1 == plan.visits().size();
        return switch (visit.role()) {
            case ROUGH, MAIN -> 0;
            case WHOLE -> visit.waits() ? 2 : 0;
            case CUT_OFF, END -> 2;
            case SKIMS -> last ? 3 : 1;
        };
    }

    /** What must come before the piece is free: everything that lies in it. */
    private static Set<String> freed(SubjectPlan plan, boolean frees) {
        return frees ? new HashSet<>(plan.inside()) : Set.of();
    }

    private List<Block> shortest(List<Block> blocks, Point from, double turned, Progress progress) {
        int n = blocks.size();
        Map<String, List<Integer>> ofSubject = new HashMap<>();
        for (int i = 0; i < n; i++) {
            Stop stop = blocks.get(i).stops().get(0);
            ofSubject.computeIfAbsent(stop.subject(), k -> new ArrayList<>()).add(i);
        }
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Block block = blocks.get(i);
            Set<Integer> after = new HashSet<>();
            for (String inner : block.after()) {
                after.addAll(ofSubject.getOrDefault(inner, List.of()));
            }
            Stop stop = block.stops().get(0);
            for (int other : ofSubject.get(stop.subject())) {
                if (other < i) {
                    after.add(other);
                }
            }
            after.remove(i);
            visits.add(
                    new Visit(
                            block.begin(),
                            block.end(),
                            0,
                            0,
                            after.stream().sorted().toList(),
                            turns.getOrDefault(block.copy(), 0.0)));
        }
        double speed = task.machine().motion().rapid() / 60;
        TravelTime travel = new TravelTime(speed, task.machine().motion().acceleration(), 0, 0);
        OrderProblem problem =
                new OrderProblem(from, visits, travel, Heat.NONE, task.turning(turned));
        int[] first = nearest(problem);
        OrderOptions options = OrderOptions.forVisits(n).withKicks(Math.min(KICKS, 4 * n));
        int[] best = new OrderOptimiser(options).improve(problem, first, progress.within(0.7, 0.9));
        return Arrays.stream(best).mapToObj(blocks::get).toList();
    }

    /** The nearest next that may come. */
    private static int[] nearest(OrderProblem problem) {
        int n = problem.visits().size();
        int[] order = new int[n];
        boolean[] done = new boolean[n];
        int at = -1;
        for (int k = 0; k < n; k++) {
            int best = -1;
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < n; i++) {
                Visit visit = problem.visits().get(i);
                double seconds = problem.way(at, i);
                if (!done[i] && seconds < least && visit.after().stream().allMatch(a -> done[a])) {
                    best = i;
                    least = seconds;
                }
            }
            order[k] = best;
            done[best] = true;
            at = best;
        }
        return order;
    }

    /** As a person moved them; what is new comes after what was there. */
    private List<Stop> byHand(List<Stop> usual) {
        Map<String, Integer> wished = new HashMap<>();
        choices.run().sequence().forEach(id -> wished.putIfAbsent(id, wished.size()));
        List<Stop> sorted = new ArrayList<>(usual);
        sorted.sort(Comparator.comparingInt(s -> wished.getOrDefault(s.id(), Integer.MAX_VALUE)));
        return sorted;
    }
}
