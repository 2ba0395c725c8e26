package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Parts that lie loosely are pushed together. */
class CompactionTest {

    private static final double GAP = 4;
    private static final double MARGIN = 8;

    private static OrderLine line(Region shape, int quantity, AllowedTurns turns) {
        return NestTasks.line("l1", shape, quantity, turns);
    }

    private static Laid plates(int quantity) {
        return new Laid(
                NestTasks.task(
                        List.of(line(NestTasks.rectangle(60, 100), quantity, AllowedTurns.FIXED)),
                        NestTasks.sheet(1000, 200)));
    }

    /** Parts of a task on one sheet. */
    private static final class Laid {

        private final NestTask task;
        private final SheetSet set;
        private final Model model;
        private final Scene scene;

        Laid(NestTask task) {
            this.task = task;
            this.model = new Model(task);
            Room room = model.room(task.stock().get(0));
            this.set = SheetSet.of(List.of(room), List.of(List.of()));
            this.scene =
                    new Scene(model.items.toArray(Kind[]::new), new Room[] {room}, new PairTest());
        }

        boolean push(long seed) {
            return new Compaction(scene, set, new SplittableRandom(seed)).run();
        }

        void put(int item, double degrees, double x, double y) {
            scene.put(item, new Turned(scene.items[item].body, degrees, false), x, y, 0);
        }

        /** How far the parts themselves reach, mm. */
        double length() {
            return model.reach(scene, set, 0)[0];
        }

        void requireLegal() {
            assertThat(NestCheck.faults(task, model.sheets(scene.places(), set))).isEmpty();
        }
    }

    @Test
    void pushesRectanglesAgainstEachOther() {
        Laid plates = plates(3);
        plates.put(0, 0, 210, 20);
        plates.put(1, 0, 30, 40);
        plates.put(2, 0, 110, 80);
        assertThat(plates.push(1)).isTrue();
        assertThat(plates.length()).isCloseTo(MARGIN + 3 * 60 + 2 * GAP, within(0.01));
        plates.requireLegal();
    }

    @Test
    void pushesApartWhatOverlapsALittle() {
        Laid plates = plates(3);
        plates.put(0, 0, 8, 8);
        plates.put(1, 0, 8 + 60 + GAP - 2, 40);
        plates.put(2, 0, 200, 20);
        assertThat(plates.scene.total()).isPositive();
        assertThat(plates.push(1)).isTrue();
        assertThat(plates.length()).isCloseTo(MARGIN + 3 * 60 + 2 * GAP, within(0.01));
        plates.requireLegal();
    }

    @Test
    void turnsPartsThatMayBeTurned() {
        Laid any =
                new Laid(
                        NestTasks.task(
                                List.of(line(NestTasks.rectangle(60, 100), 1, AllowedTurns.ANY)),
                                NestTasks.sheet(1000, 400)));
        any.put(0, 12, 60, 100);
        assertThat(any.push(1)).isTrue();
        assertThat(any.length()).isCloseTo(MARGIN + 60, within(0.1));
        any.requireLegal();
    }

    @Test
    void goesNotThroughWhatIsInTheWay() {
        Region hole =
                new Region(
                        Contour.rectangle(new Box(Point.ORIGIN, new Point(1000, 116))),
                        List.of(
                                Contour.rectangle(new Box(new Point(200, 0.5), new Point(210, 115)))
                                        .turning(false)));
        SheetStock sheet =
                new SheetStock("s", hole, Optional.empty(), 100, Optional.empty(), false);
        Laid barred =
                new Laid(
                        NestTasks.task(
                                List.of(line(NestTasks.rectangle(60, 100), 1, AllowedTurns.FIXED)),
                                sheet));
        barred.put(0, 0, 260, 8);
        assertThat(barred.push(1)).isTrue();
        assertThat(barred.length()).isCloseTo(210 + MARGIN + 60, within(0.01));
        barred.requireLegal();
    }

    /** Whatever lies about comes closer, and stays legal by other code. */
    @Test
    void keepsAllDistances() {
        SplittableRandom random = new SplittableRandom(11);
        double gained = 0;
        for (int round = 0; round < 12; round++) {
            List<OrderLine> lines = new ArrayList<>();
            for (int k = 0; k < 4; k++) {
                Region shape =
                        switch (random.nextInt(3)) {
                            case 0 -> NestTasks.star(random, 3 + random.nextInt(5), 60);
                            case 1 -> NestTasks.comb(2 + random.nextInt(3), 12, 50);
                            default -> NestTasks.ring(60, 35);
                        };
                AllowedTurns turns = random.nextBoolean() ? AllowedTurns.ANY : AllowedTurns.HALF;
                lines.add(NestTasks.line("l" + k, shape, 3, turns));
            }
            Laid mix = new Laid(NestTasks.task(lines, NestTasks.sheet(3000, 400)));
            new Construction(mix.scene, random.split(), () -> {}, 60).layAll(new int[] {0});
            double before = mix.length();
            assertThat(mix.push(round)).isTrue();
            assertThat(mix.length()).isLessThanOrEqualTo(before + 1e-6);
            mix.requireLegal();
            gained += before - mix.length();
        }
        assertThat(gained).isGreaterThan(12 * 10);
    }
}
