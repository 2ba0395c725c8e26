package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestScore;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every nest is judged by {@link NestCheck}, which shares no code with the search. */
class NesterTest {

    private static Nest nest(NestTask task, int rounds) {
        Nest nest =
                Nester.nest(task, NestBudget.ofRounds(rounds, rounds - 1, 1), NestProgress.NONE);
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        return nest;
    }

    private static int placed(Nest nest, String line) {
        return (int)
                nest.sheets().stream()
                        .flatMap(s -> s.placements().stream())
                        .filter(p -> p.line().equals(line))
                        .count();
    }

    @ParameterizedTest
    @ValueSource(strings = {"gapjig20", "letters40", "grain40", "locked40", "remnants110"})
    void aSampleIsNestedLegally(String name) {
        Nest nest = nest(NestTasks.sample(name), 3);
        assertThat(nest.score().isComplete()).isTrue();
    }

    @Test
    void pairsThatFillRectanglesReachTheKnownLength() {
        Nest nest = nest(NestTasks.sample("pairs20"), 4);
        assertThat(nest.score().front() + 10).isLessThan(1160.246);
    }

    @Test
    void partsInOpeningsOfPartsInOpenings() {
        NestTask task = NestTasks.sample("openings6");
        Nest nest = nest(task, 8);
        assertThat(nest.score().isComplete()).isTrue();
        assertThat(nest.sheets()).hasSize(1);
    }

    @Test
    void moreThanThereIsRoomForGoesByPriority() {
        NestTask task = NestTasks.sample("priority70");
        Nest nest = nest(task, 6);
        assertThat(nest.score().missing()[0]).isZero();
        assertThat(nest.score().missing()[1]).isLessThan(423_192 - 200_000);
    }

    @Test
    void aSearchThatGoesOnIsNeverWorseThanWhatItBeganWith() {
        NestTask task = NestTasks.sample("gapjig20");
        Nest first = nest(task, 3);
        Nest on = nest(task.from(first.sheets()), 2);
        assertThat(first.score().isBetterThan(on.score())).isFalse();
        Nest pressed =
                Nester.nest(
                        task.from(first.sheets()), NestBudget.ofRounds(2, 0, 1), NestProgress.NONE);
        assertThat(NestCheck.faults(task, pressed.sheets())).isEmpty();
        assertThat(first.score().isBetterThan(pressed.score())).isFalse();
    }

    @Test
    void whatIsMissingFromTheBeginningIsLaidBesideIt() {
        NestTask task = NestTasks.sample("gapjig20");
        NestedSheet all = nest(task, 2).sheets().get(0);
        NestedSheet some = new NestedSheet(all.stock(), all.placements().subList(0, 12));
        assertThat(nest(task.from(List.of(some)), 1).score().isComplete()).isTrue();
    }

    @Test
    void aPartThatFitsNowhereDoesNotKeepTheOthersFromBeingPacked() {
        OrderLine small =
                NestTasks.line("small", NestTasks.rectangle(90, 60), 20, AllowedTurns.ANY);
        OrderLine huge = NestTasks.line("huge", NestTasks.rectangle(5000, 50), 1, AllowedTurns.ANY);
        SheetStock sheet = NestTasks.sheet(600, 400);
        Nest alone = nest(NestTasks.task(List.of(small), sheet), 3);
        Nest both = nest(NestTasks.task(List.of(small, huge), sheet), 3);
        assertThat(both.sheets()).isEqualTo(alone.sheets());
        assertThat(both.score().missing()[0]).isEqualTo(250_000);
    }

    @Test
    void aPartLargerThanEverySheetIsMissing() {
        NestTask task =
                NestTasks.task(
                        List.of(
                                NestTasks.line("small", NestTasks.rectangle(50, 50), 4, 1),
                                NestTasks.line("large", NestTasks.rectangle(900, 50), 2, 1)),
                        NestTasks.sheet(400, 200));
        Nest nest = nest(task, 3);
        assertThat(placed(nest, "small")).isEqualTo(4);
        assertThat(placed(nest, "large")).isZero();
        assertThat(nest.score().missing()[0]).isEqualTo(2 * 900 * 50.0);
    }

    @Test
    void lockedPartsStayAndOthersKeepAway() {
        NestTask task = NestTasks.sample("locked40");
        Nest nest = nest(task, 2);
        List<NestPlacement> all =
                nest.sheets().stream().flatMap(s -> s.placements().stream()).toList();
        for (NestedSheet sheet : task.locked()) {
            assertThat(all).containsAll(sheet.placements());
        }
    }

    /** A sheet cut up by straight cuts right across, in parts of different sizes. */
    @Test
    void rectanglesThatFillASheetFillIt() {
        List<OrderLine> lines = new ArrayList<>();
        SplittableRandom random = new SplittableRandom(5);
        cutUp(496 - 12, 396 - 12, random, lines);
        NestTask task = NestTasks.task(lines, NestTasks.sheet(500, 400));
        Nest nest = nest(task, 12);
        assertThat(lines.size()).isBetween(8, 30);
        assertThat(nest.score().isComplete()).isTrue();
        assertThat(nest.sheets()).hasSize(1);
    }

    private static void cutUp(double w, double h, SplittableRandom random, List<OrderLine> to) {
        if (Math.max(w, h) < 170) {
            OrderLine line =
                    NestTasks.line(
                            "r" + to.size(), NestTasks.rectangle(w, h), 1, AllowedTurns.QUARTER);
            to.add(line);
            return;
        }
        boolean across = w >= h;
        double length = across ? w : h;
        double first = Math.rint(length * (0.35 + 0.3 * random.nextDouble()));
        double rest = length - first - 4;
        cutUp(across ? first : w, across ? h : first, random, to);
        cutUp(across ? rest : w, across ? h : rest, random, to);
    }

    @Test
    void fillingOpensNoSheetAndTakesNothingFromTheRest() {
        OrderLine must = NestTasks.line("must", NestTasks.ring(90, 70), 3, 1);
        OrderLine fill =
                new OrderLine(
                        "fill",
                        "job",
                        NestTasks.rectangle(20, 12),
                        1000,
                        9,
                        Optional.empty(),
                        true,
                        AllowedTurns.ANY,
                        false,
                        0);
        NestRules rules =
                new NestRules(4, 8, true, Optional.of(new NestRules.RemnantRule(100, 0.7)));
        SheetStock sheet = NestTasks.sheet(1000, 400);
        NestTask both = new NestTask(List.of(must, fill), List.of(sheet), rules, List.of());
        Nest with = nest(both, 3);
        assertThat(with.sheets()).hasSize(1);
        assertThat(with.score().cost()).isLessThan(sheet.price());
        assertThat(placed(with, "fill")).isBetween(30, 999);
        double front = with.score().front();
        assertThat(with.sheets().get(0).placements())
                .allMatch(
                        p ->
                                both.line(p.line())
                                                .shape()
                                                .transformed(p.transform())
                                                .box()
                                                .max()
                                                .x()
                                        <= front + 1e-3);
    }

    @Test
    void theSameNestOnAnyNumberOfThreads() {
        NestTask task = NestTasks.sample("grain40");
        NestBudget budget = NestBudget.ofRounds(4, 3, 7);
        List<Nest> nests = new ArrayList<>();
        for (int threads : new int[] {1, 2, 8}) {
            nests.add(Nester.nest(task, budget.withThreads(threads), NestProgress.NONE));
        }
        assertThat(nests.get(1)).isEqualTo(nests.get(0));
        assertThat(nests.get(2)).isEqualTo(nests.get(0));
    }

    @Test
    void moreRoundsAreNeverWorse() {
        NestTask task = NestTasks.sample("gapjig20");
        NestScore before = null;
        for (int rounds = 2; rounds <= 8; rounds += 3) {
            NestScore score =
                    Nester.nest(task, NestBudget.ofRounds(rounds, rounds, 3), NestProgress.NONE)
                            .score();
            assertThat(before != null && before.isBetterThan(score)).isFalse();
            before = score;
        }
    }

    @Test
    void whatIsStoppedAtAnyRoundIsLegal() {
        NestTask task = NestTasks.sample("boat60");
        for (int stop = 1; stop <= 4; stop++) {
            int last = stop;
            int[] rounds = {0};
            Nest nest =
                    Nester.nest(
                            task,
                            NestBudget.ofSeconds(600, 2),
                            (best, seconds) -> {
                                assertThat(NestCheck.faults(task, best.sheets())).isEmpty();
                                return ++rounds[0] < last;
                            });
            assertThat(nest.rounds()).isEqualTo(stop);
            assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        }
    }

    @Test
    void whatTheListenerThrowsEndsTheSearchForAll() {
        NestTask task = NestTasks.sample("grain40");
        assertThatThrownBy(
                        () ->
                                Nester.nest(
                                        task,
                                        NestBudget.ofSeconds(600, 1),
                                        (best, seconds) -> {
                                            throw new IllegalStateException("nobody listens");
                                        }))
                .hasMessage("nobody listens");
    }

    @Test
    void theTimeIsKept() {
        long began = System.nanoTime();
        Nester.nest(NestTasks.sample("boat60"), NestBudget.ofSeconds(1, 1), NestProgress.NONE);
        assertThat((System.nanoTime() - began) / 1e9).isBetween(1.0, 6.0);
    }

    /** Far from the origin there are fewer digits after the point. */
    @Test
    void fourKilometresAwayItIsLegalToo() {
        Point far = new Point(4e6, 4e6);
        Region sheet = NestTasks.rectangle(600, 400).transformed(Transform.translation(far));
        Region part = NestTasks.comb(3, 10, 60).transformed(Transform.translation(far));
        SheetStock stock =
                new SheetStock("far", sheet, Optional.of(2), 100, Optional.empty(), false);
        NestTask task =
                NestTasks.task(List.of(NestTasks.line("a", part, 12, AllowedTurns.ANY)), stock);
        assertThat(nest(task, 3).score().isComplete()).isTrue();
    }

    @Property(tries = 25)
    void randomTasksAreNestedLegally(@ForAll long seed) {
        NestTask task = NestTasks.random(new SplittableRandom(seed));
        Nest nest = nest(task, 2);
        for (OrderLine line : task.lines()) {
            assertThat(placed(nest, line.id())).isLessThanOrEqualTo(line.quantity());
        }
    }
}
