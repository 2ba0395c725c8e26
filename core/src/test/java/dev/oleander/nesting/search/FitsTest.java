package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.OrderLine;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Parts that were cut from one another find each other again. */
class FitsTest {

    /** A rectangle of 200 by 100 is cut from (70, 0) to (120, 100); the right piece lies turned. */
    private static final Region LEFT =
            NestTasks.polygon(
                    List.of(
                            new Point(0, 0),
                            new Point(70, 0),
                            new Point(120, 100),
                            new Point(0, 100)));

    private static final Region RIGHT =
            NestTasks.polygon(
                    List.of(
                            new Point(0, 70),
                            new Point(100, 120),
                            new Point(100, 200),
                            new Point(0, 200)));

    private static NestTask task() {
        List<OrderLine> lines =
                List.of(
                        NestTasks.line("left", LEFT, 1, AllowedTurns.QUARTER),
                        NestTasks.line("right", mirrored(RIGHT), 1, AllowedTurns.QUARTER));
        return new NestTask(
                lines, List.of(NestTasks.sheet(200, 100)), NestTasks.rules(0, 0), List.of());
    }

    /** x and y exchanged is a turn and a mirror; this undoes the mirror. */
    private static Region mirrored(Region region) {
        return region.transformed(Transform.mirror());
    }

    @Test
    void edgesOfOneLengthAreLaidAlongEachOther() {
        Model model = new Model(task());
        Kind left = model.kind("left");
        Kind right = model.kind("right");
        Fits fits = right.fitsOn(left.body);
        assertThat(fits.areWhole()).isTrue();
        Turned lies = new Turned(left.body, 0, false);
        PairTest pairs = new PairTest();
        SplittableRandom random = new SplittableRandom(1);
        Set<Double> turns = new HashSet<>();
        int touching = 0;
        for (int i = 0; i < 200; i++) {
            Fits.Fit fit = fits.any(random);
            assertThat(fit.turn() % 90).isZero();
            turns.add(((fit.turn() % 360) + 360) % 360);
            Turned way = right.way(0, fit.turn());
            double x = lies.x(fit.on().x(), fit.on().y()) - way.x(fit.mine().x(), fit.mine().y());
            double y = lies.y(fit.on().x(), fit.on().y()) - way.y(fit.mine().x(), fit.mine().y());
            touching += pairs.overlaps(way, lies, x, y) ? 0 : 1;
        }
        assertThat(turns).hasSizeGreaterThan(1);
        assertThat(touching).isGreaterThan(50);
    }

    @Test
    void whatWasCutIsPutTogetherAgain() {
        NestTask task = task();
        Nest nest = Nester.nest(task, NestBudget.ofRounds(3, 3, 1), (best, seconds) -> true);
        assertThat(nest.score().isComplete()).isTrue();
        assertThat(NestCheck.faults(task, nest.sheets())).isEmpty();
    }

    @Test
    void aWayThatMayNotBeIsNone() {
        Kind left = new Model(task()).kind("left");
        assertThat(left.way(0, 90.01).degrees).isEqualTo(90);
        assertThat(left.way(0, -270).degrees).isEqualTo(90);
        assertThat(left.way(0, 45)).isNull();
    }
}
