package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.LuminanceSource;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.Layer;
import dev.oleander.drawing.dxf.DxfReader;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.Scope;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What a release holds besides its text, its seal, and what differs between two of them. */
class ReleaseContentsTest extends WebTest {

    @Autowired private ReleaseService releases;
    @Autowired private ValueEdits valueEdits;

    private long job(String name) {
        long id = makeJob("cleat_backing_plate", name, 3);
        jobs.edit(id, "unit", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        return id;
    }

    private Release released(long job) {
        return releases.release(job, person("mira"));
    }

    @Test
    void aNameIsTextOnPaperToo() throws Exception {
        String name = "A\"; } .facts { display: none } <b>& @page { content: \"";
        Release made = released(job(name));
        try (PDDocument sheet = Loader.loadPDF(made.sheet())) {
            String text = new PDFTextStripper().getText(sheet);
            assertThat(text).contains(name + ", revision A").contains("mild steel, 6 mm");
        }
    }

    @Test
    void theShopSheetSaysWhatTheOperatorNeeds() throws Exception {
        long job = job("Sheet for the shop");
        Release made = released(job);
        JobView view = jobs.view(job);
        try (PDDocument pdf = Loader.loadPDF(made.sheet())) {
            String text = new PDFTextStripper().getText(pdf);
            assertThat(text)
                    .contains("Sheet for the shop", "Teasel, laser", made.fileName())
                    .contains("mild steel, 6 mm", "1500 x 1000 mm", "3 on this sheet, 3 wanted")
                    .contains("lower left corner of the stock", "2700 mm/min", "Slot 46");
            for (Stop stop : view.result().run().stops()) {
                assertThat(text).contains(stop.number() + " " + stop.name());
            }
            String address = read(new PDFRenderer(pdf).renderImageWithDPI(0, 200));
            assertThat(address).endsWith("/jobs/%d/release?revision=A".formatted(job));
        }
    }

    /** As a telephone would read the code on the paper. */
    private static String read(BufferedImage page) throws Exception {
        // the code stands in the upper right corner
        int half = page.getWidth() / 2;
        int[] dots = page.getRGB(half, 0, half, half, null, 0, half);
        LuminanceSource light = new RGBLuminanceSource(half, half, dots);
        return new QRCodeReader()
                .decode(
                        new BinaryBitmap(new HybridBinarizer(light)),
                        Map.of(DecodeHintType.TRY_HARDER, true))
                .getText();
    }

    @Test
    void motionAndPathAreThoseOfThePlan() {
        long job = job("Files");
        Release made = released(job);
        Program planned = jobs.view(job).result().timeline().program();
        assertThat(new KeptMotion(made).program()).isEqualTo(planned);
        PageClient pages = new PageClient(port).signedIn("tove");
        String dxf = pages.get("/releases/%d/path.dxf".formatted(made.id())).body();
        Drawing drawing =
                new DxfReader(ImportOptions.defaults())
                        .read("path", dxf.getBytes(StandardCharsets.UTF_8));
        assertThat(drawing.layers()).extracting(Layer::name).contains("CUT", "TRAVEL");
        double drawn =
                drawing.entities().stream()
                        .filter(e -> e.layer().equals("CUT"))
                        .flatMap(e -> e.segments().stream())
                        .mapToDouble(Segment::length)
                        .sum();
        double cut =
                planned.items().stream()
                        .filter(i -> i instanceof Item.Feed f && f.on())
                        .mapToDouble(i -> ((Item.Feed) i).segment().length())
                        .sum();
        assertThat(drawn).isCloseTo(cut, within(1e-3));
        ApiClient api = new ApiClient(port, "tove");
        JsonNode motion = api.get("/api/releases/%d/motion".formatted(made.id())).json();
        assertThat(motion.get("items")).hasSize(planned.size());
        assertThat(
                        pages.get("/releases/%d/sheet.pdf".formatted(made.id()))
                                .headers()
                                .firstValue("Content-Type"))
                .contains("application/pdf");
    }

    @Test
    void aChangeOfWhatIsStoredIsFound() {
        long job = job("Tampered");
        released(job);
        jobs.edit(job, "x", b -> OrderValues.QUANTITY.put(b.document(), "2"), person("mira"));
        Release second = released(job);
        ApiClient api = new ApiClient(port, "tove");
        String path = "/api/releases/%d/verify".formatted(second.id());
        JsonNode whole = api.get(path).json();
        assertThat(whole.get("intact").asBoolean()).isTrue();
        assertThat(whole.get("checks")).hasSize(2);
        PageClient pages = new PageClient(port).signedIn("tove");
        assertThat(pages.fragment("/releases/%d/verify".formatted(second.id())).body())
                .contains("Intact: 2 seals");
        rewrite(job, "P0.6", "P0.7");
        JsonNode broken = api.get(path).json();
        assertThat(broken.get("intact").asBoolean()).isFalse();
        JsonNode newest = broken.get("checks").get(0);
        assertThat(newest.get("stored")).isEqualTo(newest.get("computed"));
        JsonNode first = broken.get("checks").get(1);
        assertThat(first.get("stored")).isNotEqualTo(first.get("computed"));
        assertThat(pages.fragment("/releases/%d/verify".formatted(second.id())).body())
                .contains("Revision A is not as it was made");
        assertThat(api.get("/api/releases/999999/verify").status()).isEqualTo(404);
        rewrite(job, "P0.7", "P0.6");
        assertThat(api.get(path).json().get("intact").asBoolean()).isTrue();
    }

    /** Changes what revision A of a job holds. */
    private void rewrite(long job, String from, String to) {
        owner().execute("alter table release disable trigger release_is_immutable");
        try {
            owner().update(
                            "update release set program = replace(program, ?, ?)"
                                    + " where job_id = ? and revision = 'A'",
                            from,
                            to,
                            job);
        } finally {
            owner().execute("alter table release enable trigger release_is_immutable");
        }
    }

    @Test
    void revisionsAreComparedStopByStopAndLineByLine() {
        long job = job("Compared");
        released(job);
        String outline =
                jobs.view(job).result().run().stops().stream()
                        .filter(s -> s.name().equals("Outline"))
                        .findFirst()
                        .orElseThrow()
                        .id();
        jobs.edit(
                job,
                "over-run",
                valueEdits.ofStops(List.of(outline), Scope.COPY, Map.of("overRun", "2")),
                person("mira"));
        released(job);
        RevisionChanges changes =
                new RevisionChanges(releases.find(job, "A"), releases.find(job, "B"));
        assertThat(changes.stops()).containsExactly(Map.entry(outline, "changed"));
        assertThat(changes.lines()).filteredOn(l -> l.sign() == '+').isNotEmpty();
        assertThat(changes.lines()).filteredOn(l -> l.sign() == '-').isNotEmpty();
        assertThat(changes.lines()).anyMatch(l -> l.sign() == '…' && l.text().endsWith(" lines"));
        PageClient pages = new PageClient(port).signedIn("tove");
        String page = pages.get("/jobs/%d/release/changes?from=A&to=B".formatted(job)).body();
        assertThat(page).contains("changed</b>", outline, "revision A to B");
        assertThat(pages.get("/jobs/%d/release/changes?from=A&to=Z".formatted(job)).statusCode())
                .isEqualTo(404);
        String same = pages.get("/jobs/%d/release/changes?from=A&to=A".formatted(job)).body();
        assertThat(same).contains("Every stop does the same", "Both texts are the same");
    }
}
