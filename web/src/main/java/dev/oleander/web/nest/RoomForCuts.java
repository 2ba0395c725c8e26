package dev.oleander.web.nest;

import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.search.Nester;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.load.TooBusyException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/**
 * Gives room to parts that cannot be cut where they lie: where the gap is smaller than a lead needs
 * and no other place of the contour has room for one, these parts keep more from the others, and
 * all are pushed apart again.
 */
@Component
public class RoomForCuts {

    /** So often before it is left to a finding. */
    private static final int TRIES = 3;

    /** By how much more than is usual for the cut with each try, as a share of that. */
    private static final double MORE = 0.5;

    /** Rounds in which parts are pushed apart: seconds. */
    private static final int ROUNDS = 8;

    private final JobComputer computer;
    private final Planning planning;

    RoomForCuts(JobComputer computer, Planning planning) {
        this.computer = computer;
        this.planning = planning;
    }

    /**
     * A nest with room for all cuts, as far as that can be had without leaving parts out.
     *
     * @param document the job whose nest it is
     * @param task what was searched for
     * @param goesOn asked before each try and while parts are pushed apart
     */
    Nest made(JobDocument document, NestTask task, Nest found, long seed, BooleanSupplier goesOn) {
        if (!goesOn.getAsBoolean()) {
            return found;
        }
        double usual = usualGap(document);
        Nest best = found;
        List<String> cramped = cramped(document, best.sheets());
        Set<String> grown = new LinkedHashSet<>();
        for (int k = 0; k < TRIES && !cramped.isEmpty() && goesOn.getAsBoolean(); k++) {
            grown.addAll(cramped);
            NestTask wider = wider(task, grown, usual * (1 + MORE * k));
            Nest tried = apart(wider, best.sheets(), seed, goesOn);
            if (missing(task, tried) > missing(task, found)) {
                return best;
            }
            List<String> left = cramped(document, tried.sheets());
            if (left.size() < cramped.size()) {
                best =
                        new Nest(
                                tried.sheets(),
                                tried.score(),
                                found.rounds(),
                                found.explored(),
                                found.tests());
                cramped = left;
            }
        }
        return best;
    }

    private double usualGap(JobDocument document) {
        JobResult result = computer.result(document);
        return NestEdits.nesting(result).spacing(result.kind()).gap();
    }

    /** The line of each cut that has no place to begin where its part lies. */
    private List<String> cramped(JobDocument document, List<NestedSheet> sheets) {
        JobResult result = computer.result(Nests.laid(document, sheets));
        try {
            planning.aside(result);
        } catch (PlanException | TooBusyException unknown) {
            // told where the job is planned
            return List.of();
        }
        List<NestPlacement> copies = copies(sheets);
        return result.allStops()
                .filter(RoomForCuts::hasNoRoom)
                .map(Stop::copy)
                .map(copy -> copies.get(copy - 1).line())
                .toList();
    }

    private static boolean hasNoRoom(Stop stop) {
        return stop.refusal()
                .map(Refusal::kind)
                .filter(Refusal.Kind.LEAD_BITES::equals)
                .isPresent();
    }

    /** Parts by their number in the job: equal sheets count once. */
    private static List<NestPlacement> copies(List<NestedSheet> sheets) {
        List<NestPlacement> all = new ArrayList<>();
        new LinkedHashSet<>(sheets).forEach(sheet -> all.addAll(sheet.placements()));
        return all;
    }

    /** Some lines keep so far from others that keep the common gap; a pair keeps half of each. */
    private static NestTask wider(NestTask task, Set<String> lines, double room) {
        double gap = 2 * room - task.rules().gap();
        List<OrderLine> all =
                task.lines().stream()
                        .map(l -> lines.contains(l.id()) ? l.withGap(Math.max(l.gap(), gap)) : l)
                        .toList();
        return new NestTask(all, task.stock(), task.rules(), task.locked());
    }

    private static Nest apart(
            NestTask wider, List<NestedSheet> now, long seed, BooleanSupplier goesOn) {
        Predicate<NestPlacement> locked = NestPlacement::locked;
        return Nester.nest(
                wider.from(Sheets.without(now, locked)),
                NestBudget.ofRounds(ROUNDS, ROUNDS, seed).withThreads(1),
                (best, seconds) -> goesOn.getAsBoolean());
    }

    private static int missing(NestTask task, Nest nest) {
        return NestFigures.of(task, nest.sheets()).missing();
    }
}
