package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.work.sheet.SheetCutting;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Forms of a nest, as a browser sends them. */
class NestFormsTest extends WebTest {

    @Test
    void partsOfNoJobAreRefusedInWords() throws Exception {
        long job = makeJob("cleat_backing_plate", "Plates for a nest", 2);
        PageClient mira = new PageClient(port).signedIn("mira");
        String nest = "/jobs/%d/sheet/nest".formatted(job);
        assertThat(mira.post(nest, Map.of("value", "nest")).statusCode()).isEqualTo(200);
        int step = jobs.view(job).step();
        for (String none : new String[] {" ", ""}) {
            HttpResponse<String> refused = mira.post(nest + "/parts", Map.of("jobs", none));
            assertThat(refused.statusCode()).isLessThan(500);
            assertThat(refused.body()).contains("No job is chosen.");
        }
        assertThat(jobs.view(job).step()).isEqualTo(step);
    }

    /** Values of closed lines and sheets are not in the page: most of them nobody opens. */
    @Test
    void valuesOfALineAreAskedForWhenItIsOpened() throws Exception {
        long job = makeJob("cleat_backing_plate", "Plates by their values", 2);
        PageClient mira = new PageClient(port).signedIn("mira");
        String nest = "/jobs/%d/sheet/nest".formatted(job);
        mira.post(nest, Map.of("value", "nest"));
        String page = mira.get("/jobs/%d/sheet".formatted(job)).body();
        assertThat(page).contains("values?of=l1", "values?of=s1").doesNotContain("l1.priority");
        assertThat(mira.get(nest + "/values?of=l1").body()).contains("l1.priority", "l1.turns");
        assertThat(mira.get(nest + "/values?of=s1").body()).contains("s1.width", "s1.count");
        HttpResponse<String> none = mira.get(nest + "/values?of=l9");
        assertThat(none.statusCode()).isEqualTo(404);
        assertThat(none.body()).contains("The nest has no line and no sheet l9.");
        String edited =
                mira.post(nest + "/values", Map.of("field", "l1.priority", "value", "12")).body();
        assertThat(edited).contains("l1.priority", "field-error");
    }

    /** A dragged part goes on to what is near, and the trial says to what. */
    @Test
    void aDraggedPartTouchesTheEdge() throws Exception {
        long job = makeJob("cleat_backing_plate", "One plate", 1);
        PageClient mira = new PageClient(port).signedIn("mira");
        String nest = "/jobs/%d/sheet/nest".formatted(job);
        mira.post(nest, Map.of("value", "nest"));
        ApiClient api = new ApiClient(port, "mira");
        api.send("POST", "/api/nests/%d/runs".formatted(job), "{\"seconds\": 0.3}");
        for (int k = 0;
                k < 300
                        && jobs.view(job)
                                .document()
                                .nest()
                                .orElseThrow()
                                .choices()
                                .laid()
                                .isEmpty();
                k++) {
            Thread.sleep(100);
        }
        double margin =
                jobs.view(job).result().nesting().orElseThrow().rules(SheetCutting.SHEET).margin();
        double[] low = low(job);
        String there = nest + "/try?run=1&part=1&dx=%s&dy=%s";
        HttpResponse<String> far = mira.get(there.formatted(100, 90));
        assertThat(far.body()).contains("\"touches\":\"\"", "\"dx\":100");
        double dx = margin + 3 - low[0];
        double dy = margin + 40 - low[1];
        assertThat(mira.get(there.formatted(dx, dy)).body()).contains("\"touches\":\"at edge\"");
        Map<String, String> drop = Map.of("part", "1", "dx", "" + dx, "dy", "" + dy);
        assertThat(mira.post(nest + "/drop", drop).statusCode()).isEqualTo(200);
        assertThat(low(job)[0]).isCloseTo(margin, within(0.01));
        assertThat(low(job)[1]).isCloseTo(margin + 40, within(1e-6));
    }

    /** Low x and y of the part that is laid. */
    private double[] low(long job) {
        var box =
                dev.oleander.web.nest.NestWhy.reasons(jobs.view(job).result(), 1, 1).place().box();
        return new double[] {box.min().x(), box.min().y()};
    }
}
