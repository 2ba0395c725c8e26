package dev.oleander.web.bench;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.RunEdits;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.ProgramText;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the bench is told about leads, pins, gains and common lines. */
class LeadsTest extends WebTest {

    @Autowired private ValueEdits edits;
    @Autowired private RunEdits runEdits;

    private PageClient pages;
    private long job;

    @BeforeEach
    void openJob() {
        pages = new PageClient(port).signedIn("mira");
        job = makeJob("cleat_backing_plate", "Leads", 4);
    }

    private List<String> ids() {
        return jobs.view(job).result().run().stops().stream().map(Stop::id).toList();
    }

    @Test
    void placesAreAskedForByStopAndWhatIsWrongIsNamed() {
        String at = "/jobs/%d/cuts/".formatted(job);
        assertThat(pages.get(at + "why?stop=c1.1").body())
                .contains("\"worth\"", "\"chosen\"", "This one is worth most");
        assertThat(pages.get(at + "why?stop=c99.1").statusCode()).isEqualTo(404);
        assertThat(pages.get(at + "lead?stop=c1.1&start=12").body()).contains("\"fits\":true");
        assertThat(pages.get(at + "lead?stop=c1.1&start=-1").statusCode()).isEqualTo(400);
        assertThat(pages.get(at + "lead?stop=c1.1&start=far").statusCode()).isEqualTo(400);
    }

    @Test
    void onlyAStretchCanBePinned() {
        List<String> ids = ids();
        assertThatThrownBy(
                        () ->
                                jobs.edit(
                                        job,
                                        "x",
                                        runEdits.pin(List.of(ids.get(0), ids.get(3))),
                                        person("mira")))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("follow each other");
        List<String> stretch = ids.subList(2, 5);
        jobs.edit(job, "x", runEdits.pin(stretch), person("mira"));
        assertThat(jobs.view(job).document().choices(SHEET).run().pins()).containsExactly(stretch);
        jobs.edit(job, "x", runEdits.move(List.of(ids.get(3)), ids.get(0)), person("mira"));
        assertThat(ids()).as("the whole stretch moved").startsWith(stretch.toArray(String[]::new));
        jobs.edit(job, "x", runEdits.unpin(List.of(ids.get(2))), person("mira"));
        assertThat(jobs.view(job).document().choices(SHEET).run().pins()).isEmpty();
    }

    @Test
    void anotherOrderSaysWhatItGains() {
        List<String> worst = ids();
        jobs.edit(
                job,
                "x",
                b ->
                        b.document()
                                .with(
                                        SHEET,
                                        b.document()
                                                .choices(SHEET)
                                                .withRun(
                                                        RunChoices.USUAL.inSequence(
                                                                crossed(worst)))),
                person("mira"));
        String better = "/jobs/%d/cuts/order-rule".formatted(job);
        String answer = pages.post(better, Map.of("step", "2", "value", "shortest")).body();
        assertThat(answer).contains("Against the order before: ", " m less travel");
        JobView now = jobs.view(job);
        assertThat(OrderGain.sentence(now.result(), now.result())).isEmpty();
    }

    /** Holes of all copies by turns, then the outlines. */
    private static List<String> crossed(List<String> ids) {
        return ids.stream()
                .sorted(
                        Comparator.comparing((String id) -> id.startsWith("c1."))
                                .thenComparing(id -> id.substring(0, id.indexOf('.')))
                                .thenComparing(id -> id))
                .toList();
    }

    @Test
    void commonLinesAreSaidOnTheSheetAndOnTheStop() {
        jobs.edit(
                job,
                "x",
                b ->
                        b.document()
                                .withSheet(
                                        BedValues.COMMON_LINES.put(b.document().sheet(), "true")),
                person("mira"));
        assertThat(pages.get("/jobs/%d/sheet".formatted(job)).body())
                .contains("are cut once for two parts");
        Stop sharing =
                jobs.view(job).result().run().stops().stream()
                        .filter(s -> !SheetCut.of(s).shared().isEmpty())
                        .findFirst()
                        .orElseThrow();
        assertThat(pages.get("/jobs/%d/cuts?stop=%s".formatted(job, sharing.id())).body())
                .contains("a common line");
    }

    @Test
    void programsHaveTheWordsOfTheControllersCompensation() {
        String outline = "c1.1";
        pages.post(
                "/jobs/%d/cuts/values".formatted(job),
                Map.of(
                        "step",
                        "1",
                        "stop",
                        outline,
                        "scope",
                        "all",
                        "field",
                        "compensation",
                        "value",
                        "controller"));
        var checked =
                ProgramText.of(
                                jobs.view(job).result(),
                                jobs.view(job).result().dialect(),
                                frame(),
                                Set.of())
                        .checked();
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.written().text()).contains("G41 D1", "D1 = 0.13");
        int moves = jobs.view(job).result().timeline().program().size();
        assertThat(checked.written().itemOfLine()).allMatch(i -> i < moves);
    }

    private static Map<String, String> frame() {
        return Map.of(
                "number",
                "0001",
                "job",
                "x",
                "revision",
                "A",
                "date",
                "2026-01-02",
                "quantity",
                "1",
                "material",
                "mild steel",
                "thickness",
                "6",
                "stockWidth",
                "1",
                "stockHeight",
                "1");
    }

    @Test
    void theInterfaceTellsTabsAndWhatALotCosts() {
        jobs.edit(
                job,
                "x",
                edits.ofStops(List.of("c1.1"), Scope.ALL, Map.of("tabs.count", "2")),
                person("mira"));
        ApiClient api = new ApiClient(port, "mira");
        String run = api.get("/api/jobs/%d/run".formatted(job)).text();
        assertThat(run).contains("\"tabs\":[{\"from\":", "\"comesLow\":true");
        var patient = api.prefer("wait=60");
        String estimate = patient.get("/api/jobs/%d/estimate?quantity=3".formatted(job)).text();
        assertThat(estimate).contains("\"machine\":\"Teasel\"", "\"process\":\"punching\"");
        assertThat(api.get("/api/jobs/%d/estimate?quantity=0".formatted(job)).status())
                .isEqualTo(422);
    }

    @Test
    void aMachineChangedTakesItsOwnRules() {
        jobs.edit(job, "x", b -> OrderValues.MACHINE.put(b.document(), "sorrel"), person("mira"));
        assertThat(jobs.view(job).result().run().stops())
                .noneMatch(s -> SheetCut.of(s).approach().low());
    }
}
