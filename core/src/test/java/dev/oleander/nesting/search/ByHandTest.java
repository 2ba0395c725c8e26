package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Parts that a person moves keep all distances, and come as near to the wish as they can. */
class ByHandTest {

    private static final double GAP = 6;

    private static final OrderLine DISC =
            NestTasks.line(
                    "disc",
                    new Region(Contour.circle(Point.ORIGIN, 50), List.of()),
                    20,
                    AllowedTurns.ANY);

    private static NestTask task(double width, double height) {
        return new NestTask(
                List.of(DISC),
                List.of(NestTasks.sheet(width, height)),
                NestTasks.rules(GAP, 10),
                List.of());
    }

    private static NestPlacement at(double x, double y) {
        return new NestPlacement("disc", new Point(x, y), 0, false, false);
    }

    private static NestedSheet sheet(NestTask task, NestPlacement... others) {
        return new NestedSheet(task.stock().get(0).id(), List.of(others));
    }

    @Test
    void whereItIsFreeItLiesAsItIsWished() {
        NestTask task = task(800, 400);
        NestPlacement wished = at(400.123, 200);
        assertThat(ByHand.nearest(task, sheet(task, at(100, 100)), wished)).contains(wished);
    }

    /** Let go a little off, it touches the edge below and the other one beside it. */
    @Test
    void nearTwoOthersItTouchesBoth() {
        NestTask task = task(800, 400);
        NestPlacement found =
                ByHand.snapped(task, sheet(task, at(60, 60)), at(169, 62)).orElseThrow();
        assertThat(found.at().y()).isCloseTo(60, within(0.01));
        assertThat(found.at().distance(new Point(60, 60))).isCloseTo(100 + GAP, within(0.02));
        // far from everything it lies where it is wished
        NestPlacement alone = at(500, 200);
        assertThat(ByHand.snapped(task, sheet(task, at(60, 60)), alone)).contains(alone);
    }

    @Test
    void onAnotherItSlidesToTheGapOnTrueArcs() {
        NestTask task = task(800, 400);
        NestPlacement found =
                ByHand.nearest(task, sheet(task, at(200, 200)), at(230, 210)).orElseThrow();
        double between =
                Distances.between(
                                DISC.shape().transformed(at(200, 200).transform()).outer(),
                                DISC.shape().transformed(found.transform()).outer())
                        .distance();
        assertThat(between).isBetween(GAP - 1e-6, GAP + 0.01);
        // straight away from the other one: the nearest place there is
        assertThat(found.at().distance(new Point(230, 210)))
                .isLessThan(100 + GAP - Math.hypot(30, 10) + 0.5);
    }

    @Test
    void overTheEdgeItStopsAtTheMargin() {
        NestTask task = task(800, 400);
        NestPlacement found = ByHand.nearest(task, sheet(task), at(20, 200)).orElseThrow();
        assertThat(found.at().x()).isBetween(60 - 1e-6, 60.01);
        assertThat(found.at().y()).isBetween(199.0, 201.0);
    }

    @Test
    void whereNothingIsFreeNearByThereIsNoPlace() {
        NestTask task = task(130, 130);
        assertThat(ByHand.nearest(task, sheet(task, at(65, 65)), at(70, 65))).isEmpty();
    }

    @Property(tries = 25)
    void whereverItIsDroppedItIsLegal(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        NestTask task = stars(random);
        Box box = task.lines().get(0).shape().box();
        List<NestPlacement> there = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            NestPlacement wished =
                    new NestPlacement(
                            "star",
                            new Point(random.nextDouble(600), random.nextDouble(400)),
                            random.nextDouble(360),
                            false,
                            false);
            NestedSheet others = new NestedSheet(task.stock().get(0).id(), there);
            Optional<NestPlacement> found = ByHand.nearest(task, others, wished);
            found.ifPresent(
                    p -> {
                        assertThat(p.at().distance(wished.at()))
                                .isLessThan(2 * Math.hypot(box.width(), box.height()));
                        there.add(p);
                    });
            assertThat(NestCheck.faults(task, List.of(new NestedSheet(others.stock(), there))))
                    .isEmpty();
        }
        assertThat(there).hasSizeGreaterThan(2);
    }

    @Test
    void whatIsPushedGoesOnUntilTheGap() {
        NestTask task = task(800, 400);
        NestedSheet others = sheet(task, at(200, 200));
        NestPlacement found = ByHand.slid(task, others, at(600, 200), new Point(-1, 0));
        assertThat(found.at().x()).isBetween(300 + GAP - 1e-9, 300 + GAP + 0.002);
        assertThat(found.at().y()).isEqualTo(200);
        NestPlacement up = ByHand.slid(task, others, found, new Point(0, 1));
        assertThat(up.at().y()).isBetween(340 - 0.002, 340 + 1e-9);
        // what touches goes no farther
        NestPlacement again = ByHand.slid(task, others, up, new Point(0, 1));
        assertThat(again.at().distance(up.at())).isLessThan(1e-3);
    }

    @Test
    void whatIsAlignedStaysInLineAndGoesPastWhatIsInItsWay() {
        NestTask task = task(800, 400);
        NestedSheet others = sheet(task, at(200, 100));
        assertThat(ByHand.along(task, others, at(200, 300), new Point(0, 1)))
                .contains(at(200, 300));
        NestPlacement past =
                ByHand.along(task, others, at(200, 180), new Point(0, 1)).orElseThrow();
        assertThat(past.at().x()).isEqualTo(200);
        assertThat(past.at().y()).isBetween(200 + GAP, 200 + GAP + 0.01);
    }

    @Property(tries = 15)
    void pushedAnywhereItIsLegal(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        NestTask task = stars(random);
        List<NestPlacement> there = laid(task, random, 8);
        for (int i = 0; i < there.size(); i++) {
            NestPlacement now = there.remove(i);
            NestedSheet others = new NestedSheet(task.stock().get(0).id(), there);
            Point towards = Point.polar(1, random.nextDouble(7));
            NestPlacement to = ByHand.slid(task, others, now, towards);
            Point way = to.at().minus(now.at());
            assertThat(way.dot(towards)).isBetween(-1e-9, 721.2);
            assertThat(Math.abs(way.cross(towards))).isLessThan(1e-9);
            there.add(i, to);
            assertThat(NestCheck.faults(task, List.of(new NestedSheet(others.stock(), there))))
                    .isEmpty();
        }
    }

    @Property(tries = 15)
    void roomIsMadeExactlyWhereItIsWished(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        NestTask task = stars(random);
        List<NestPlacement> there = laid(task, random, 8);
        there.set(0, there.get(0).locked(true));
        NestPlacement one = there.remove(there.size() - 1);
        NestPlacement wished =
                new NestPlacement("star", there.get(1).at(), one.angle(), false, false);
        NestedSheet others = new NestedSheet(task.stock().get(0).id(), there);
        Optional<NestedSheet> made = MakeRoom.round(task, others, wished);
        made.ifPresent(
                sheet -> {
                    assertThat(NestCheck.faults(task, List.of(sheet))).isEmpty();
                    assertThat(sheet.placements()).hasSize(there.size() + 1).endsWith(wished);
                    assertThat(sheet.placements().get(0)).isEqualTo(there.get(0));
                });
    }

    @Test
    void roomIsMadeWhereThereIsSome() {
        NestTask task = task(800, 400);
        NestedSheet made =
                MakeRoom.round(task, sheet(task, at(200, 200), at(600, 200)), at(230, 200))
                        .orElseThrow();
        assertThat(made.placements()).hasSize(3).contains(at(600, 200)).endsWith(at(230, 200));
        assertThat(NestCheck.faults(task, List.of(made))).isEmpty();
    }

    @Test
    void noRoomIsMadeOnAFixedPartNorWhereThereIsNone() {
        NestTask task = task(800, 400);
        NestedSheet fixed = sheet(task, at(200, 200).locked(true));
        assertThat(MakeRoom.round(task, fixed, at(230, 200))).isEmpty();
        NestTask small = task(150, 150);
        assertThat(MakeRoom.round(small, sheet(small, at(70, 70)), at(75, 75))).isEmpty();
    }

    private static NestTask stars(SplittableRandom random) {
        OrderLine line =
                NestTasks.line("star", NestTasks.star(random, 5, 40), 20, AllowedTurns.ANY);
        return new NestTask(
                List.of(line),
                List.of(NestTasks.sheet(600, 400)),
                NestTasks.rules(GAP, 8),
                List.of());
    }

    /** Stars where they were dropped. */
    private static List<NestPlacement> laid(NestTask task, SplittableRandom random, int count) {
        List<NestPlacement> there = new ArrayList<>();
        while (there.size() < count) {
            NestPlacement wished =
                    new NestPlacement(
                            "star",
                            new Point(random.nextDouble(600), random.nextDouble(400)),
                            random.nextDouble(360),
                            false,
                            false);
            NestedSheet others = new NestedSheet(task.stock().get(0).id(), there);
            ByHand.nearest(task, others, wished).ifPresent(there::add);
        }
        return there;
    }
}
