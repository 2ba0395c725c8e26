package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.ReadBack;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Excerpt;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.store.Stage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Releases with parameters, of some stops only, in several files, begun again. */
class ReleaseWishTest extends WebTest {

    private static final Dialect TEASEL = DialectLibrary.shipped().find("teasel").orElseThrow();

    @Autowired private ReleaseService releases;
    @Autowired private Verifier verifier;
    @Autowired private Resuming resuming;
    @Autowired private Formats formats;

    @AfterEach
    void formatsAsTheyShipped() {
        owner().execute("alter table format_version disable trigger user");
        owner().update("delete from format_version");
        owner().execute("alter table format_version enable trigger user");
    }

    private long releasable(String name) {
        long id = makeJob("cleat_backing_plate", name, 3);
        jobs.edit(id, "unit", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        return id;
    }

    // ---- trials

    @Test
    void aTrialCutsOnlyItsStopsAndIsMarkedAsSuch() throws IOException {
        long job = releasable("Trial");
        List<String> stops =
                jobs.view(job).result().run().stops().subList(2, 4).stream()
                        .map(s -> s.id())
                        .toList();
        Release trial = releases.release(job, new ReleaseWish(Map.of(), stops), person("mira"));
        assertThat(trial.trial()).isTrue();
        assertThat(trial.revision()).isEqualTo("T1");
        assertThat(trial.program()).contains("T1 trial of 2 stops");
        assertThat(Excerpt.stops(new KeptMotion(trial).program())).isEqualTo(stops);
        ReadBack back = new DialectReader(TEASEL).read(trial.program());
        assertThat(back.problems()).isEmpty();
        String paper = text(trial.sheet());
        assertThat(paper).contains("Trial of 2 of the 24 stops of this run.");
        assertThat(paper).doesNotContain("Sheets to cut", "Parts on the sheet");
        Program motion = jobs.view(job).result().timeline().program();
        List<String> lines = trial.program().lines().toList();
        List<Integer> items = ReleaseService.itemsOfLines(trial, motion);
        assertThat(items).hasSameSizeAs(lines).anyMatch(i -> i >= 0);
        for (int i = 0; i < lines.size(); i++) {
            if (items.get(i) >= 0) {
                assertThat(motion.items().get(items.get(i)).origin().stop()).isIn(stops);
            }
        }
        assertThat(trial.seconds()).isLessThan(jobs.view(job).result().timeline().total() / 3);
        assertThat(jobs.view(job).stage(Stage.RELEASE).isReady())
                .as("the job itself is not released")
                .isFalse();
        Release whole = releases.release(job, person("mira"));
        assertThat(whole.revision()).isEqualTo("A");
        assertThat(whole.previousSha256()).isEqualTo(trial.sha256());
        assertThat(verifier.release(whole.id()).intact()).isTrue();
        assertThat(jobs.view(job).stage(Stage.RELEASE).isReady()).isTrue();
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void aTrialOfNothingThatIsCutIsRefused() {
        long job = releasable("No trial");
        ReleaseWish wish = new ReleaseWish(Map.of(), List.of("c99.1"));
        assertThatThrownBy(() -> releases.release(job, wish, person("mira")))
                .isInstanceOf(ReleaseRefusedException.class)
                .hasMessageContaining("There is no stop \"c99.1\"");
    }

    // ---- parameters

    @Test
    void parametersAreWrittenCheckedAndKept() {
        String yaml =
                DialectLibrary.description("teasel")
                                .replace("G40 G17\"", "G40 G17 {{field}}\"")
                                .replace("G40, G17]", "G40, G17, G54, G55]")
                        + "parameters:\n"
                        + "  - {name: field, label: Field, type: choice, choices: [G54, G55],"
                        + " usual: G54}\n";
        formats.save("teasel", 1, yaml, "fields", person("mira"));
        long job = releasable("Parameters");
        PageClient pages = new PageClient(port).signedIn("mira");
        assertThat(pages.get("/jobs/%d/release".formatted(job)).body())
                .contains("parameter-field", "G55");
        ApiClient api = new ApiClient(port, "mira");
        String path = "/api/jobs/%d/releases".formatted(job);
        var wrong = api.send("POST", path, "{\"parameters\": {\"field\": \"G99\"}}");
        assertThat(wrong.status()).isEqualTo(409);
        assertThat(wrong.detail()).contains("Field is \"G99\"; it must be one of G54, G55.");
        JsonNode made = api.send("POST", path, "{\"parameters\": {\"field\": \"G55\"}}").json();
        Release release = releases.find(made.get("id").asLong());
        assertThat(release.program()).contains("G40 G17 G55");
        assertThat(release.parameters()).containsEntry("field", "G55");
        Map<String, String> again = new HashMap<>(Map.of("parameter-field", "G54"));
        jobs.edit(job, "x", b -> OrderValues.QUANTITY.put(b.document(), "2"), person("mira"));
        pages.post("/jobs/%d/release/releases".formatted(job), again);
        assertThat(releases.find(job, "B").program()).contains("G40 G17 G54");
    }

    // ---- several files

    @Test
    void aProgramThatIsTooLongComesInSeveralFiles() throws Exception {
        String yaml = DialectLibrary.description("teasel") + "limits: {blocks: 90}\n";
        formats.save("teasel", 1, yaml, "small memory", person("mira"));
        long job = releasable("Files");
        Release made = releases.release(job, person("mira"));
        byte[] zip = ReleaseFiles.program(made).getBody();
        List<String> names = new ArrayList<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                String text = new String(in.readAllBytes(), StandardCharsets.US_ASCII);
                assertThat(text.lines().count()).isLessThanOrEqualTo(90);
                assertThat(new DialectReader(TEASEL).read(text).problems()).isEmpty();
                names.add(entry.getName());
            }
        }
        assertThat(names).hasSizeGreaterThan(2);
        assertThat(names.get(1)).endsWith("-A-2.nc");
        assertThat(verifier.release(made.id()).intact()).isTrue();
        assertThat(resuming.starts(made)).extracting(Resuming.Start::file).contains(1, 2);
        programsAreAskedForOneByOne(made, names);
    }

    private void programsAreAskedForOneByOne(Release made, List<String> names) {
        ApiClient mira = new ApiClient(port, "mira");
        String path = "/api/releases/%d/program".formatted(made.id());
        ApiClient.Answer whole = mira.get(path);
        assertThat(whole.status()).isEqualTo(409);
        assertThat(whole.detail()).contains("%d programs".formatted(names.size()));
        JsonNode listed = mira.get(path + "s").json();
        assertThat(listed).hasSize(names.size());
        for (int i = 0; i < names.size(); i++) {
            assertThat(listed.get(i).get("name").asString()).isEqualTo(names.get(i));
            String text = mira.get(path + "s/" + (i + 1)).text();
            assertThat(text.lines().count()).isEqualTo(listed.get(i).get("lines").asLong());
        }
    }

    @Test
    void aProgramThatNoFileHoldsIsToldBeforeTheRelease() {
        String yaml = DialectLibrary.description("teasel") + "limits: {blocks: 20}\n";
        formats.save("teasel", 1, yaml, "tiny memory", person("mira"));
        long job = releasable("Too long");
        PageClient pages = new PageClient(port).signedIn("mira");
        HttpResponse<String> page = pages.get("/jobs/%d/release".formatted(job));
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.body()).contains("alone has", "20 blocks");
        assertThat(pages.get("/jobs/%d/program".formatted(job)).statusCode()).isEqualTo(422);
        ApiClient mira = new ApiClient(port, "mira");
        ApiClient.Answer refused = mira.send("POST", "/api/jobs/%d/releases".formatted(job), "{}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).contains("alone has");
    }

    // ---- pages that somebody else overtook

    @Test
    void whatOthersChangedMeanwhileIsNeitherReleasedNorTakenBack() {
        long job = releasable("Overtaken");
        String seen = String.valueOf(jobs.view(job).step());
        jobs.edit(
                job,
                "Lead of stop 3",
                b -> OrderValues.QUANTITY.put(b.document(), "4"),
                person("anselm"));
        PageClient pages = new PageClient(port).signedIn("mira");
        String bench = "/jobs/%d/release/".formatted(job);
        for (String change : List.of("releases", "undo", "redo")) {
            HttpResponse<String> refused = pages.post(bench + change, Map.of("step", seen));
            assertThat(refused.statusCode()).as(change).isEqualTo(409);
            assertThat(refused.body()).contains("Anselm", "Lead of stop 3");
        }
        assertThat(releases.ofJob(job)).isEmpty();
        assertThat(jobs.view(job).document().quantity()).isEqualTo(4);
        String now = String.valueOf(jobs.view(job).step());
        assertThat(pages.post(bench + "releases", Map.of("step", now)).statusCode()).isEqualTo(200);
    }

    // ---- begun again

    @Test
    void anyStopCanBeTheFirstOfTheRest() {
        long job = releasable("Begin again");
        Release made = releases.release(job, person("mira"));
        List<String> stops = Excerpt.stops(new KeptMotion(made).program());
        List<Resuming.Start> starts = resuming.starts(made);
        assertThat(starts).extracting(Resuming.Start::stop).isEqualTo(stops);
        List<String> lines = made.program().lines().toList();
        for (Resuming.Start start : starts) {
            assertThat(lines.get(start.line() - 2)).contains(start.name());
        }
        int from = 7;
        Program rest =
                new DialectReader(TEASEL).read(resuming.from(made, stops.get(from))).program();
        List<Point> cuts = cuts(new DialectReader(TEASEL).read(made.program()).program());
        List<Point> left = cuts(rest);
        assertThat(left).isEqualTo(cuts.subList(cuts.size() - left.size(), cuts.size()));
        Item.Rapid first =
                (Item.Rapid)
                        rest.items().stream()
                                .filter(Item.Rapid.class::isInstance)
                                .findFirst()
                                .orElseThrow();
        assertThat(first.to()).isEqualTo(starts.get(from).at());
        assertThatThrownBy(() -> resuming.from(made, "c99.1"))
                .isInstanceOf(NotFoundException.class)
                .hasMessageContaining("has no stop");
        PageClient operator = new PageClient(port).signedIn("tove");
        assertThat(operator.get("/releases/%d/starts".formatted(made.id())).body())
                .contains("program from here", "Slot 46");
        assertThat(
                        operator.get(
                                        "/releases/%d/program-from?stop=%s"
                                                .formatted(made.id(), stops.get(from)))
                                .body())
                .contains("revision A from stop 8");
    }

    @Test
    void theFormatOfThatTimeIsKept() {
        long job = releasable("Format then");
        Release made = releases.release(job, person("mira"));
        String changed = DialectLibrary.description("teasel").replace("\"M25\"", "\"M95\"");
        formats.save("teasel", 1, changed, "new controller", person("mira"));
        assertThat(resuming.format(made).events()).containsEntry("processOff", "M25");
        assertThat(resuming.from(made, resuming.starts(made).get(2).stop())).contains(" M25");
        assertThat(jobs.view(job).stage(Stage.RELEASE).sentence()).isEqualTo("revision A, stale");
        Release next = releases.release(job, person("mira"));
        assertThat(next.revision()).isEqualTo("B");
        assertThat(next.program()).contains(" M95");
    }

    /** Where all cuts end. */
    private static List<Point> cuts(Program program) {
        return program.items().stream()
                .filter(Item.AtFeed.class::isInstance)
                .map(i -> ((Item.AtFeed) i).end())
                .toList();
    }
}
