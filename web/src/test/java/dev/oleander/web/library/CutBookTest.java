package dev.oleander.web.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.book.RowText;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.book.Books;
import dev.oleander.web.book.Shelf;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.store.Stage;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Cut books that the shop changes, and jobs that follow. */
class CutBookTest extends WebTest {

    @Autowired private Books books;
    @Autowired private MachineLibrary machines;
    @Autowired private ReleaseService releases;

    private PageClient pages;
    private Machine teasel;

    @BeforeEach
    void signIn() {
        pages = new PageClient(port).signedIn("anselm");
        teasel = machines.find("teasel").orElseThrow();
    }

    @AfterEach
    void asItShipped() {
        owner().execute("alter table book_change disable trigger user");
        owner().update("delete from book_change");
        owner().execute("alter table book_change enable trigger user");
    }

    private Map<String, String> form(CutRow row) {
        Map<String, String> form = new HashMap<>(book().form().write(row).values());
        form.put("copy", "false");
        form.put("note", "");
        return form;
    }

    private CutBook book() {
        return (CutBook) books.of(teasel);
    }

    private CutRow six() {
        return book().find("mild steel", 6, "standard");
    }

    @Test
    void aChangedRowIsUsedByJobsAndListedWithWhoAndWhy() {
        long job = makeJob("cleat_backing_plate", "Follows the book", 1);
        double before = feed(job);
        Map<String, String> form = form(six());
        form.put("feed", "2000");
        form.put("note", "worn nozzle");
        HttpResponse<String> answer = pages.post("/machines/teasel/rows/ms-6-standard", form);
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(feed(job)).isEqualTo(2000).isNotEqualTo(before);
        assertThat(pages.get("/machines/teasel").body())
                .contains("feed " + (int) before + ".0 to 2000.0", "worn nozzle", "Anselm");
    }

    private double feed(long job) {
        return jobs.view(job).result().run().stops().get(0).passes().get(0).feed();
    }

    @Test
    void aReleaseGoesStaleWhenItsDataChange() {
        long job = makeJobInMillimetres("cleat_backing_plate", "Stale by data", 1);
        releases.release(job, person("mira"));
        assertThat(jobs.view(job).stage(Stage.RELEASE).sentence()).doesNotContain("stale");
        Map<String, String> wider = new HashMap<>(book().form().write(six()).values());
        wider.put("kerf", "0.3");
        books.save(Shelf.of(teasel), "ms-6-standard", new RowText(wider), "", person("anselm"));
        assertThat(jobs.view(job).stage(Stage.RELEASE).sentence()).contains("stale");
    }

    @Test
    void aValueThatCannotBeIsRefusedAndNothingIsLost() {
        Map<String, String> form = form(six());
        form.put("feed", "0");
        form.put("note", "a try");
        HttpResponse<String> answer = pages.post("/machines/teasel/rows/ms-6-standard", form);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("Feed is 0; it must be more than 0", "value=\"a try\"", "value=\"0\"");
        assertThat(six().feed()).isEqualTo(2700);
    }

    @Test
    void rowsAreCopiedFoundAndTakenAway() {
        Map<String, String> form = form(six());
        form.put("copy", "true");
        assertThat(pages.post("/machines/teasel/rows/ms-6-standard", form).body())
                .contains("has a row for mild steel 6, standard already");
        form.put("thickness", "5");
        assertThat(pages.post("/machines/teasel/rows/ms-6-standard", form).statusCode())
                .isEqualTo(302);
        assertThat(pages.get("/machines/teasel?find=steel+5+standard").body())
                .contains("id=\"mild-steel-5-standard\"")
                .doesNotContain("id=\"ms-6-standard\"");
        assertThat(
                        pages.post("/machines/teasel/rows/mild-steel-5-standard/delete", Map.of())
                                .statusCode())
                .isEqualTo(302);
        assertThat(book().find("mild steel", 5, "standard").interpolated()).isTrue();
        assertThat(pages.post("/machines/teasel/rows/none/delete", Map.of()).statusCode())
                .isEqualTo(422);
    }

    @Test
    void aFileIsTakenWholeOrNotAtAll() {
        String csv = books.csv(Shelf.of(teasel));
        String changed = csv.replace(",2700,", ",2650,");
        assertThat(books.load(Shelf.of(teasel), changed, "file", person("anselm"))).isEqualTo(44);
        assertThat(six().feed()).isEqualTo(2650);
        assertThat(books.history(teasel)).hasSize(1);
        String broken = changed.replace(",2650,", ",2600,").replace(",28000,", ",-1,");
        assertThatThrownBy(() -> books.load(Shelf.of(teasel), broken, "file", person("anselm")))
                .hasMessageContaining("Feed is -1");
        assertThat(six().feed()).isEqualTo(2650);
    }

    @Test
    void aTestCutCalibratesTheWaterjetForEverybody() {
        long job = makeJob("cleat_backing_plate", "By water", 1);
        jobs.edit(job, "x", b -> OrderValues.MACHINE.put(b.document(), "yarrow"), person("mira"));
        double before = feed(job);
        Map<String, String> cut =
                Map.of(
                        "material",
                        "mild steel",
                        "thickness",
                        "6",
                        "quality",
                        "standard",
                        "feed",
                        "300");
        assertThat(pages.post("/machines/yarrow/calibration", cut).statusCode()).isEqualTo(302);
        assertThat(feed(job)).isNotEqualTo(before).isBetween(299.9, 300.1);
        assertThat(pages.get("/machines/yarrow").body()).contains("test cut of 6 mm", "300 mm/min");
        Map<String, String> none = new HashMap<>(cut);
        none.put("feed", "-3");
        assertThat(pages.post("/machines/yarrow/calibration", none).statusCode()).isEqualTo(422);
        assertThat(pages.post("/machines/teasel/calibration", cut).body())
                .contains("nothing to calibrate");
    }

    @Test
    void anOperatorLooksOnly() {
        PageClient operator = new PageClient(port).signedIn("tove");
        assertThat(operator.get("/machines/teasel").body()).doesNotContain(">Change<");
        assertThat(operator.post("/machines/teasel/rows/ms-6-standard", form(six())).statusCode())
                .isEqualTo(403);
    }

    @Test
    void stopsOfInterpolatedRowsSaySo() {
        long job = makeJob("cleat_backing_plate", "Between", 1);
        jobs.edit(job, "x", b -> OrderValues.THICKNESS.put(b.document(), "7"), person("mira"));
        List<Stop> stops = jobs.view(job).result().run().stops();
        assertThat(stops).allMatch(s -> SheetCut.of(s).row().orElseThrow().interpolated());
        assertThat(pages.get("/jobs/%d/cuts?stop=%s".formatted(job, stops.get(0).id())).body())
                .contains("interpolated");
    }
}
