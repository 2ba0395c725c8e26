package dev.oleander.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.motion.Item;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.api.ApiClient.Answer;
import dev.oleander.web.format.Formats;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What every kind of work does alike: the same cases for each of them. */
class WorkContractTest extends WebTest {

    @Autowired private Formats formats;

    private ApiClient api;
    private PageClient page;

    /** A kind of work, and what is its own in these cases. */
    enum Kind {
        SHEET("teasel", "mild steel", 6, "overRun", "2.5", "quality", "standard", "shortest"),
        WIRE("bracken", "tool steel", 30, "overlap", "2.5", "finish", "fine", "oneAtATime"),
        ROUTER("hazel", "birch plywood", 6, "stepOver", "0.3", "quality", "", "copyByCopy");

        private final String machine;
        private final String material;
        private final double thickness;

        /** A number of a stop. */
        private final String value;

        private final String typed;

        /** What the word of the cut book is called. */
        private final String data;

        private final String word;
        private final String order;

        Kind(
                String machine,
                String material,
                double thickness,
                String value,
                String typed,
                String data,
                String word,
                String order) {
            this.machine = machine;
            this.material = material;
            this.thickness = thickness;
            this.value = value;
            this.typed = typed;
            this.data = data;
            this.word = word;
            this.order = order;
        }
    }

    /** What a stop says of the number that is set. */
    private static double value(Kind kind, JsonNode stop) {
        return stop.get(kind == Kind.ROUTER ? kind.value : "overRun").asDouble();
    }

    private static double typed(Kind kind) {
        return Double.parseDouble(kind.typed);
    }

    @BeforeEach
    void signIn() {
        api = new ApiClient(port, "mira");
        page = new PageClient(port).signedIn("mira");
    }

    @AfterEach
    void formatsAsTheyShipped() {
        owner().execute("alter table format_version disable trigger user");
        owner().update("delete from format_version");
        owner().execute("alter table format_version enable trigger user");
    }

    // ---- a job of three openings in a plate

    private static byte[] plate(double[]... rectangles) {
        StringBuilder dxf =
                new StringBuilder("0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n");
        dxf.append("0\nSECTION\n2\nENTITIES\n");
        for (double[] r : rectangles) {
            dxf.append("0\nLWPOLYLINE\n8\nCUT\n90\n4\n70\n1\n");
            for (int i = 0; i < 4; i++) {
                double x = r[0] + (i == 1 || i == 2 ? r[2] : 0);
                double y = r[1] + (i > 1 ? r[3] : 0);
                dxf.append("10\n%s\n20\n%s\n".formatted(x, y));
            }
        }
        return dxf.append("0\nENDSEC\n0\nEOF\n").toString().getBytes(StandardCharsets.US_ASCII);
    }

    private static final double[] OUTLINE = {0, 0, 240, 100};
    private static final double[] LEFT = {20, 30, 40, 30};
    private static final double[] MIDDLE = {100, 30, 44, 30};
    private static final double[] RIGHT = {180, 30, 36, 30};

    private long job(Kind kind, String name) {
        Answer made =
                api.upload(
                        "/api/jobs",
                        Map.of(
                                "machine",
                                kind.machine,
                                "material",
                                kind.material,
                                "thickness",
                                String.valueOf(kind.thickness),
                                "quantity",
                                "1",
                                "name",
                                name),
                        Map.of("plate.dxf", plate(OUTLINE, LEFT, MIDDLE, RIGHT)));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("id").asLong();
    }

    private static String path(long job) {
        return "/api/jobs/" + job;
    }

    private JsonNode run(long job) {
        return ok(api.get(path(job) + "/run"));
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isBetween(200, 201);
        return answer.json();
    }

    private List<JsonNode> stops(long job) {
        return list(run(job).get("stops"));
    }

    private static List<JsonNode> list(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false).toList();
    }

    private static List<String> ids(List<JsonNode> stops) {
        return stops.stream().map(s -> s.get("id").asString()).toList();
    }

    /** The first stop of an opening, known by its size. */
    private JsonNode stopAt(long job, double[] opening) {
        double area = opening[2] * opening[3];
        String contour =
                list(ok(api.get(path(job) + "/reading")).get("contours")).stream()
                        .filter(c -> Math.abs(c.get("area").asDouble() - area) < 0.01)
                        .findFirst()
                        .orElseThrow()
                        .get("id")
                        .asString();
        return stops(job).stream()
                .filter(s -> s.get("contour").asString().equals(contour))
                .findFirst()
                .orElseThrow();
    }

    private Answer set(long job, String stop, String name, String json) {
        return api.send(
                "PATCH", path(job) + "/run/stops/" + stop, "{\"%s\": %s}".formatted(name, json));
    }

    private int step(long job) {
        return ok(api.get(path(job))).get("step").asInt();
    }

    /** An edit as the bench makes it, on the present step. */
    private HttpResponse<String> edit(long job, String what, Map<String, String> fields) {
        Map<String, String> all = new java.util.TreeMap<>(fields);
        all.put("step", String.valueOf(step(job)));
        return page.post("/jobs/%d/cuts/%s".formatted(job, what), all);
    }

    private static void taken(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    // ---- the cases

    @ParameterizedTest
    @EnumSource
    void aValueIsSetTakenBackAndRefusedWithItsReason(Kind kind) {
        long job = job(kind, "Values");
        String stop = ids(stops(job)).get(0);
        JsonNode set = ok(set(job, stop, kind.value, kind.typed));
        assertThat(value(kind, set)).isEqualTo(typed(kind));
        assertThat(set.get("sources").get(kind.value).asString()).isEqualTo("here");
        JsonNode back = ok(set(job, stop, kind.value, "null"));
        assertThat(value(kind, back)).isNotEqualTo(typed(kind));
        assertThat(back.get("sources").get(kind.value).asString()).isNotEqualTo("here");

        Answer unknown = set(job, stop, "colour", "1");
        assertThat(unknown.status()).isEqualTo(422);
        assertThat(unknown.detail()).contains("\"colour\"");
        Answer wrong = set(job, stop, kind.value, "\"much\"");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.detail()).contains("much");
        Answer nobody = set(job, "c99.1", kind.value, kind.typed);
        assertThat(nobody.status()).isEqualTo(404);
        assertThat(nobody.detail()).contains("c99.1");
    }

    @ParameterizedTest
    @EnumSource
    void undoAndRedoGoThroughEveryStep(Kind kind) {
        long job = job(kind, "Undo");
        String stop = ids(stops(job)).get(0);
        double before = value(kind, stops(job).get(0));
        set(job, stop, kind.value, kind.typed);
        taken(edit(job, "undo", Map.of()));
        assertThat(value(kind, stops(job).get(0))).isEqualTo(before);
        taken(edit(job, "redo", Map.of()));
        assertThat(value(kind, stops(job).get(0))).isEqualTo(typed(kind));
    }

    @ParameterizedTest
    @EnumSource
    void choicesFollowTheContoursIntoANewVersion(Kind kind) {
        long job = job(kind, "New version");
        set(job, stopAt(job, LEFT).get("id").asString(), kind.value, kind.typed);
        JsonNode same =
                ok(
                        api.upload(
                                "PUT",
                                path(job) + "/drawing",
                                Map.of(),
                                Map.of("2.dxf", plate(OUTLINE, RIGHT, MIDDLE, LEFT))));
        assertThat(same.get("kept").asInt()).isEqualTo(4);
        assertThat(same.get("stale")).isEmpty();
        assertThat(value(kind, stopAt(job, LEFT))).isEqualTo(typed(kind));
        assertThat(value(kind, stopAt(job, RIGHT))).isNotEqualTo(typed(kind));

        double[] moved = {22, 30, 40, 30};
        JsonNode other =
                ok(
                        api.upload(
                                "PUT",
                                path(job) + "/drawing",
                                Map.of(),
                                Map.of("3.dxf", plate(OUTLINE, moved, MIDDLE))));
        assertThat(other.get("kept").asInt()).isEqualTo(2);
        assertThat(other.get("stale")).hasSize(1);
        assertThat(other.get("lost")).hasSize(1);
        assertThat(value(kind, stopAt(job, moved))).isEqualTo(typed(kind));
        Answer release = api.post(path(job) + "/releases", "{}");
        assertThat(release.status()).isEqualTo(409);
        assertThat(release.detail()).contains("New version of the drawing");
    }

    @ParameterizedTest
    @EnumSource
    void theOrderIsChosenByRuleOrByHandAndSaysWhatItGains(Kind kind) {
        long job = job(kind, "Order");
        JsonNode planned =
                ok(api.post(path(job) + "/plan", "{\"order\": \"%s\"}".formatted(kind.order)));
        assertThat(planned.get("order").asString()).isEqualTo(kind.order);

        String right = stopAt(job, RIGHT).get("id").asString();
        String left = stopAt(job, LEFT).get("id").asString();
        String middle = stopAt(job, MIDDLE).get("id").asString();
        taken(edit(job, "sequence", Map.of("stop", String.join(",", right, left, middle))));
        assertThat(page.get("/jobs/%d/cuts".formatted(job)).body())
                .contains("Against the order before");
        List<String> ids = ids(stops(job));
        assertThat(ids).containsSubsequence(right, left, middle);
        assertThat(run(job).get("order").asString()).isEqualTo("byHand");

        taken(edit(job, "order", Map.of("moved", middle, "before", right)));
        assertThat(ids(stops(job))).containsSubsequence(middle, right, left);
        taken(edit(job, "order", Map.of("moved", left, "shift", "up")));
        assertThat(ids(stops(job))).containsSubsequence(middle, left, right);
    }

    @ParameterizedTest
    @EnumSource
    void whatMustComeLaterIsNotMovedBefore(Kind kind) {
        long job = job(kind, "Before");
        List<String> ids = ids(stops(job));
        String outline = ids.get(ids.size() - 1);
        HttpResponse<String> refused =
                edit(job, "order", Map.of("moved", outline, "before", ids.get(0)));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("must come after stop");
        assertThat(ids(stops(job))).isEqualTo(ids);
    }

    @ParameterizedTest
    @EnumSource
    void pinnedStopsStayTogether(Kind kind) {
        long job = job(kind, "Pinned");
        String right = stopAt(job, RIGHT).get("id").asString();
        String left = stopAt(job, LEFT).get("id").asString();
        taken(edit(job, "sequence", Map.of("stop", right + "," + left)));
        taken(edit(job, "pins", Map.of("stop", right + "," + left, "pinned", "true")));
        ok(api.send("PUT", path(job) + "/sheet", "{\"order\": \"%s\"}".formatted(kind.order)));
        List<String> ids = ids(stops(job));
        assertThat(ids.indexOf(left)).isEqualTo(ids.indexOf(right) + 1);
        assertThat(run(job).get("order").asString()).isEqualTo(kind.order);
        taken(edit(job, "pins", Map.of("stop", right, "pinned", "false")));
    }

    @ParameterizedTest
    @EnumSource
    void whatHappensAtAStopIsWritten(Kind kind) {
        long job = job(kind, "Events");
        String stop = stopAt(job, MIDDLE).get("id").asString();
        taken(
                edit(
                        job,
                        "events",
                        Map.of(
                                "stop", stop,
                                "kind", "stop",
                                "when", "before",
                                "amount", "20",
                                "text", "Look")));
        assertThat(stopAt(job, MIDDLE).get("events")).hasSize(1);
        JsonNode release = ok(api.post(path(job) + "/releases", accepted(job)));
        String program = program(release);
        assertThat(program).contains("M0");
    }

    /** Accepts all that wants a look. */
    private String accepted(long job) {
        StringBuilder all = new StringBuilder();
        for (JsonNode f : list(ok(api.get(path(job) + "/proof")).get("findings"))) {
            if (f.get("severity").asString().equals("look")) {
                all.append(all.isEmpty() ? "" : ", ");
                all.append("\"%s\": \"seen\"".formatted(f.get("id").asString()));
            }
        }
        return "{\"acceptances\": {%s}}".formatted(all);
    }

    private String program(JsonNode release) {
        return api.get("/api/releases/%d/program".formatted(release.get("id").asLong())).text();
    }

    @ParameterizedTest
    @EnumSource
    void aReleaseBecomesStaleAndStaysAsItWas(Kind kind) {
        long job = job(kind, "Stale");
        JsonNode release = ok(api.post(path(job) + "/releases", accepted(job)));
        String program = program(release);
        assertThat(release.get("revision").asString()).isEqualTo("A");
        assertThat(stage(job, "release")).isEqualTo("ready");
        set(job, stopAt(job, LEFT).get("id").asString(), kind.value, kind.typed);
        assertThat(stage(job, "release")).isNotEqualTo("ready");
        assertThat(program(release)).isEqualTo(program);
        assertThat(
                        ok(api.get("/api/releases/%d/verify".formatted(release.get("id").asLong())))
                                .get("intact")
                                .asBoolean())
                .isTrue();
        JsonNode second = ok(api.post(path(job) + "/releases", accepted(job)));
        assertThat(second.get("revision").asString()).isEqualTo("B");
        assertThat(program(second)).isNotEqualTo(program);
    }

    private String stage(long job, String word) {
        return ok(api.get(path(job))).get("stages").get(word).get("state").asString();
    }

    @ParameterizedTest
    @EnumSource
    void aTrialCutsItsStopsOnly(Kind kind) {
        long job = job(kind, "Trial");
        String stop = stopAt(job, MIDDLE).get("id").asString();
        String wish = accepted(job).replaceFirst("\\{", "{\"stops\": [\"%s\"], ".formatted(stop));
        JsonNode trial = ok(api.post(path(job) + "/releases", wish));
        assertThat(trial.get("revision").asString()).startsWith("T");
        String whole = program(ok(api.post(path(job) + "/releases", "{}")));
        assertThat(cuts(kind, program(trial))).isNotZero().isLessThan(cuts(kind, whole));
    }

    private int cuts(Kind kind, String program) {
        var format = formats.find(kind.machine).orElseThrow();
        var read = new DialectReader(format).read(program);
        assertThat(read.problems()).isEmpty();
        return (int)
                read.program().items().stream()
                        .filter(i -> i instanceof Item.AtFeed feed && feed.on())
                        .count();
    }

    @ParameterizedTest
    @EnumSource
    void aProgramIsBegunAgainAtAnyStop(Kind kind) {
        long job = job(kind, "Begin again");
        JsonNode release = ok(api.post(path(job) + "/releases", accepted(job)));
        String at = "/api/releases/%d".formatted(release.get("id").asLong());
        List<JsonNode> starts = list(ok(api.get(at + "/starts")));
        assertThat(starts).hasSizeGreaterThanOrEqualTo(4);
        int whole = cuts(kind, program(release));
        int before = whole + 1;
        for (JsonNode start : starts) {
            Answer rest = api.get(at + "/program-from?stop=" + start.get("stop").asString());
            assertThat(rest.status()).as(rest.text()).isEqualTo(200);
            int left = cuts(kind, rest.text());
            assertThat(left).isLessThan(before);
            before = left;
        }
    }

    @ParameterizedTest
    @EnumSource
    void aProgramThatIsTooLongComesInSeveralFiles(Kind kind) {
        long job = job(kind, "Files");
        int whole = cuts(kind, program(ok(api.post(path(job) + "/releases", accepted(job)))));
        int most = kind == Kind.ROUTER ? 150 : 90;
        String yaml =
                DialectLibrary.description(kind.machine) + "limits: {blocks: %d}\n".formatted(most);
        formats.save(kind.machine, 1, yaml, "small memory", person("anselm"));
        JsonNode release = ok(api.post(path(job) + "/releases", accepted(job)));
        String at = "/api/releases/%d/programs".formatted(release.get("id").asLong());
        List<JsonNode> files = list(ok(api.get(at)));
        assertThat(files).hasSizeGreaterThan(1);
        int cuts = 0;
        for (JsonNode file : files) {
            Answer text = api.get(at + "/" + file.get("number").asInt());
            assertThat(text.text().lines().count()).isLessThanOrEqualTo(most);
            cuts += cuts(kind, text.text());
        }
        assertThat(cuts).isEqualTo(whole);
    }

    @ParameterizedTest
    @EnumSource
    void aRecipeIsSavedGivenAndDropped(Kind kind) {
        long job = job(kind, "Recipe");
        String left = stopAt(job, LEFT).get("id").asString();
        String right = stopAt(job, RIGHT).get("id").asString();
        set(job, left, kind.value, kind.typed);
        String name = "Contract " + kind;
        taken(edit(job, "recipes/save", Map.of("stop", left, "name", name)));
        taken(edit(job, "recipes/give", Map.of("stop", right, "name", name)));
        JsonNode given = stopAt(job, RIGHT);
        assertThat(value(kind, given)).isEqualTo(typed(kind));
        assertThat(given.get("sources").get(kind.value).asString()).isEqualTo("recipe");
        taken(edit(job, "recipes/drop", Map.of("name", name)));
        assertThat(value(kind, stopAt(job, RIGHT))).isNotEqualTo(typed(kind));
    }

    @ParameterizedTest
    @EnumSource
    void allMachinesAreComparedForIt(Kind kind) {
        long job = job(kind, "Estimate");
        List<String> machines = new ArrayList<>();
        for (JsonNode row : list(ok(api.get(path(job) + "/estimate")))) {
            if (row.path("cannot").asString("").isEmpty()) {
                machines.add(row.get("machine").asString().toLowerCase());
            }
        }
        assertThat(machines).contains(kind.machine);
    }

    @ParameterizedTest
    @EnumSource
    void dataAreChosenForTheWholeJob(Kind kind) {
        long job = job(kind, "Data");
        ok(api.post(path(job) + "/plan", "{\"quality\": \"%s\"}".formatted(kind.word)));
        Answer none = api.post(path(job) + "/plan", "{\"quality\": \"finest\"}");
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).contains("has no " + kind.data + " \"finest\"");
        Answer rule = api.post(path(job) + "/plan", "{\"order\": \"backwards\"}");
        assertThat(rule.status()).isEqualTo(422);
        assertThat(rule.detail()).contains("\"backwards\"");
    }
}
