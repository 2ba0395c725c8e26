package dev.oleander.web.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.stop.Stop;
import dev.oleander.value.ValueException;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.SlipRow.Own;
import dev.oleander.web.bench.SlipRows;
import dev.oleander.web.bench.SlipSection;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.source.Upload;
import dev.oleander.work.router.RouterRun;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the bench and the papers say of a router. */
class RouterPagesTest extends WebTest {

    private static final EditError NO_ERROR = new EditError("", "", "");

    @Autowired private ValueEdits edits;
    @Autowired private RouterPages pages;
    @Autowired private RouterPaper paper;

    private RouterCalls calls;
    private PageClient client;

    @BeforeEach
    void signIn() {
        calls = new RouterCalls(port);
        client = new PageClient(port).signedIn("mira");
    }

    private JobResult set(long job, String stop, String word, String text) {
        return jobs.edit(
                        job,
                        "x",
                        edits.ofStops(List.of(stop), Scope.ALL, Map.of(word, text)),
                        person("mira"))
                .result();
    }

    private JobResult setJob(long job, String word, String text) {
        return jobs.edit(job, "x", edits.ofJob(word, text), person("mira")).result();
    }

    private static Stop stop(JobResult result, String name) {
        return result.run().stops().stream()
                .filter(s -> s.name().contains(name))
                .findFirst()
                .orElseThrow();
    }

    private static <M> List<M> rows(List<SlipSection> slip, Class<M> of) {
        return SlipRows.all(slip, Own.class).stream()
                .map(Own::model)
                .filter(List.class::isInstance)
                .flatMap(m -> ((List<?>) m).stream())
                .filter(of::isInstance)
                .map(of::cast)
                .toList();
    }

    @Test
    void theSlipHasWhatIsDoneAndSaysWhyToolsCannot() {
        long job = calls.requested("instrument_panel");
        JobResult result = jobs.view(job).result();
        List<SlipSection> pocket = pages.ofStops(result, List.of(stop(result, "recess")), NO_ERROR);
        assertThat(SlipRows.names(pocket))
                .contains("tool", "depth", "stepDown", "stepOver", "allowance")
                .doesNotContain("tabs.count", "ends", "work");
        List<RouterStopSlip.ToolLine> tools = rows(pocket, RouterStopSlip.ToolLine.class);
        assertThat(tools).filteredOn(RouterStopSlip.ToolLine::used).hasSize(1);
        assertThat(tools)
                .filteredOn(t -> t.name().contains("drill"))
                .isNotEmpty()
                .allSatisfy(t -> assertThat(t.cannot()).contains("cannot clear a pocket"));
        assertThat(rows(pocket, RouterStopSlip.Level.class)).hasSize(2);
        List<SlipSection> outline =
                pages.ofStops(result, List.of(stop(result, "outline")), NO_ERROR);
        assertThat(SlipRows.names(outline)).contains("tabs.count", "side");
        String page = client.get("/jobs/%d/cuts".formatted(job)).body();
        assertThat(page).contains("3 tool changes", "recess", "Depth at a place");
    }

    @Test
    void aValueOfEqualHolesIsSetForAllOfThemAndUndone() {
        long job = calls.requested("instrument_panel");
        JobResult before = jobs.view(job).result();
        Stop holes = stop(before, "switches");
        JobResult after = set(job, holes.id(), "depth", "T/2");
        assertThat(after.run().stops()).hasSameSizeAs(before.run().stops());
        RouterRun run = after.own(RouterRun.class).orElseThrow();
        assertThat(run.plan().stop(holes.id()).orElseThrow().wanted().depth()).isEqualTo(6);
        client.post("/jobs/%d/cuts/undo".formatted(job), Map.of());
        RouterRun undone = jobs.view(job).result().own(RouterRun.class).orElseThrow();
        assertThat(undone.plan().stop(holes.id()).orElseThrow().wanted().depth()).isGreaterThan(12);
    }

    @Test
    void anOperationIsPutToAContourBesidesAndTakenOut() {
        long job = calls.make("hatch_boards", "birch plywood", 18, 1);
        JobResult before = jobs.view(job).result();
        Stop slot = stop(before, "Slot");
        set(job, slot.id(), "work", "pocket");
        JobResult pockets = set(job, slot.id(), "depth", "5");
        Stop pocket = pockets.run().stop(slot.id()).orElseThrow();
        List<SlipSection> slip = pages.ofStops(pockets, List.of(pocket), NO_ERROR);
        String rest =
                rows(slip, RouterStopSlip.Besides.class).stream()
                        .map(RouterStopSlip.Besides::value)
                        .filter(v -> v.startsWith("rest"))
                        .findFirst()
                        .orElseThrow();
        JobResult more = setJob(job, "addOperation", rest);
        Stop added = stop(more, "rest-1");
        assertThat(added.feature()).isEqualTo(slot.feature());
        RouterRun run = more.own(RouterRun.class).orElseThrow();
        assertThat(run.plan().stop(added.id()).map(s -> s.operation())).contains("rest-1");
        JobResult without = setJob(job, "dropOperation", "rest-1");
        assertThat(without.run().stops()).hasSize(more.run().stops().size() - 1);
        assertThatThrownBy(() -> setJob(job, "dropOperation", "rest-1"))
                .isInstanceOf(ValueException.class);
        assertThatThrownBy(() -> setJob(job, "addOperation", "weave c1"))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("weave");
    }

    @Test
    void aNewVersionOfTheDrawingKeepsWhatWasSet() {
        long job = calls.make("hatch_boards", "birch plywood", 18, 1);
        Stop outline = stop(jobs.view(job).result(), "Outline");
        set(job, outline.id(), "tabs.count", "5");
        byte[] same = sample("router/hatch_boards");
        jobs.revise(
                job, jobs.view(job).step(), List.of(new Upload("again.dxf", same)), person("mira"));
        JobResult after = jobs.view(job).result();
        assertThat(after.run().stops())
                .filteredOn(s -> s.name().equals("Outline"))
                .extracting(s -> s.tabs().size())
                .contains(5);
    }

    @Test
    void theSheetOfPaperListsToolsWithTheirPlaces() {
        long job = calls.requested("instrument_panel");
        JobResult result = jobs.view(job).result();
        var content = paper.of(result, result.run(), result.timeline());
        List<?> tools = (List<?>) content.own().model().get("tools");
        assertThat(tools).hasSize(4);
        assertThat(content.stops())
                .anySatisfy(
                        s -> {
                            assertThat(s.name()).contains("outline");
                            assertThat(s.note()).contains("12.3 mm deep", "6 tabs");
                        });
        assertThat(content.facts()).anySatisfy(f -> assertThat(f.name()).isEqualTo("Zero of Z"));
    }

    @Test
    void theTableIsToldHowDeepTheStockIsCut() {
        long job = calls.requested("drain_board");
        RouterRun run = jobs.view(job).result().own(RouterRun.class).orElseThrow();
        RouterScene scene = RouterScene.of(run);
        assertThat(scene.floors()).isNotEmpty();
        assertThat(scene.grooves())
                .as("as wide as the blade, not as its disc")
                .allSatisfy(g -> assertThat(g.width()).isLessThan(10));
        assertThat(scene.ways()).hasSameSizeAs(run.plan().done());
        String told = client.get("/jobs/%d/depth?x=210&y=160".formatted(job)).body();
        assertThat(told).contains("mm deep, wanted").contains("by stop");
        assertThat(client.get("/jobs/%d/depth?x=9000&y=1".formatted(job)).body())
                .isEqualTo("Nothing is cut here.");
        assertThat(client.get("/jobs/1/depth?x=1&y=1").statusCode()).isEqualTo(404);
    }

    @Test
    void demoJobsOfTheRouterArePlanned() {
        List<String> names = List.of("Instrument panel", "Name board, carved", "Hatch boards");
        for (String name : names) {
            String found =
                    client.get("/?text=" + name.replace(" ", "+").replace(",", "%2C")).body();
            assertThat(found).contains(name, "Hazel");
        }
    }
}
