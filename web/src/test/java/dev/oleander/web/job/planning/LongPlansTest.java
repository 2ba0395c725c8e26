package dev.oleander.web.job.planning;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.quantity.Typed;
import dev.oleander.web.SecondNode;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.source.Upload;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;

/** Two nodes on one database; every plan of ten stops and more is long work. */
@TestPropertySource(properties = {"oleander.patience=0s", "oleander.long-plan=10"})
@DirtiesContext
class LongPlansTest extends WebTest {

    @Autowired private JdbcTemplate sql;
    @Autowired private Planning planning;
    private static SecondNode other;

    @BeforeEach
    void startTheOther() {
        if (other == null) {
            other = SecondNode.start("oleander.patience=0s", "oleander.long-plan=10");
        }
    }

    @AfterAll
    static void endTheOther() {
        other.close();
    }

    private List<String> states(long job) {
        return sql.queryForList(
                "select state from long_work where subject = ? order by version",
                String.class,
                "job " + job);
    }

    @Test
    void aPlanIsToldOnEveryNodeAndMadeOnce() throws Exception {
        long job = makeJobInMillimetres("winch_drum_cheek", "Long", 60);
        ApiClient there = new ApiClient(other.port(), "mira");
        ApiClient.Answer early =
                there.prefer("respond-async").get("/api/jobs/%d/run".formatted(job));
        assertThat(early.status()).isEqualTo(202);
        assertThat(early.header("Location")).isEqualTo("/api/jobs/%d/work".formatted(job));
        assertThat(early.json().get("result").asString())
                .isEqualTo("/api/jobs/%d/run".formatted(job));
        ApiClient.Answer release =
                there.prefer("respond-async").post("/api/jobs/%d/releases".formatted(job), "{}");
        assertThat(release.status()).as("nothing is released without a plan").isEqualTo(202);
        until(() -> states(job).contains("DONE"));
        JsonNode run = there.prefer("wait=60").get("/api/jobs/%d/run".formatted(job)).json();
        JsonNode same =
                new ApiClient(port, "mira")
                        .prefer("wait=60")
                        .get("/api/jobs/%d/run".formatted(job))
                        .json();
        assertThat(run).isEqualTo(same);
        JsonNode done = there.get("/api/jobs/%d/work".formatted(job)).json();
        assertThat(done.get("state").asString()).isEqualTo("done");
        assertThat(done.get("share").asDouble()).isEqualTo(1);
        assertThat(
                        sql.queryForObject(
                                "select next_action from job where id = ?", String.class, job))
                .doesNotContain("being planned");
    }

    @Test
    void ofAStormOfEditsOnlyTheNewestIsPlanned() throws Exception {
        long job = makeJobInMillimetres("winch_drum_cheek", "Storm", 40);
        for (int i = 41; i < 49; i++) {
            String quantity = String.valueOf(i);
            jobs.edit(
                    job,
                    "x",
                    b -> OrderValues.QUANTITY.put(b.document(), quantity),
                    person("mira"));
        }
        until(() -> states(job).get(states(job).size() - 1).equals("DONE"));
        List<String> states = states(job);
        assertThat(states.subList(0, states.size() - 1)).isSubsetOf("STOPPED", "DONE");
        assertThat(states).filteredOn("STOPPED"::equals).hasSizeGreaterThanOrEqualTo(6);
    }

    @Test
    void aPlanIsStoppedFromTheOtherNodeAndBegunAgain() throws Exception {
        PageClient there = new PageClient(other.port()).signedIn("mira");
        long job = large("Stopped");
        there.post("/jobs/%d/cuts/planning".formatted(job), java.util.Map.of("wanted", "false"));
        until(() -> states(job).contains("STOPPED"));
        until(() -> jobs.view(job).planning().map(p -> !p.isGoingOn()).orElse(false));
        there.post("/jobs/%d/cuts/planning".formatted(job), java.util.Map.of("wanted", "true"));
        until(() -> states(job).contains("DONE"));
    }

    /** A call that waits for the run of a job, and its connection. */
    private Socket waitingFor(long job) throws IOException {
        Socket caller = new Socket("127.0.0.1", port);
        caller.getOutputStream().write(request(job, "wait=60").getBytes(StandardCharsets.UTF_8));
        return caller;
    }

    private static String request(long job, String prefer) {
        String name =
                Base64.getEncoder()
                        .encodeToString("mira:slipway-mira".getBytes(StandardCharsets.UTF_8));
        return "GET /api/jobs/%d/run HTTP/1.1\r\nHost: localhost\r\nAuthorization: Basic %s\r\nPrefer: %s\r\n\r\n"
                .formatted(job, name, prefer);
    }

    private long large(String name) {
        return jobs.create(
                List.of(new Upload(name + ".dxf", manyHoles())),
                new JobDocument.Order(name, "teasel", "mild steel", Typed.of(6), 1),
                WebTest::inMillimetres,
                person("mira"));
    }

    /** A large job whose plan nobody wants yet. */
    private long unplanned(String name) throws Exception {
        long job = large(name);
        jobs.plan(job, false);
        until(() -> states(job).contains("STOPPED"));
        planning.resume(job);
        assertThat(states(job)).isEmpty();
        return job;
    }

    /** A plate with so many holes that its plan is stopped long before it is made. */
    private static byte[] manyHoles() {
        StringBuilder drawing = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
        drawing.append(
                "0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n10\n0\n20\n0\n10\n2000\n20\n0\n10\n2000\n20\n1000\n10\n0\n20\n1000\n");
        for (int x = 30; x < 1980; x += 20) {
            for (int y = 30; y < 980; y += 20) {
                drawing.append("0\nCIRCLE\n8\n0\n10\n%d\n20\n%d\n40\n6\n".formatted(x, y));
            }
        }
        return drawing.append("0\nENDSEC\n0\nEOF\n").toString().getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void aPlanEndsWhenAllHaveLeftWhoWaitedForIt() throws Exception {
        long job = unplanned("Forsaken");
        Socket first = waitingFor(job);
        Socket second = waitingFor(job);
        until(() -> states(job).contains("RUNNING"));
        first.close();
        Thread.sleep(500);
        // Who came so late that all seemed to have left makes it wait and run again.
        assertThat(states(job)).as("one still waits").hasSize(1).isSubsetOf("WAITING", "RUNNING");
        second.close();
        until(() -> states(job).isEmpty());
        until(
                () ->
                        sql.queryForList(
                                        "select 1 from scheduled_tasks where task_instance like ?",
                                        "plan:%d/%%".formatted(job))
                                .isEmpty());
        // and it can be had at any time, as if nothing had been
        try (Socket again = waitingFor(job)) {
            until(() -> states(job).contains("DONE"));
            assertThat(statusLine(again)).isEqualTo("HTTP/1.1 200 ");
        }
    }

    private static String statusLine(Socket caller) throws IOException {
        return new BufferedReader(
                        new InputStreamReader(caller.getInputStream(), StandardCharsets.UTF_8))
                .readLine();
    }

    @Test
    void whoComesAgainKeepsThePlanGoing() throws Exception {
        long job = unplanned("Wanted again");
        assertThat(jobs.planning(job)).isPresent();
        until(() -> states(job).contains("RUNNING"));
        waitingFor(job).close();
        until(() -> states(job).contains("DONE"));
    }

    @Test
    void whoSendsTheNextRequestEarlyHasNotLeft() throws Exception {
        long job = unplanned("Two at once");
        try (Socket caller = waitingFor(job)) {
            caller.getOutputStream()
                    .write(request(job, "respond-async").getBytes(StandardCharsets.UTF_8));
            until(() -> states(job).contains("DONE"));
            assertThat(statusLine(caller)).isEqualTo("HTTP/1.1 200 ");
        }
    }

    @Test
    void whatANodeThatDiedWasDoingIsDoneByAnother() throws Exception {
        long job = makeJobInMillimetres("winch_drum_cheek", "Handed on", 61);
        until(() -> states(job).contains("DONE"));
        // as a node leaves it that is killed in the middle
        String id =
                sql.queryForObject(
                        "select id from long_work where subject = ?", String.class, "job " + job);
        sql.update(
                "update long_work set state = 'RUNNING', share = 0.4, node = 'dead', task = id where id = ?",
                id);
        sql.update(
                "insert into scheduled_tasks (task_name, task_instance, execution_time, picked, picked_by, last_heartbeat, version, priority)"
                        + " values ('work', ?, now() - interval '20 s', true, 'dead', now() - interval '9 s', 1, 0)",
                id);
        long began = System.nanoTime();
        until(() -> states(job).contains("DONE"));
        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(Duration.ofSeconds(10));
    }
}
