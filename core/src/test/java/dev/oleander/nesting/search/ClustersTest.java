package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Copies a kerf apart share the cut between them. */
class ClustersTest {

    private static final double KERF = 0.3;
    private static final Region PLATE = NestTasks.rectangle(80, 50);
    private static final Region GUSSET =
            NestTasks.polygon(List.of(new Point(0, 0), new Point(120, 0), new Point(0, 70)));

    private static NestTask task(List<OrderLine> lines, double width, double height) {
        NestRules rules =
                new NestRules(6, 10, true, Optional.empty()).withCommonLines(Optional.of(KERF));
        return new NestTask(lines, List.of(NestTasks.sheet(width, height)), rules, List.of());
    }

    private static Nest nest(NestTask task) {
        return Nester.nest(task, NestBudget.ofRounds(4, 2, 1), NestProgress.NONE);
    }

    /** Pairs of parts that lie a kerf apart. */
    private static long shared(NestTask task, Nest nest) {
        NestTask alone =
                new NestTask(
                        task.lines(),
                        task.stock(),
                        task.rules().withCommonLines(Optional.empty()),
                        List.of());
        return NestCheck.faults(alone, nest.sheets()).stream()
                .filter(f -> f.rule().equals("gap"))
                .filter(f -> Math.abs(f.value() - KERF) < 1e-3)
                .count();
    }

    @Test
    void platesLieInRows() {
        NestTask task = task(List.of(NestTasks.line("l1", PLATE, 7, AllowedTurns.HALF)), 1000, 500);
        Nest nest = nest(task);
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        assertThat(nest.sheets().get(0).placements()).hasSize(7);
        // four and three of them
        assertThat(shared(task, nest)).isEqualTo(3 + 2);
    }

    @Test
    void trianglesLieInPairs() {
        NestTask task = task(List.of(NestTasks.line("l1", GUSSET, 6, AllowedTurns.ANY)), 1000, 500);
        Nest nest = nest(task);
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        assertThat(nest.sheets().get(0).placements()).hasSize(6);
        assertThat(shared(task, nest)).isEqualTo(3);
    }

    @Test
    void trianglesThatMayNotBeTurnedStayAlone() {
        NestTask task =
                task(List.of(NestTasks.line("l1", GUSSET, 6, AllowedTurns.FIXED)), 1000, 500);
        Nest nest = nest(task);
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        assertThat(shared(task, nest)).isZero();
    }

    @Test
    void roundPartsShareNothing() {
        NestTask task =
                task(
                        List.of(NestTasks.line("l1", NestTasks.ring(60, 20), 4, AllowedTurns.ANY)),
                        1000,
                        500);
        assertThat(Clusters.of(task)).isEmpty();
    }

    /** Room for three only: a pair that finds none is laid as the parts that it is of. */
    @Test
    void partsFindRoomWhereTheirRowHasNone() {
        NestTask task = task(List.of(NestTasks.line("l1", PLATE, 4, AllowedTurns.FIXED)), 300, 70);
        Nest nest = nest(task);
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        assertThat(nest.sheets().stream().mapToInt(s -> s.placements().size()).sum()).isEqualTo(4);
    }

    @Test
    void aSearchGoesOnFromRows() {
        NestTask task = task(List.of(NestTasks.line("l1", PLATE, 8, AllowedTurns.HALF)), 1000, 500);
        Nest first = nest(task);
        Nest second = nest(task.from(first.sheets()));
        assertThat(NestCheck.faults(task, second.sheets())).isEmpty();
        assertThat(shared(task, second)).isEqualTo(shared(task, first)).isPositive();
        assertThat(second.score().front()).isLessThanOrEqualTo(first.score().front() + 1e-6);
    }

    /** What lies in a row of three stays in it when more are asked for. */
    @Test
    void moreAreLaidBesideTheRowsThatThereAre() {
        Nest first =
                nest(task(List.of(NestTasks.line("l1", PLATE, 7, AllowedTurns.HALF)), 1000, 500));
        NestTask more = task(List.of(NestTasks.line("l1", PLATE, 8, AllowedTurns.HALF)), 1000, 500);
        Nest second = nest(more.from(first.sheets()));
        assertThat(NestCheck.faults(more, second.sheets())).isEmpty();
        assertThat(second.sheets().get(0).placements()).hasSize(8);
        assertThat(shared(more, second)).isEqualTo(3 + 2);
    }

    @Test
    void fixedPartsStayWhereTheyAre() {
        NestPlacement fixed = new NestPlacement("l1", new Point(20, 20), 0, false, true);
        NestTask free = task(List.of(NestTasks.line("l1", PLATE, 5, AllowedTurns.HALF)), 1000, 500);
        NestTask task =
                new NestTask(
                        free.lines(),
                        free.stock(),
                        free.rules(),
                        List.of(new NestedSheet("full", List.of(fixed))));
        Nest nest = nest(task);
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
        assertThat(nest.sheets().get(0).placements()).hasSize(5).contains(fixed);
    }

    /** Closer than a kerf is refused, and so is a kerf without edges that match. */
    @Test
    void onlyEdgesOfOneLengthLieAKerfApart() {
        NestTask task = task(List.of(NestTasks.line("l1", PLATE, 2, AllowedTurns.HALF)), 1000, 500);
        assertThat(faults(task, 80 + KERF, 0)).isZero();
        assertThat(faults(task, 80 + KERF, 1)).isOne();
        assertThat(faults(task, 80 + KERF - 0.1, 0)).isOne();
        assertThat(faults(task, 80 + KERF + 0.1, 0)).isOne();
        assertThat(faults(task, 86, 1)).isZero();
    }

    private static int faults(NestTask task, double dx, double dy) {
        NestPlacement one = new NestPlacement("l1", new Point(20, 20), 0, false, false);
        NestPlacement other = new NestPlacement("l1", new Point(20 + dx, 20 + dy), 0, false, false);
        return NestCheck.faults(task, List.of(new NestedSheet("full", List.of(one, other)))).size();
    }

    /** Mirrored and turned, the parts of a cluster still lie as they do in it. */
    @Test
    void membersFollowTheirCluster() {
        NestTask task = task(List.of(NestTasks.line("l1", GUSSET, 2, AllowedTurns.ANY)), 1000, 500);
        Cluster pair = new ClusterMaker(task, task.lines().get(0), KERF).along(2).get(0);
        NestPlacement at = new NestPlacement(pair.id(), new Point(300, 200), 33, true, false);
        List<NestPlacement> laid = pair.laid(at);
        double alone = GUSSET.area();
        assertThat(pair.shape().area()).isBetween(2 * alone, 2 * alone + 200 * KERF);
        assertThat(NestCheck.faults(mirrored(task), List.of(new NestedSheet("full", laid))))
                .isEmpty();
        NestPlacement back = pair.from(laid.get(0));
        assertThat(back.at().distance(at.at())).isCloseTo(0, within(1e-9));
        assertThat(back.mirrored()).isTrue();
    }

    private static NestTask mirrored(NestTask task) {
        OrderLine line = task.lines().get(0);
        return new NestTask(
                List.of(
                        new OrderLine(
                                line.id(),
                                line.job(),
                                line.shape(),
                                line.quantity(),
                                line.priority(),
                                line.due(),
                                false,
                                line.turns(),
                                true,
                                0)),
                task.stock(),
                task.rules(),
                List.of());
    }
}
