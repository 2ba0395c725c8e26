package dev.oleander.web.job;

import static dev.oleander.work.wire.WireCutting.WIRE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Severity;
import dev.oleander.value.Source;
import dev.oleander.value.ValueException;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.web.release.ReleaseWish;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.cut.WireSettings;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Jobs on the wire machine, from the drawing to the release. */
class WireJobTest extends WebTest {

    @Autowired private ValueEdits edits;
    @Autowired private RunEdits runEdits;
    @Autowired private ReleaseService releases;

    private JobResult edit(long job, JobService.Edit edit) {
        return jobs.edit(job, "edit", edit, person("mira")).result();
    }

    private JobResult set(long job, String stop, String word, String text) {
        return edit(job, edits.ofStops(List.of(stop), Scope.ALL, Map.of(word, text)));
    }

    private JobResult setJob(long job, String word, String text) {
        return edit(job, edits.ofJob(word, text));
    }

    private static WireSettings settings(JobResult result, String subject) {
        return Wires.plan(result).orElseThrow().settings().get(subject);
    }

    private static String first(JobResult result) {
        return result.run().stops().get(0).id();
    }

    // ---- values

    @Test
    void valuesOfAStopAreSetTakenBackAndTellWhereTheyComeFrom() {
        long job = makeWireJob("shim_punch_die", "Values", 40);
        String stop = first(jobs.view(job).result());
        JobResult held = set(job, stop, "hold", "2*1.5");
        assertThat(settings(held, stop).hold()).isEqualTo(3);
        assertThat(set(job, stop, "slug", "drop").run().stops()).hasSize(1);
        JobResult back = set(job, stop, "slug", "");
        assertThat(settings(back, stop).slug()).isEqualTo(SlugHandling.HOLD_LATER);
        assertThat(set(job, stop, "finish", "fine").run().stops().get(0).passes()).hasSize(5);
        assertThat(settings(set(job, stop, "angle", "w*4"), stop).taper().usualAngle())
                .as("w is the wire")
                .isEqualTo(1);
    }

    @Test
    void whatCannotBeCutIsNotTaken() {
        long job = makeWireJob("shim_punch_die", "Refused", 40);
        String stop = first(jobs.view(job).result());
        assertThatThrownBy(() -> set(job, stop, "angle", "-12"))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("the taper of -12° closes the upper contour");
        assertThatThrownBy(() -> set(job, stop, "hole", "200 200"))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("no start hole is in reach");
        assertThatThrownBy(() -> set(job, stop, "hole", "nearby"))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("is no place");
        assertThatThrownBy(() -> set(job, stop, "slug", "melt"))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("\"melt\" is no handling of the slug: drop, ");
        assertThatThrownBy(() -> set(job, stop, "matching", "corners"))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("upper contour first");
        assertThat(jobs.view(job).result().document().choices(WIRE).stops()).isEmpty();
    }

    @Test
    void listsOfAnglesHoldsAndLinesAreRead() {
        long job = makeWireJob("hawse_funnel_die", "Lists", 20);
        JobResult result = jobs.view(job).result();
        Feature square =
                result.reading()
                        .cut()
                        .filter(f -> f.chain().segments().size() == 8)
                        .findFirst()
                        .orElseThrow();
        String stop = square.id() + ".1";
        JobResult single = set(job, stop, "elements", "1: 0; 3: 0; 5: 0; 7: 0");
        assertThat(settings(single, stop).taper().elements()).hasSize(4);
        assertThatThrownBy(() -> set(job, stop, "elements", "first: 2"))
                .hasMessageContaining("first");
        set(job, stop, "elements", "");
        JobResult holds = set(job, stop, "holdAt", "+30");
        assertThat(settings(holds, stop).slug()).isEqualTo(SlugHandling.HOLDS);
        assertThat(settings(holds, stop).holdAt()).hasSize(1);
    }

    @Test
    void whatIsPointedAtComesToWhatIsThere() {
        long job = makeWireJob("hawse_funnel_die", "Pointed", 20);
        List<Feature> cut = jobs.view(job).result().reading().cut().toList();
        Feature square =
                cut.stream()
                        .filter(f -> f.chain().segments().size() == 8)
                        .findFirst()
                        .orElseThrow();
        String stop = square.id() + ".1";
        set(job, stop, "angle", "1");
        set(job, stop, "elements", "+2: 1");
        JobResult angles = set(job, stop, "elements", "+4: 0.5*2");
        assertThat(angles.document().choices(WIRE).stops().get(square.id()).taper().elements())
                .containsOnlyKeys(1, 3);
        assertThatThrownBy(() -> set(job, stop, "elements", "+3: steep"))
                .hasMessageContaining("steep");
        set(job, stop, "elements", "");
        set(job, stop, "cornerOf", "+2");
        JobResult corners = set(job, stop, "cornerOf", "+4");
        assertThat(corners.document().choices(WIRE).stops().get(square.id()).taper().cornerOf())
                .containsOnlyKeys(1, 3);
        JobResult without = set(job, stop, "cornerOf", "+2");
        assertThat(without.document().choices(WIRE).stops().get(square.id()).taper().cornerOf())
                .as("pointed at twice")
                .containsOnlyKeys(3);
    }

    @Test
    void oneContourIsRepeated() {
        long job = makeWireJob("shim_punch_die", "Repeated", 40);
        JobResult result = jobs.view(job).result();
        String stop = first(result);
        int visits = result.run().stops().size();
        set(job, stop, "columns", "2+1");
        JobResult row = set(job, stop, "pitchX", "200");
        assertThat(Wires.plan(row).orElseThrow().copies()).hasSize(3);
        assertThat(row.run().stops()).hasSize(3 * visits);
        assertThat(row.run().layout().placed()).as("parts").isEqualTo(1);
        assertThat(row.proof().findings())
                .filteredOn(f -> f.severity() == Severity.MUST_FIX)
                .isEmpty();
        assertThatThrownBy(() -> set(job, stop, "rows", "1.5"))
                .hasMessageContaining("not a whole number");
        assertThatThrownBy(() -> set(job, stop, "columns", "0"))
                .hasMessageContaining("number of columns");
        JobResult round = set(job, stop, "roundCount", "4");
        assertThat(Wires.plan(round).orElseThrow().copies()).as("instead of the row").hasSize(4);
        JobResult none = set(job, stop, "roundCount", "");
        assertThat(Wires.plan(none).orElseThrow().copies()).hasSize(3);
    }

    @Test
    void aCopyThatDoesNotFitIsNotTaken() {
        long job = makeWireJob("shim_punch_die", "Too far", 40);
        edit(job, b -> b.document().withSheet(BedValues.STOCK.put(b.document().sheet(), "sheet")));
        String stop = first(jobs.view(job).result());
        set(job, stop, "pitchX", "900");
        assertThatThrownBy(() -> set(job, stop, "columns", "4"))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("beyond the edge of the stock");
        assertThat(Wires.plan(jobs.view(job).result()).orElseThrow().copies()).hasSize(1);
    }

    // ---- the whole job

    @Test
    void aSetAndCopiesRoundACentre() {
        long job = makeWireJob("shim_punch_die", "Set", 40);
        String contour = jobs.view(job).result().reading().cut().findFirst().orElseThrow().id();
        setJob(job, "set", contour);
        JobResult set = setJob(job, "clearance", "0.02");
        assertThat(settings(set, contour + ".1").kind()).isEqualTo(WireKind.OPENING);
        assertThat(settings(set, contour + ".2").kind()).isEqualTo(WireKind.PUNCH);
        setJob(job, "set", contour);
        JobResult round = setJob(job, "round.count", "4");
        assertThat(round.run().layout().placements()).hasSize(4);
        assertThat(round.document().choices(WIRE).round().angle().value()).isEqualTo(90);
        assertThatThrownBy(() -> setJob(job, "round.centre", "5"))
                .isInstanceOf(ValueException.class);
        assertThat(setJob(job, "round.count", "").document().choices(WIRE).round()).isNull();
    }

    @Test
    void aStopThatIsMovedTooFarIsRefusedWithTheReason() {
        long job = makeWireJob("splined_coupling", "Moved", 20);
        List<String> ids = jobs.view(job).result().run().stops().stream().map(Stop::id).toList();
        assertThat(ids.get(ids.size() - 1)).endsWith("-off");
        String last = ids.get(ids.size() - 1);
        assertThatThrownBy(() -> edit(job, runEdits.move(List.of(last), ids.get(0))))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("must come after stop");
        JobResult shifted = edit(job, runEdits.shift(List.of(ids.get(1)), true));
        assertThat(shifted.document().choices(WIRE).order()).isEqualTo(WireOrder.BY_HAND);
        assertThat(shifted.run().stops().get(0).id()).isEqualTo(ids.get(1));
    }

    // ---- pages and files

    @Test
    void theBenchShowsPassesHolesAndPeople() {
        long job = makeWireJob("shim_punch_die", "Page", 40);
        PageClient pages = new PageClient(port).signedIn("mira");
        String stop = first(jobs.view(job).result());
        String cuts = pages.get("/jobs/%d/cuts?stop=%s".formatted(job, stop)).body();
        assertThat(cuts).contains("tool steel 40, good, brass 0.25", "D21", "C105", "0.205");
        assertThat(cuts).contains("Needs people", "Runs alone");
        String whole = pages.get("/jobs/%d/cuts".formatted(job)).body();
        assertThat(whole).contains("alone, then waits once for people", "start-holes.csv");
        assertThat(pages.get("/jobs/%d/start-holes.csv".formatted(job)).body())
                .contains("\"number\",\"x\",\"y\",\"diameter\"", ",\"3\",", "\"drawn\"");
        assertThat(pages.get("/jobs/%d/start-holes.dxf".formatted(job)).body())
                .contains("START_HOLES", "CIRCLE");
        assertThat(pages.get("/jobs/%d/solid".formatted(job)).body())
                .contains("\"bodies\"", "\"exit\":\"both\"", "\"threaded\"");
        long sheet = makeJob("cleat_backing_plate", "No wire", 1);
        assertThat(pages.get("/jobs/%d/solid".formatted(sheet)).statusCode()).isEqualTo(404);
    }

    @Test
    void aSetIsReleasedWithItsPaper() throws IOException {
        long job = makeWireJob("shim_punch_die", "Released", 40);
        String contour = jobs.view(job).result().reading().cut().findFirst().orElseThrow().id();
        setJob(job, "set", contour);
        Release release = releases.release(job, person("mira"));
        assertThat(release.program()).contains("G41 D21", "M60 L3", "M50", "M00 (hold the slug");
        assertThat(release.greatestDeviation()).isLessThan(1e-3);
        ApiClient api = new ApiClient(port, "mira");
        JsonNode run = api.get("/api/jobs/%d/run".formatted(job)).json();
        JsonNode passes = run.get("stops").get(0).get("passes");
        assertThat(passes.get(0).get("seconds").asDouble())
                .as("the rough pass is the slowest")
                .isGreaterThan(1.5 * passes.get(1).get("seconds").asDouble());
        assertThat(pdf(job))
                .contains("Registers and conditions", "D21", "0.205 mm", "C105")
                .contains("Start holes", "hold the part: glue, magnet or clamp")
                .contains("Threading")
                .doesNotContain("Parts on the sheet", "Piercing");
    }

    private String pdf(long job) throws IOException {
        PageClient pages = new PageClient(port).signedIn("mira");
        Release release = releases.ofJob(job).get(0);
        byte[] file = pages.bytes("/releases/%d/sheet.pdf".formatted(release.id()));
        try (PDDocument document = Loader.loadPDF(file)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void aTrialOfOneVisitStandsAlone() {
        long job = makeWireJob("splined_coupling", "Trial", 20);
        JobResult result = jobs.view(job).result();
        List<String> stops = List.of(result.run().stops().get(1).id());
        Release trial = releases.release(job, new ReleaseWish(Map.of(), stops), person("mira"));
        assertThat(trial.program()).contains("M60", "M78 C").doesNotContain("M00");
    }

    // ---- recipes

    @Test
    void aRecipeIsKeptGivenByKindAndTakenOff() {
        long job = makeWireJob("shim_punch_die", "Kept", 40);
        String stop = first(jobs.view(job).result());
        PageClient pages = new PageClient(port).signedIn("mira");
        String at = "/jobs/%d/cuts/recipes/".formatted(job);
        assertThat(pages.post(at + "save", Map.of("name", "none", "stop", stop)).statusCode())
                .as("nothing is set that could be kept")
                .isEqualTo(422);
        set(job, stop, "hold", "2.2");
        assertThat(
                        pages.post(
                                        at + "save",
                                        Map.of("name", "short holds", "kind", "true", "stop", stop))
                                .statusCode())
                .isEqualTo(200);
        WireSettings kept = settings(jobs.view(job).result(), stop);
        assertThat(kept.hold()).isEqualTo(2.2);
        assertThat(kept.sources()).containsEntry("hold", Source.RECIPE);
        long other = makeWireJob("shim_punch_die", "Given", 40);
        String there = "/jobs/%d/cuts/recipes/".formatted(other);
        pages.post(there + "use", Map.of("name", "short holds"));
        assertThat(settings(jobs.view(other).result(), stop).hold()).isEqualTo(2.2);
        pages.post(there + "drop", Map.of("name", "short holds"));
        assertThat(settings(jobs.view(other).result(), stop).hold()).isEqualTo(5);
        assertThat(pages.get("/recipes").body())
                .contains("short holds", "width of the hold 2.2 mm");
        pages.post("/recipes/delete", Map.of("work", "wire", "name", "short holds"));
        assertThat(pages.get("/recipes").body()).doesNotContain("short holds");
    }

    @Test
    void aRecipeBringsItsOrder() {
        long job = makeWireJob("shim_punch_die", "Ordered", 40);
        String stop = first(jobs.view(job).result());
        PageClient pages = new PageClient(port).signedIn("mira");
        edit(job, b -> Orders.by(b.document(), WIRE, "passByPass"));
        String save = "/jobs/%d/cuts/recipes/save".formatted(job);
        Map<String, String> form = Map.of("name", "in passes", "order", "true", "stop", stop);
        assertThat(pages.post(save, form).statusCode()).isEqualTo(200);
        long other = makeWireJob("shim_punch_die", "Takes it up", 40);
        pages.post("/jobs/%d/cuts/recipes/use".formatted(other), Map.of("name", "in passes"));
        assertThat(jobs.view(other).result().document().choices(WIRE).order())
                .isEqualTo(WireOrder.PASS_BY_PASS);
        assertThat(pages.get("/recipes").body()).contains("order pass by pass");
        pages.post("/recipes/delete", Map.of("work", "wire", "name", "in passes"));
        edit(job, b -> b.document().rerun(WIRE, r -> r.inSequence(List.of(stop))));
        HttpResponse<String> refused = pages.post(save, form);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("An order by hand belongs to its job");
    }

    @Test
    void copiesShareASubprogramOrAreWrittenOut() {
        long job = makeWireJob("shim_punch_die", "Copies", 40);
        edit(job, b -> b.document().withOrder(b.document().order().withQuantity(3)));
        Release called = releases.release(job, person("mira"));
        assertThat(called.program()).contains("M98 P7001").contains("O7001");
        setJob(job, "calls", "false");
        Release written = releases.release(job, person("mira"));
        assertThat(written.program()).doesNotContain("M98");
        assertThat(written.program().length()).isGreaterThan(called.program().length());
        assertThat(written.seconds()).isEqualTo(called.seconds());
    }

    @Test
    void pinnedVisitsStayTogether() {
        long job = makeWireJob("splined_coupling", "Pinned", 20);
        List<String> ids = jobs.view(job).result().run().stops().stream().map(Stop::id).toList();
        List<String> pin = List.of(ids.get(0), ids.get(2));
        JobResult pinned = edit(job, b -> b.document().rerun(WIRE, r -> r.withPins(List.of(pin))));
        List<String> now = pinned.run().stops().stream().map(Stop::id).toList();
        assertThat(now.indexOf(pin.get(1))).isEqualTo(now.indexOf(pin.get(0)) + 1);
    }
}
