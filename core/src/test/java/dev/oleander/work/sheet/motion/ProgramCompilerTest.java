package dev.oleander.work.sheet.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ProgramCompilerTest {

    private static final Reading PLATE =
            new Drawn()
                    .rectangle(0, 0, 120, 60)
                    .circle(30, 30, 6)
                    .on("MARK")
                    .line(60, 20, 100, 20)
                    .reading();

    private static Run run(PlanChoices choices) {
        return Samples.plan(
                PLATE,
                new SheetPlanner.Order("mild steel", 6, 1),
                choices,
                SheetChoices.defaults());
    }

    private static List<String> events(Program program) {
        return program.items().stream()
                .filter(Item.Event.class::isInstance)
                .map(i -> ((Item.Event) i).kind().word())
                .toList();
    }

    @Test
    void everyStopBeginsAndEndsTheProcessAndTheHeadLiftsWhereItMust() {
        Program program = new ProgramCompiler().compile(run(PlanChoices.defaults()));
        assertThat(events(program))
                .containsExactly(
                        "data",
                        "headDown",
                        "markOn",
                        "processOff",
                        "pierce",
                        "processOff",
                        "pierce",
                        "processOff",
                        "headUp",
                        "end");
        assertThat(program.items().stream().filter(Item.Rapid.class::isInstance)).hasSize(3);
    }

    @Test
    void movesFollowEachOtherWithoutAJump() {
        Point at = Point.ORIGIN;
        for (Item item : new ProgramCompiler().compile(run(PlanChoices.defaults())).items()) {
            if (item instanceof Item.Rapid rapid) {
                assertThat(rapid.from()).isEqualTo(at);
                at = rapid.to();
            } else if (item instanceof Item.Feed feed) {
                assertThat(feed.segment().start()).isEqualTo(at);
                assertThat(feed.on()).isTrue();
                at = feed.segment().end();
            }
        }
    }

    @Test
    void everyMoveKnowsItsStopPassAndSegment() {
        Run run = run(PlanChoices.defaults());
        Program program = new ProgramCompiler().compile(run);
        for (Stop stop : run.stops()) {
            int[] segments =
                    program.items().stream()
                            .filter(Item.Feed.class::isInstance)
                            .filter(i -> i.origin().stop().equals(stop.id()))
                            .mapToInt(i -> i.origin().segment())
                            .toArray();
            assertThat(IntStream.of(segments).distinct())
                    .hasSize(stop.path().orElseThrow().all().size());
            assertThat(segments).isSorted();
        }
    }

    @Test
    void dataIsChosenOnlyWhenItChanges() {
        PlanChoices fineHole =
                PlanChoices.defaults().withStop("c2", StopChoice.NOTHING.withQuality("fine"));
        Run run = run(fineHole);
        Program program = new ProgramCompiler().compile(run);
        List<Double> rows =
                program.items().stream()
                        .filter(Item.Event.class::isInstance)
                        .map(Item.Event.class::cast)
                        .filter(e -> e.kind() == EventKind.DATA)
                        .map(e -> e.args().get("row"))
                        .toList();
        assertThat(rows).containsExactly(1.0, 2.0, 1.0);
        assertThat(DataTable.of(run))
                .extracting(r -> r.quality())
                .containsExactly("standard", "fine");
    }

    @Test
    void theTimesOfAllStopsAndTheEndMakeTheTotal() {
        Timeline timeline = Samples.time(run(PlanChoices.defaults()));
        double sum = timeline.byStop().values().stream().mapToDouble(Seconds::total).sum();
        assertThat(sum).isCloseTo(timeline.total(), within(1e-9));
        assertThat(timeline.seconds().total()).isCloseTo(timeline.total(), within(1e-9));
        assertThat(timeline.seconds().people()).isZero();
    }

    @Test
    void refusedStopsAreLeftOut() {
        Run run =
                Samples.plan(
                        PLATE,
                        new SheetPlanner.Order("mild steel", 300, 1),
                        PlanChoices.defaults(),
                        SheetChoices.defaults());
        Program program = new ProgramCompiler().compile(run);
        assertThat(program.items()).hasSize(1);
        assertThat(Samples.time(run).total()).isZero();
    }
}
