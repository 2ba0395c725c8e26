package dev.oleander.nesting.search;

import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestMissing;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.Sheets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.Stream;

/** Finds nests: the front of this package. */
public final class Nester {

    private final Model model;
    private final NestBudget budget;
    private final NestProgress progress;

    private Nester(NestTask task, NestBudget budget, NestProgress progress) {
        this.model = new Model(task);
        this.budget = budget;
        this.progress = progress;
    }

    /**
     * Looks for a nest until the budget is spent or the listener says stop.
     *
     * @return the best that was found; it keeps to all rules, but parts may be missing
     * @throws dev.oleander.nesting.NestException when the task cannot be nested at all
     */
    public static Nest nest(NestTask task, NestBudget budget, NestProgress progress) {
        return task.rules().heads().isPresent()
                ? new ByHeads(task, budget, progress).nest()
                : ofOneHead(task, budget, progress);
    }

    /** The same for tasks in which one head cuts everything. */
    static Nest ofOneHead(NestTask task, NestBudget budget, NestProgress progress) {
        return Clusters.of(task)
                .map(clusters -> withCommonLines(clusters, task, budget, progress))
                .orElseGet(() -> new Nester(task, budget, progress).run());
    }

    private static Nest withCommonLines(
            Clusters clusters, NestTask task, NestBudget budget, NestProgress progress) {
        NestProgress ofParts = (best, seconds) -> progress.at(clusters.parts(best), seconds);
        Nest nest = clusters.parts(new Nester(clusters.task(), budget, ofParts).run());
        return nest.score().isComplete() ? nest : withSingles(task, nest, budget);
    }

    /** Parts for whose clusters there was no room may have room alone. */
    private static Nest withSingles(NestTask task, Nest nest, NestBudget budget) {
        List<NestedSheet> fixed = Sheets.locked(nest.sheets(), true);
        NestTask rest =
                new NestTask(
                        task.lines(),
                        task.stock(),
                        task.rules().withCommonLines(Optional.empty()),
                        fixed);
        NestBudget once = NestBudget.ofRounds(1, 1, budget.seed());
        Nest found = new Nester(rest, once, NestProgress.NONE).run();
        return new Nest(
                Sheets.lockedAs(found.sheets(), task.locked()),
                found.score(),
                nest.rounds(),
                nest.explored(),
                nest.tests() + found.tests());
    }

    /** What a nest of a task leaves out, and why. */
    public static List<NestMissing> missing(NestTask task, List<NestedSheet> sheets) {
        Map<String, Integer> left = NestFigures.of(task, sheets).left();
        List<OrderLine> lines =
                task.lines().stream().filter(line -> left.containsKey(line.id())).toList();
        if (lines.isEmpty()) {
            return List.of();
        }
        Model model = new Model(new NestTask(lines, task.stock(), task.rules(), List.of()));
        Map<String, Long> used = Sheets.used(sheets);
        return lines.stream()
                .map(l -> new NestMissing(l.id(), left.get(l.id()), model.why(l, used)))
                .toList();
    }

    private Nest run() {
        if (model.items.isEmpty() && model.task.locked().isEmpty()) {
            // nothing that must be laid can be, and what fills opens no sheet
            return nest(null, 0, 0, 0);
        }
        Meeting meeting = new Meeting(model, budget, this::told);
        meeting.run();
        Found best = closest(meeting);
        Nest nest = nest(best, meeting.rounds(), meeting.explored(), meeting.tests());
        if (best == null || model.fill.isEmpty()) {
            return nest;
        }
        Scene.Places filled = new Filler(model, best, budget.seed()).filled();
        return new Nest(
                model.sheets(filled, best.set()),
                best.score(),
                nest.rounds(),
                nest.explored(),
                nest.tests());
    }

    /** The best of what the worlds have found, when all of it is pushed together. */
    private Found closest(Meeting meeting) {
        Found best = meeting.best();
        List<Found> laid =
                meeting.found().stream().filter(f -> !f.set().rooms().isEmpty()).toList();
        Stream<Found> each = budget.threads() > 1 ? laid.parallelStream() : laid.stream();
        for (Found closer : each.map(this::pushed).toList()) {
            if (closer.score().isBetterThan(best.score())) {
                best = closer;
            }
        }
        return best;
    }

    private Found pushed(Found found) {
        SheetSet set = found.set();
        Scene scene =
                new Scene(
                        model.items.toArray(Kind[]::new),
                        set.rooms().toArray(Room[]::new),
                        new PairTest());
        scene.restore(found.places());
        boolean free = new Compaction(scene, set, new SplittableRandom(budget.seed())).run();
        return free ? new Found(model.score(scene, set), set, scene.places()) : found;
    }

    private boolean told(Found best, int rounds, int explored, long tests, double seconds) {
        return progress.at(nest(best, rounds, explored, tests), seconds);
    }

    /** Without sheets when nothing was found. */
    private Nest nest(Found best, int rounds, int explored, long tests) {
        if (best == null) {
            return new Nest(List.of(), model.empty(), rounds, explored, tests);
        }
        return new Nest(
                model.sheets(best.places(), best.set()), best.score(), rounds, explored, tests);
    }
}
