package dev.oleander.web.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.price.Estimate;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.job.OrderField;
import java.net.http.HttpResponse;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

class EstimateTest extends WebTest {

    @Autowired private EstimateService estimates;
    @Autowired private QuotePdf pdf;

    private PageClient pages;
    private long job;

    @BeforeEach
    void openJob() {
        pages = new PageClient(port).signedIn("mira");
        job = makeJob("cleat_backing_plate", "What it costs", 12);
    }

    @Test
    void everyMachineAndPunchingStandSideBySide() {
        List<Estimate> all = estimates.all(jobs.view(job).document(), 12);
        assertThat(all)
                .extracting(Estimate::machine)
                .containsExactly("Teasel", "Sorrel", "Yarrow", "Bracken", "Tansy");
        assertThat(all)
                .filteredOn(e -> !e.isPossible())
                .singleElement()
                .satisfies(
                        e ->
                                assertThat(e.cannot())
                                        .as("the wire's data begin at 10 mm")
                                        .contains("from 10 to 80 mm; the work is 6 mm high"));
        assertThat(all.get(2).seconds()).isGreaterThan(3 * all.get(0).seconds());
        String rows = pages.fragment("/jobs/%d/estimate/rows".formatted(job)).body();
        assertThat(rows).contains("this job", "lowest", "round 11: 4");
        assertThat(rows.split("lowest\"")).as("one of them").hasSize(2);
    }

    @Test
    void aMachineWithoutDataSaysWhyAndIsNotQuoted() {
        jobs.edit(job, "x", b -> OrderField.THICKNESS.set(b.document(), "40"), person("mira"));
        String rows = pages.fragment("/jobs/%d/estimate/rows".formatted(job)).body();
        assertThat(rows).contains("the job is 40 mm thick", "is punched up to 6 mm");
        HttpResponse<String> quote = pages.get("/jobs/%d/quote.pdf?machine=teasel".formatted(job));
        assertThat(quote.statusCode()).isEqualTo(422);
        assertThat(pages.get("/jobs/%d/quote.pdf?machine=nettle".formatted(job)).statusCode())
                .isEqualTo(404);
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
        Estimate teasel = estimates.all(jobs.view(job).document(), 12).get(0);
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
