package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.motion.Excerpt;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

/** Trays beside each other: with a thin wall between them no level goes ahead of the others. */
class ThinWallsTest {

    private static final double DEEP = 12;

    /** Three trays of 60 x 80, the last farther away. */
    private static RouterRun run(double wall, String more) {
        Wish trays =
                JsonMapper.shared()
                        .readValue(
                                """
                                {"id": "trays", "kind": "pocket", "tool": 3, "depth": "12",
                                 "on": {"contours": ["c2", "c3", "c4"]}%s}
                                """
                                        .formatted(more),
                                Wish.class);
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(List.of(trays), true)
                        .withBlock(new Block(400.0, 200.0, null, null, null));
        Drawn board =
                new Drawn()
                        .rectangle(10, 10, 380, 180)
                        .rectangle(40, 40, 60, 80)
                        .rectangle(100 + wall, 40, 60, 80)
                        .rectangle(280, 40, 60, 80);
        return RouterJobs.run(RouterJobs.task(board.reading(), choices, "birch plywood", 18, 1));
    }

    @ParameterizedTest
    @CsvSource({"2, true, ''", "2.9, true, ''", "3, false, ''", "2, false, ', \"byLevel\": false'"})
    void thinWallsAreCutLevelByLevel(double wall, boolean parted, String more) {
        RouterRun run = run(wall, more);
        RouterJobs.requireSound(run);
        List<RouterStop> stops =
                run.run().stops().stream().map(s -> run.plan().stop(s.id()).orElseThrow()).toList();
        assertThat(stops).hasSize(parted ? 5 : 3);
        double reached = 0;
        for (RouterStop stop : stops) {
            if (stop.stage().above().isPresent()) {
                assertThat(stop.levels()).hasSize(1);
                assertThat(stop.levels().get(0)).isGreaterThanOrEqualTo(reached);
                reached = stop.levels().get(0);
            }
        }
        assertThat(reached).isEqualTo(parted ? DEEP : 0);
    }

    /** Parted or not, the same is taken, by the same cut, and the same is left in corners. */
    @Test
    void nothingElseChanges() {
        RouterRun parted = run(2, "");
        RouterRun whole = run(2, ", \"byLevel\": false");
        assertThat(volume(parted)).isCloseTo(volume(whole), within(1e-3 * volume(whole)));
        assertThat(parted.difference().gouge()).isEmpty();
        assertThat(parted.difference().rests()).hasSameSizeAs(whole.difference().rests());
        assertThat(parted.plan().feeds().values().stream().map(f -> f.feed()).distinct())
                .containsExactlyElementsOf(
                        whole.plan().feeds().values().stream()
                                .map(f -> f.feed())
                                .distinct()
                                .toList());
        assertThat(parted.run().stops())
                .extracting(Stop::name)
                .anyMatch(name -> name.contains(" to 6 mm: "))
                .anyMatch(name -> name.contains(" to 12 mm: "));
    }

    private static double volume(RouterRun run) {
        return run.plan().done().stream().mapToDouble(s -> run.volume(s.id()).orElseThrow()).sum();
    }

    /** Walls are finished at every level, or once at the end. */
    @ParameterizedTest
    @CsvSource({"levels", "depth"})
    void wallsAreFinished(String at) {
        String finish = ", \"finish\": {\"cuts\": 1, \"width\": \"0.4\", \"at\": \"%s\"}";
        RouterRun run = run(2, finish.formatted(at));
        RouterJobs.requireSound(run);
        assertThat(run.plan().done()).hasSize(5);
        assertThat(run.difference().gouge()).isEmpty();
        assertThat(run.difference().rests())
                .allSatisfy(r -> assertThat(r.area()).isLessThan(4 * 9 * (1 - Math.PI / 4) + 0.1));
    }

    /** The second level alone would come down into the stock. */
    @Test
    void aTrialOfALevelNeedsTheOneAbove() {
        RouterRun run = run(2, "");
        String lower =
                run.plan().done().stream()
                        .filter(s -> s.stage().above().filter(a -> a > 0).isPresent())
                        .findFirst()
                        .orElseThrow()
                        .id();
        Excerpt alone = Excerpt.of(run.program(), lower::equals, true);
        assertThat(run.recheck(alone.program(), Optional.of(Set.of(lower))).faults())
                .singleElement()
                .asString()
                .contains("has cut before")
                .endsWith("Take both.");
    }
}
