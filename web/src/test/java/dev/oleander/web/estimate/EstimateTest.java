package dev.oleander.web.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.price.Estimate;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.load.CallerLeftException;
import dev.oleander.web.load.Callers;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

class EstimateTest extends WebTest {

    @Autowired private Estimates estimates;
    @Autowired private JdbcTemplate sql;
    @Autowired private QuotePdf pdf;

    private static final Duration PATIENCE = Duration.ofMinutes(1);

    private PageClient pages;
    private long job;

    @BeforeEach
    void openJob() {
        pages = new PageClient(port).signedIn("mira");
        job = makeJob("cleat_backing_plate", "What it costs", 12);
    }

    private List<Estimate> all(int quantity) {
        Estimates.Told told = estimates.await(job, quantity, person("mira"), PATIENCE);
        assertThat(told.isDone()).isTrue();
        assertThat(told.missing()).isEmpty();
        return told.soFar();
    }

    private String rows() {
        return pages.fragment("/jobs/%d/estimate/rows".formatted(job)).body();
    }

    @Test
    void everyMachineAndPunchingStandSideBySide() {
        List<Estimate> all = all(12);
        assertThat(all)
                .extracting(Estimate::machine)
                .containsExactly("Teasel", "Sorrel", "Yarrow", "Bracken", "Hazel", "Tansy");
        assertThat(all)
                .filteredOn(e -> !e.isPossible())
                .extracting(Estimate::cannot)
                .satisfiesExactly(
                        wire ->
                                assertThat(wire)
                                        .as("the wire's data begin at 10 mm")
                                        .contains("from 10 to 80 mm; the work is 6 mm high"),
                        router ->
                                assertThat(router)
                                        .contains("tools of Hazel have no data for mild steel"));
        assertThat(all.get(2).seconds()).isGreaterThan(3 * all.get(0).seconds());
        String rows = rows();
        assertThat(rows).doesNotContain("hx-get", "<progress");
        assertThat(rows).contains("this job", "lowest", "round 11: 4");
        assertThat(rows.split("lowest\"")).as("one of them").hasSize(2);
    }

    @Test
    void aMachineWithoutDataSaysWhyAndIsNotQuoted() {
        jobs.edit(job, "x", b -> OrderValues.THICKNESS.put(b.document(), "40"), person("mira"));
        all(12);
        String rows = rows();
        assertThat(rows).contains("the job is 40 mm thick", "is punched up to 6 mm");
        HttpResponse<String> quote = pages.get("/jobs/%d/quote.pdf?machine=teasel".formatted(job));
        assertThat(quote.statusCode()).isEqualTo(422);
        assertThat(pages.get("/jobs/%d/quote.pdf?machine=nettle".formatted(job)).statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatIsKnownSoFarIsShownAndTheRestFollows() {
        estimates.ask(job, 12, person("mira"));
        all(12);
        sql.update(
                "update long_work set state = 'RUNNING', share = 0.4, doing = 'Sorrel: Planning',"
                        + " so_far = (select jsonb_build_array(so_far::jsonb -> 0)::text) where subject = ?",
                "estimate of job " + job);
        assertThat(rows())
                .contains("hx-get", "Sorrel: Planning", "is being planned", "comes after that")
                .contains("Teasel", "this job")
                .doesNotContain(">lowest<");
    }

    @Test
    void aComparisonIsStoppedAndBegunAgain() {
        estimates.ask(job, 7, person("mira"));
        String form = "/jobs/%d/estimate/".formatted(job);
        assertThat(pages.post(form + "stop", Map.of("quantity", "7")).statusCode()).isEqualTo(302);
        // one that is over is not stopped any more: then there is nothing to begin again either
        sql.update(
                "update long_work set state = 'STOPPED', so_far = '' where subject = ?",
                "estimate of job " + job);
        String stopped = pages.fragment(form + "rows?quantity=7").body();
        assertThat(stopped).contains("Stopped.", "Compare again", "not planned");
        ApiClient api = new ApiClient(port, "mira");
        String call = "/api/jobs/%d/estimate".formatted(job);
        assertThat(api.get(call + "?quantity=7").detail()).contains("begins anew");
        assertThat(pages.post(form + "again", Map.of("quantity", "7")).statusCode()).isEqualTo(302);
        assertThat(all(7)).hasSize(6);
    }

    @Test
    void aCallThatDoesNotWaitIsToldWhereToAsk() {
        ApiClient api = new ApiClient(port, "mira");
        String call = "/api/jobs/%d/estimate?quantity=9".formatted(job);
        ApiClient.Answer later = api.prefer("respond-async").get(call);
        assertThat(later.status()).isEqualTo(202);
        assertThat(later.json().path("state").asString()).isIn("waiting", "running");
        ApiClient.Answer there = api.prefer("wait=60").get(call);
        assertThat(there.status()).isEqualTo(200);
        assertThat(there.json().size()).isEqualTo(6);
        ApiClient.Answer work = api.get(later.header("Location"));
        assertThat(work.json().path("state").asString()).isEqualTo("done");
        assertThat(api.get(work.json().path("result").asString()).json()).isEqualTo(there.json());
        assertThat(api.prefer("respond-async").get(call).json())
                .as("known now")
                .isEqualTo(there.json());
    }

    @Test
    void aComparisonEndsWhenItsCallerLeaves() throws Exception {
        Thread caller =
                new Thread(
                        () -> {
                            Callers.leaveWhen(() -> true);
                            assertThatThrownBy(
                                            () ->
                                                    estimates.await(
                                                            job,
                                                            11,
                                                            person("mira"),
                                                            Duration.ofMinutes(1)))
                                    .isInstanceOf(CallerLeftException.class);
                        });
        caller.start();
        caller.join(30_000);
        assertThat(caller.isAlive()).isFalse();
        assertThat(
                        sql.queryForList(
                                "select state from long_work where id like ? and state in ('WAITING', 'RUNNING')",
                                "estimate:%d/%%/11/%%".formatted(job)))
                .isEmpty();
    }

    @Test
    void anOlderStateIsNotComparedAnyMore() {
        all(12);
        jobs.edit(job, "x", b -> OrderValues.THICKNESS.put(b.document(), "8"), person("mira"));
        assertThat(estimates.ask(job, 12, person("mira")).isDone()).isFalse();
        assertThat(all(12).get(0).isPossible()).isTrue();
    }

    @Test
    void whatIsAskedWronglyIsNamed() {
        String page = "/jobs/%d/estimate?".formatted(job);
        assertThat(pages.get(page + "quantity=0").statusCode()).isEqualTo(400);
        assertThat(pages.get(page + "material=weight").statusCode()).isEqualTo(400);
        assertThat(pages.get(page + "quantity=50&material=sheet").body()).contains("value=\"50\"");
    }

    @Test
    void theQuoteHasTheSamePricesAsTheTable() throws Exception {
        Estimate teasel = all(12).get(0);
        byte[] file = pdf.write(jobs.view(job), teasel, false, person("mira"));
        try (var document = Loader.loadPDF(file)) {
            String text = new PDFTextStripper().getText(document);
            assertThat(text)
                    .contains("Quote: What it costs", "12 off", "mild steel, 6 mm", "Teasel, laser")
                    .contains(EstimateView.money(teasel.costs().lot(false)))
                    .contains(EstimateView.money(teasel.costs().part(false)));
            assertThat(document.getNumberOfPages()).isEqualTo(1);
        }
    }
}
