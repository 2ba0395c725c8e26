package dev.oleander.web.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.nesting.NestedSheet;
import dev.oleander.web.job.result.JobResult;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Nests for two heads of a waterjet that cut the same, and what is odd. */
class NestHeadsApiTest extends NestCalls {

    private long nestOnYarrow(int quantity, String rules) {
        long plates = makeJobInMillimetres("cleat_backing_plate", "Plates", 1);
        String body =
                "{\"name\": \"Two heads\", \"machine\": \"yarrow\", \"material\": \"mild steel\", \"thickness\": 6, \"lines\": [%s], \"sheets\": [{\"width\": 1500, \"height\": 700, \"price\": 50}], \"rules\": %s}"
                        .formatted(line(plates, quantity), rules);
        return good(mira.post("/api/nests", body), 201).json().get("id").asLong();
    }

    private ApiClient.Answer patched(long nest, String rules) {
        return mira.send("PATCH", "/api/nests/" + nest, "{\"rules\": %s}".formatted(rules));
    }

    @Test
    void whatComesOutEvenIsCutTwiceAtOnce() throws InterruptedException {
        long nest = nestOnYarrow(7, "{\"heads\": 2}");
        assertThat(searched(nest, SHORT).get("state").asString()).isEqualTo("done");
        List<NestedSheet> laid = legal(nest);
        assertThat(laid).hasSize(2);
        JsonNode told = get("/api/nests/" + nest);
        assertThat(told.get("rules").get("heads").asInt()).isEqualTo(2);
        assertThat(told.get("lines").get(0).get("placed").asInt()).isEqualTo(7);
        JsonNode both = told.get("laid").get(0).get("stretch");
        assertThat(both.get("heads").asInt()).isEqualTo(2);
        double gap = told.get("rules").get("gap").asDouble();
        double margin = told.get("rules").get("margin").asDouble();
        assertThat(both.get("pitch").asDouble())
                .isCloseTo((700 - 2 * margin + gap) / 2, within(1e-9));
        assertThat(told.get("laid").get(1).get("stretch").get("from").asDouble())
                .isEqualTo(both.get("to").asDouble());
        // onto the zone it would be cut twice
        ApiClient.Answer twice =
                mira.send(
                        "PATCH",
                        "/api/nests/%d/sheets/2/placements/1".formatted(nest),
                        "{\"sheet\": 1, \"x\": 100, \"y\": 100}");
        assertThat(twice.status()).isEqualTo(422);
        assertThat(twice.detail()).matches(".*(would make 8 of|no free place).*");
        // one sheet, and every part once
        get("/api/jobs/%d/runs".formatted(nest));
        JobResult result = jobs.view(nest).result();
        assertThat(result.sheets()).isEqualTo(1);
        assertThat(result.made().all()).isEqualTo(7);
        assertThat(get("/api/nests/%d/results/1".formatted(nest)).get("cost").asDouble())
                .isLessThanOrEqualTo(50);
    }

    @Test
    void programsAndPapersTellTheHeads() throws InterruptedException {
        long nest = nestOnYarrow(5, "{\"heads\": 2, \"headPitch\": 300}");
        searched(nest, SHORT);
        legal(nest);
        String releases = "/api/jobs/%d/releases".formatted(nest);
        JsonNode released = good(mira.prefer("wait=60").post(releases, "{}"), 201).json();
        List<String> texts = programs(released.get("id").asLong());
        assertThat(texts.get(0)).contains("(2 heads at 300 mm)").contains("(4 x mild steel 6 mm");
        assertThat(texts.get(1)).contains("(1 head)").contains("(1 x mild steel 6 mm");
        String csv = good(mira.get("/api/nests/%d/report.csv".formatted(nest)), 200).text();
        assertThat(csv.lines().filter(l -> l.startsWith("1,1,2,"))).hasSize(2);
        assertThat(csv.lines().filter(l -> l.startsWith("2,1,1,"))).hasSize(1);
        String drawing = good(mira.get("/api/nests/%d/sheets/1.dxf".formatted(nest)), 200).text();
        String beside = good(mira.get("/api/nests/%d/sheets/2.dxf".formatted(nest)), 200).text();
        // two parts by two heads, and one
        assertThat(occurrences(drawing, "\nPARTS\n"))
                .isEqualTo(4 * occurrences(beside, "\nPARTS\n"));
        for (String paper : List.of("report.pdf", "labels.pdf")) {
            good(mira.get("/api/nests/%d/%s".formatted(nest, paper)), 200);
        }
    }

    private static int occurrences(String text, String of) {
        // besides the one that the layer itself has
        return text.split(of, -1).length - 2;
    }

    private List<String> programs(long release) {
        String path = "/api/releases/%d/programs/%d";
        return List.of(
                good(mira.get(path.formatted(release, 1)), 200).text(),
                good(mira.get(path.formatted(release, 2)), 200).text());
    }

    @Test
    void headsThatTheMachineHasNotAreRefused() {
        long nest = nestOnYarrow(4, "{}");
        ApiClient.Answer three = patched(nest, "{\"heads\": 3}");
        assertThat(three.status()).isEqualTo(422);
        assertThat(three.detail()).isEqualTo("3 heads are to cut at once; Yarrow has 2.");
        ApiClient.Answer close = patched(nest, "{\"heads\": 2, \"headPitch\": 90}");
        assertThat(close.status()).isEqualTo(422);
        assertThat(close.detail())
                .isEqualTo("Heads 90 mm apart: those of Yarrow can stand 150 to 1000 mm apart.");
        assertThat(get("/api/nests/" + nest).get("rules").get("heads").asInt()).isEqualTo(1);
        assertThat(patched(nest, "{\"heads\": 0}").status()).isEqualTo(422);
        long plates = makeJobInMillimetres("cleat_backing_plate", "Plates", 1);
        String body =
                "{\"name\": \"None\", %s, \"lines\": [%s], \"rules\": {\"heads\": 2}}"
                        .formatted(order(plates), line(plates, 2));
        ApiClient.Answer one = mira.post("/api/nests", body);
        assertThat(one.status()).isEqualTo(422);
        assertThat(one.detail()).isEqualTo("2 heads are to cut at once; Teasel has 1.");
    }

    @Test
    void aPartMovedByHandIsMovedForAllHeads() throws InterruptedException {
        long nest = nestOnYarrow(4, "{\"heads\": 2}");
        searched(nest, SHORT);
        good(
                mira.send(
                        "PATCH",
                        "/api/nests/%d/sheets/1/placements/1".formatted(nest),
                        "{\"push\": \"right\"}"),
                200);
        List<NestedSheet> laid = legal(nest);
        assertThat(laid.get(0).heads()).isEqualTo(2);
        good(patched(nest, "{\"heads\": 1}"), 200);
        ApiClient.Answer release =
                mira.prefer("wait=60").post("/api/jobs/%d/releases".formatted(nest), "{}");
        assertThat(release.status()).isEqualTo(409);
        assertThat(release.detail()).contains("is laid for 2 heads");
    }
}
