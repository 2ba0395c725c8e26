package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.progress.Progress;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.ToolChains;
import dev.oleander.work.router.plan.ToolChains.Chain;
import dev.oleander.work.router.tool.Tool;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** Which tools clear a pocket in the shortest time. */
class ToolChainsTest {

    private static final Wish RECESS =
            JsonMapper.shared()
                    .readValue(
                            """
                            {"id": "recess", "kind": "pocket", "depth": "6", "on": {"contours": ["c2"]}}
                            """,
                            Wish.class);

    private static RouterChoices choices() {
        return RouterChoices.NOTHING
                .withOperations(List.of(RECESS), true)
                .withBlock(new Block(300.0, 200.0, null, null, null));
    }

    private static RouterRun run(RouterChoices choices) {
        Drawn board = new Drawn().rectangle(0, 0, 300, 200).rectangle(50, 40, 200, 120);
        return RouterJobs.run(RouterJobs.task(board.reading(), choices, "birch plywood", 12, 1));
    }

    private static RouterStop pocket(RouterRun run) {
        return run.plan().done().stream()
                .filter(s -> s.operation().equals("recess"))
                .findFirst()
                .orElseThrow();
    }

    private static RouterChoices taken(RouterChoices choices, String chain) {
        return Value.find(RouterJobValues.ALL, "chain")
                .orElseThrow()
                .put(choices, new Entry(chain, Map.of()));
    }

    private static String numbers(Chain chain) {
        return chain.tools().stream()
                .map(t -> String.valueOf(t.number()))
                .collect(Collectors.joining(" "));
    }

    @Test
    void eachLeavesLessThanTheQuickerOnes() {
        RouterRun run = run(choices());
        List<Chain> chains = run.plan().chains(pocket(run), Progress.NONE);
        assertThat(chains.size()).isGreaterThan(1);
        for (int i = 1; i < chains.size(); i++) {
            assertThat(chains.get(i).seconds()).isGreaterThan(chains.get(i - 1).seconds());
            assertThat(chains.get(i).left()).isLessThan(chains.get(i - 1).left());
        }
        Chain last = chains.get(chains.size() - 1);
        Tool three = last.tools().get(last.tools().size() - 1);
        assertThat(three.diameter()).isEqualTo(3);
        // four right angles keep r^2 (1 - pi/4) each
        assertThat(last.left()).isCloseTo(4 * 1.5 * 1.5 * (1 - Math.PI / 4), within(1e-6));
        // a corner is no reason to clear all with the smallest
        assertThat(last.tools().size()).isGreaterThan(1);
    }

    /** What is taken is planned so, in the time that was said, and leaves what was said. */
    @Test
    void aChainIsTaken() {
        RouterRun run = run(choices());
        for (Chain chain : run.plan().chains(pocket(run), Progress.NONE)) {
            RouterRun chained = run(taken(choices(), "c2 recess " + numbers(chain)));
            assertThat(chained.run().refused()).isEmpty();
            List<RouterStop> stops = chained.plan().done();
            assertThat(stops.stream().map(s -> s.tool().orElseThrow().number()))
                    .containsExactlyElementsOf(chain.tools().stream().map(Tool::number).toList());
            double seconds = chained.timeline(Progress.NONE).total();
            // going home is in the time of each of its tools there
            assertThat(seconds).isCloseTo(chain.seconds(), within(3.0 * chain.tools().size()));
            assertThat(stops.get(stops.size() - 1).figures().rest())
                    .isCloseTo(chain.left(), within(1e-3));
        }
    }

    @Test
    void anotherChainTakesThePlaceOfTheOneBefore() {
        RouterChoices first = taken(choices(), "c2 recess 1 3 4");
        assertThat(first.operations()).hasSize(3);
        RouterChoices then = taken(first, "c2 recess 2 4");
        assertThat(then.operations()).extracting(Wish::id).containsExactly("recess", "rest-1");
        assertThat(then.operations().get(1).restOf()).isEqualTo("recess");
        assertThat(taken(then, "c2 recess 3").operations()).containsExactly(RECESS);
        assertThat(taken(first, "")).isEqualTo(first);
        for (String wrong : List.of("c2", "c2 recess", "c2 recess three")) {
            assertThatThrownBy(() -> taken(first, wrong))
                    .isInstanceOf(ValueException.class)
                    .hasMessageContaining("no chain of tools");
        }
    }

    @Test
    void onlyPocketsAreClearedByChains() {
        RouterRun run = run(choices().withOperations(List.of(), false));
        RouterStop outline =
                run.plan().done().stream()
                        .filter(s -> run.plan().clearing(s).isEmpty())
                        .findFirst()
                        .orElseThrow();
        assertThat(run.plan().chains(outline, Progress.NONE)).isEmpty();
        assertThatThrownBy(
                        () ->
                                ToolChains.of(
                                        run.plan().task(),
                                        run.plan()
                                                .task()
                                                .operation(outline.operation())
                                                .orElseThrow(),
                                        run.plan().task().reading().features().get(0),
                                        List.of(),
                                        s -> 0,
                                        Progress.NONE))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
