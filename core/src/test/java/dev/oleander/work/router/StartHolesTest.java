package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

/** Tools that do not cut in their middle come straight down in holes that are there. */
class StartHolesTest {

    private static final JsonMapper MAPPER = JsonMapper.shared();

    private static final List<FlatTool> TOOLS =
            List.of(
                    tool(
                            "{\"number\": 1, \"kind\": \"straight\", \"diameter\": 8, \"fluteLength\": 30, \"deadDiameter\": 3, \"centreCutting\": false}"),
                    tool(
                            "{\"number\": 2, \"kind\": \"drill\", \"diameter\": 10, \"angle\": 180, \"fluteLength\": 35}"),
                    tool(
                            "{\"number\": 3, \"kind\": \"drill\", \"diameter\": 8, \"angle\": 180, \"fluteLength\": 35}"));

    private static FlatTool tool(String json) {
        return MAPPER.readValue(json, FlatTool.class);
    }

    /**
     * A board of 300 x 200 with a recess; a hole in its middle, one beside the board's edge, and
     * one elsewhere.
     */
    private static RouterRun run(String... operations) {
        List<Wish> wishes = new ArrayList<>();
        for (String operation : operations) {
            wishes.add(MAPPER.readValue(operation.replace('\'', '"'), Wish.class));
        }
        Drawn board =
                new Drawn()
                        .rectangle(50, 50, 300, 200)
                        .rectangle(100, 100, 120, 80)
                        .circle(160, 140, 5)
                        .circle(200, 46, 5)
                        .circle(300, 100, 5);
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(wishes, true)
                        .withTools(TOOLS)
                        .withBlock(new Block(400.0, 300.0, null, null, null));
        return RouterJobs.run(RouterJobs.task(board.reading(), choices, "birch plywood", 12, 1));
    }

    private static final String RECESS =
            "{'id': 'recess', 'kind': 'pocket', 'tool': 1, 'depth': '5', 'on': {'contours': ['%s']},"
                    + " 'islands': {'layer': 'none'}, 'entry': {'kind': 'plunge'}}";

    private static final String OUTLINE =
            "{'id': 'outline', 'kind': 'contour', 'tool': 1, 'depth': 'through', 'on': {'contours': ['%s']},"
                    + " 'entry': {'kind': 'plunge'}}";

    private static String holes(int tool, String depth) {
        return "{'id': 'holes', 'kind': 'drill', 'tool': %d, 'depth': '%s', 'on': {'diameter': 10}}"
                .formatted(tool, depth);
    }

    private static RouterStop of(RouterRun run, String operation) {
        return run.plan().stops().stream()
                .filter(s -> s.operation().equals(operation))
                .findFirst()
                .orElseThrow();
    }

    private static String contour(double width) {
        return run(RECESS.formatted("c1")).plan().task().reading().features().stream()
                .filter(f -> Math.abs(f.chain().box().width() - width) < 1e-6)
                .findFirst()
                .orElseThrow()
                .id();
    }

    @ParameterizedTest
    @CsvSource({"recess, 120, 5", "outline, 300, through"})
    void theToolComesDownInTheHole(String what, double width, String depth) {
        String of = (what.equals("recess") ? RECESS : OUTLINE).formatted(contour(width));
        RouterRun run = run(of, holes(2, "through"));
        assertThat(run.run().refused()).isEmpty();
        assertThat(run.faults()).isEmpty();
        List<String> order = run.plan().done().stream().map(RouterStop::operation).toList();
        assertThat(order).containsExactly("holes", what);
        assertThat(of(run, what).cutting().legs())
                .filteredOn(leg -> leg.segment().isEmpty() && leg.toZ() < 0)
                .isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // none, too shallow, and a drill for another hole
                "recess | 120 | {'id': 'n', 'kind': 'follow', 'depth': '1', 'on': {'contours': ['c1']}}",
                "recess | 120 | {'id': 'h', 'kind': 'drill', 'depth': '3', 'on': {'diameter': 10}}",
                "outline | 300 | {'id': 'h', 'kind': 'drill', 'depth': '5', 'on': {'diameter': 10}}",
            })
    void withoutAHoleItIsSaidWhere(String what, double width, String other) {
        String of = (what.equals("recess") ? RECESS : OUTLINE).formatted(contour(width));
        RouterStop refused = of(run(of, other), what);
        assertThat(refused.refusal().orElseThrow())
                .containsPattern("drill a start hole|only in a hole of 8.5 mm.*Drill one at ");
    }

    @Test
    void otherOperationsAskForARampAsBefore() {
        String line =
                "{'id': 'line', 'kind': 'follow', 'tool': 1, 'depth': '2', 'on': {'contours': ['%s']},"
                        + " 'entry': {'kind': 'plunge'}}";
        RouterStop refused = of(run(line.formatted(contour(300)), holes(2, "through")), "line");
        assertThat(refused.refusal().orElseThrow()).contains("cannot plunge");
    }
}
