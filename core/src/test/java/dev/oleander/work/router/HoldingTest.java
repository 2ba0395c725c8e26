package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.book.CutDataException;
import dev.oleander.book.RowText;
import dev.oleander.machine.Machine;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.proof.Severity;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.work.Task;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.book.Station;
import dev.oleander.work.router.book.StationTable;
import dev.oleander.work.router.choice.RouterChoices;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What carries tools, where they stand, and how long they last. */
class HoldingTest {

    private static final RouterBook BOOK = (RouterBook) RouterJobs.LIBRARY.book(RouterJobs.HAZEL);

    private static Task<RouterChoices> boards(Consumer<ObjectNode> tool) {
        JsonNode truth = RouterJobs.truth("hatch_boards").deepCopy();
        truth.at("/request/tools").forEach(t -> tool.accept((ObjectNode) t));
        return RouterJobs.task(
                Samples.reading("router/hatch_boards"),
                RouterJobs.wished(truth.get("request")),
                truth.at("/job/material").asString(),
                truth.at("/job/thickness").asDouble(),
                1);
    }

    /** The boards with the tools of the magazine. */
    private static Task<RouterChoices> withMagazine(RouterBook book) {
        Task<RouterChoices> task = boards(t -> {});
        return new Task<>(
                task.machine(),
                book,
                task.reading(),
                task.order(),
                task.bed(),
                RouterChoices.NOTHING);
    }

    private static List<Finding> findings(RouterRun run, String rule) {
        return Prover.withAllRules().prove(run.proofInput(), Map.of()).findings().stream()
                .filter(f -> f.rule().equals(rule))
                .toList();
    }

    @Test
    void aHolderThatRunsIntoTheStockIsFound() {
        RouterRun usual = RouterJobs.run(boards(t -> {}));
        assertThat(findings(usual, "holder")).isEmpty();
        RouterRun low = RouterJobs.run(boards(t -> t.put("stickOut", 12)));
        assertThat(findings(low, "holder"))
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.severity()).isEqualTo(Severity.MUST_FIX))
                .anyMatch(f -> f.sentence().contains("which stands out 12 mm"));
        // a holder as thin as the tool goes where the tool went
        RouterRun thin =
                RouterJobs.run(
                        boards(
                                t -> {
                                    t.put("stickOut", 12);
                                    t.set(
                                            "holder",
                                            JsonMapper.shared()
                                                    .readTree(
                                                            "[{\"diameter\": 1, \"height\": 60}]"));
                                }));
        assertThat(findings(thin, "holder")).isEmpty();
    }

    @Test
    void aClampInTheWayIsFound() {
        Task<RouterChoices> task = boards(t -> {});
        KeepOut clamp = new KeepOut(0, 0, 60, 60, 25);
        SheetChoices bed = task.bed().withKeepOut(List.of(clamp));
        RouterRun run =
                RouterJobs.run(
                        new Task<>(
                                task.machine(),
                                task.book(),
                                task.reading(),
                                task.order(),
                                bed,
                                task.choices()));
        assertThat(findings(run, "holder"))
                .isNotEmpty()
                .allMatch(
                        f ->
                                f.sentence()
                                        .contains(
                                                "comes to clamp 1, 25 mm over the top of the stock"));
    }

    @Test
    void aPodUnderACutIsFound() {
        Task<RouterChoices> task = boards(t -> {});
        assertThat(findings(withPods(task, "100, 100, 600, 300"), "table"))
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.severity()).isEqualTo(Severity.MUST_FIX))
                .allMatch(f -> f.sentence().contains("comes to pod 1"));
        // beside all ways
        assertThat(findings(withPods(task, "-300, -300, 100, 100"), "table")).isEmpty();
        Value<RouterChoices> pods = Value.find(RouterJobValues.ALL, "pods").orElseThrow();
        assertThatThrownBy(() -> pods.put(task.choices(), new Entry("1, 2, 3, 4, 5", Map.of())))
                .hasMessage("Pod 1 has 5 numbers; it needs four: x, y, width, depth.");
        assertThatThrownBy(() -> pods.put(task.choices(), new Entry("1, 2, 0, 4", Map.of())))
                .hasMessageContaining("The width of pod 1");
    }

    private static RouterRun withPods(Task<RouterChoices> task, String typed) {
        Value<RouterChoices> pods = Value.find(RouterJobValues.ALL, "pods").orElseThrow();
        return RouterJobs.run(
                new Task<>(
                        task.machine(),
                        task.book(),
                        task.reading(),
                        task.order(),
                        task.bed(),
                        pods.put(task.choices(), new Entry(typed, Map.of()))));
    }

    /** As high as the board: an outline that goes through comes to it, a recess does not. */
    @Test
    void aStopOfTheTableBesideACutIsFound() {
        Task<RouterChoices> task = boards(t -> {});
        RouterUnit.Stop stop = new RouterUnit.Stop("left", -30, 0, 600, 600, 4);
        Machine machine = task.machine().with(RouterUnit.of(task.machine()).with(List.of(stop)));
        RouterRun run =
                RouterJobs.run(
                        new Task<>(
                                machine,
                                task.book(),
                                task.reading(),
                                task.order(),
                                task.bed(),
                                task.choices()));
        List<Finding> found = findings(run, "table");
        assertThat(found).isNotEmpty().allMatch(f -> f.sentence().contains("comes to stop left"));
        assertThat(found)
                .allSatisfy(
                        f -> assertThat(f.value()).isLessThan(4 - run.plan().task().thickness()));
    }

    /** Deeper than the jaws are wide, and beside them. */
    @Test
    void theJawsOfTheAxisAreFound() {
        RouterRun usual = RouterJobs.requested("capstan_rim");
        assertThat(findings(usual, "table")).isEmpty();
        RouterUnit wide = RouterUnit.of(RouterJobs.HAZEL).with(new RouterUnit.Jaw(80, 88));
        JsonNode truth = RouterJobs.truth("capstan_rim");
        RouterRun run =
                RouterJobs.run(
                        new Task<>(
                                RouterJobs.HAZEL.with(wide),
                                RouterJobs.LIBRARY.book(RouterJobs.HAZEL),
                                Samples.reading("router/capstan_rim"),
                                new Task.Order(
                                        truth.at("/job/material").asString(),
                                        truth.at("/job/thickness").asDouble(),
                                        1,
                                        700),
                                SheetChoices.usual(),
                                RouterJobs.wished(truth.get("request"))));
        assertThat(findings(run, "table")).anyMatch(f -> f.sentence().contains("the jaws"));
    }

    @Test
    void toolsStandWhereTheTableSays() {
        RouterRun run = RouterJobs.run(withMagazine(BOOK));
        assertThat(findings(run, "station")).isEmpty();
        int used = run.plan().toolsInUse().get(0).number();
        RouterBook without = BOOK.changed("stations:" + used, Optional.empty());
        assertThat(findings(RouterJobs.run(withMagazine(without)), "station"))
                .anyMatch(f -> f.sentence().contains("stands in no position"));
        Station twice = new Station(40, "main", used, 0);
        RouterBook both =
                BOOK.changed("stations:40", Optional.of(JsonMapper.shared().valueToTree(twice)));
        assertThat(findings(RouterJobs.run(withMagazine(both)), "station"))
                .anyMatch(f -> f.sentence().contains("positions %d and 40".formatted(used)));
    }

    @Test
    void aWornToolIsTold() {
        RouterRun run = RouterJobs.run(withMagazine(BOOK));
        int used = run.plan().toolsInUse().get(0).number();
        ObjectNode tool =
                (ObjectNode)
                        JsonMapper.shared()
                                .valueToTree(
                                        dev.oleander.work.router.book.FlatTool.of(
                                                run.plan().toolsInUse().get(0)));
        tool.put("life", 1);
        RouterBook worn = BOOK.changed("tools:" + used, Optional.of(tool));
        assertThat(findings(RouterJobs.run(withMagazine(worn)), "station"))
                .anyMatch(f -> f.sentence().contains("of its life of 1 m there are 1 m left"));
    }

    @Test
    void anotherToolInThePositionIsANote() {
        RouterRun run = RouterJobs.run(boards(t -> {}));
        assertThat(findings(run, "station"))
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.severity()).isEqualTo(Severity.NOTE));
    }

    @Test
    void positionsAreKeptInTheBook() {
        StationTable table = BOOK.stationTable();
        assertThat(table.of(7)).hasValueSatisfying(s -> assertThat(s.unit()).isEqualTo("main"));
        Map<String, String> values =
                new TreeMap<>(table.form().write(table.rows().get(0)).values());
        values.put("used", "12.5");
        Station read = table.form().read(table.rows().get(0).id(), new RowText(values));
        assertThat(read.used()).isEqualTo(12.5);
        values.put("unit", "pantry");
        assertThatThrownBy(() -> table.form().read(table.rows().get(0).id(), new RowText(values)))
                .isInstanceOf(CutDataException.class)
                .hasMessage("The unit is \"pantry\"; known are main, bank, side, saw.");
        values.put("unit", "main");
        values.put("position", "44");
        assertThatThrownBy(() -> table.form().read(table.rows().get(0).id(), new RowText(values)))
                .hasMessageContaining("keeps its number");
    }

    @Test
    void theTopMayTearWhereTheFirstLevelIsShallow() {
        RouterRun usual = RouterJobs.requested("sole_board");
        assertThat(findings(usual, "tear")).isEmpty();
        JsonNode truth = RouterJobs.truth("sole_board").deepCopy();
        for (JsonNode tool : truth.at("/request/tools")) {
            if (tool.get("kind").asString().equals("compression")) {
                ((ObjectNode) tool).put("upCut", 15).put("passDepth", 0.5);
            }
        }
        RouterRun shallow =
                RouterJobs.run(
                        RouterJobs.task(
                                Samples.reading("router/sole_board"),
                                RouterJobs.wished(truth.get("request")),
                                truth.at("/job/material").asString(),
                                truth.at("/job/thickness").asDouble(),
                                1));
        assertThat(findings(shallow, "tear"))
                .isNotEmpty()
                .allMatch(f -> f.sentence().contains("only from 15 mm on"));
    }
}
