package dev.oleander.web.script;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/**
 * The real script with the packed application, on a data folder of an earlier version (schema 8):
 * started, killed, backed up, laid back.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ServerIT {

    private static final Duration LONGEST = Duration.ofMinutes(3);

    /** The parts of the script that the earlier one had under the same names. */
    private static final String PARTS =
            """
            set -euo pipefail
            say() { printf '%s\\n' "$*"; }
            fail() { say "$*" >&2; exit 1; }
            is_root() { [ "$(id -u)" = 0 ]; }
            TOP=$PWD
            for part in packages processes database folder build; do source script/$part.sh; done
            """;

    private static Path home;
    private static int port;

    @BeforeAll
    static void makeAFolderOfAnEarlierVersion() throws Exception {
        home = Files.createTempDirectory("oleander-it");
        // the users of database and server have to reach into it
        home.toFile().setReadable(true, false);
        home.toFile().setExecutable(true, false);
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        Said made =
                bash(
                        PARTS
                                + """
                                pg_make "$OLEANDER_HOME"
                                pg_start "$OLEANDER_HOME"
                                pg_sql "$OLEANDER_HOME" postgres 'create database oleander'
                                zcat web/src/test/resources/schema-8.sql.gz >"$OLEANDER_HOME/old.sql"
                                pg_tool "$OLEANDER_HOME" psql -q -d oleander -f "$OLEANDER_HOME/old.sql" >/dev/null
                                pg_stop "$OLEANDER_HOME"
                                say 1 >"$OLEANDER_HOME/format"
                                sources_hash >web/target/oleander-app.jar.sources
                                """);
        assertThat(made.exit()).as(made.text()).isZero();
    }

    @AfterAll
    static void end() throws Exception {
        oleander("stop");
        try (Stream<Path> files = Files.walk(home)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(f -> f.delete());
        }
    }

    private record Said(int exit, String text) {}

    private static Said bash(String commands) throws Exception {
        return run(List.of("bash", "-c", commands));
    }

    private static Said oleander(String... words) throws Exception {
        return run(Stream.concat(Stream.of("./oleander"), Stream.of(words)).toList());
    }

    private static ProcessBuilder builder(List<String> command, Path out) {
        ProcessBuilder builder =
                new ProcessBuilder(command)
                        .directory(Path.of("..").toFile())
                        .redirectErrorStream(true)
                        .redirectOutput(out.toFile());
        builder.environment().put("OLEANDER_HOME", home.toString());
        builder.environment().put("OLEANDER_PORT", String.valueOf(port));
        builder.environment().put("OLEANDER_DEMO", "true");
        return builder;
    }

    private static Said run(List<String> command) throws Exception {
        Path out = Files.createTempFile("said", ".txt");
        Process process = builder(command, out).start();
        assertThat(process.waitFor(LONGEST.toSeconds(), TimeUnit.SECONDS)).as("in time").isTrue();
        String text = Files.readString(out);
        Files.delete(out);
        return new Said(process.exitValue(), text);
    }

    private static ApiClient api() {
        return new ApiClient(port, "mira");
    }

    private static boolean verifies() {
        try {
            ApiClient.Answer answer = api().get("/api/releases/verify");
            return answer.status() == 200
                    && answer.json().get("intact").asBoolean()
                    && answer.json().get("releases").asLong() >= 3;
        } catch (RuntimeException away) {
            return false;
        }
    }

    private static void until(Supplier<Boolean> seen) throws InterruptedException {
        long deadline = System.nanoTime() + LONGEST.toNanos();
        while (!seen.get()) {
            assertThat(System.nanoTime()).as("in time").isLessThan(deadline);
            Thread.sleep(200);
        }
    }

    /** A nest that is searched for longer than anybody waits. */
    private static long searchedNest() throws IOException {
        String file = Files.readString(Path.of("../samples/nest/grain40.case.json"));
        ApiClient.Answer made = api().post("/api/nests", file);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        long nest = made.json().get("id").asLong();
        ApiClient.Answer begun =
                api().post("/api/nests/%d/runs".formatted(nest), "{\"seconds\": 600}");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        return nest;
    }

    private static double cost(long nest) {
        ApiClient.Answer found = api().get("/api/nests/%d/results/1".formatted(nest));
        assertThat(found.status()).as(found.text()).isEqualTo(200);
        return found.json().get("cost").asDouble();
    }

    private static long pid(String file) throws IOException {
        String text = Files.readString(home.resolve(file)).strip();
        return Long.parseLong(text.split("\\s+")[0]);
    }

    @Test
    @Order(1)
    void aFolderOfAnEarlierVersionIsServedWithAllThatIsInIt() throws Exception {
        Path other = Files.createTempFile("other", ".txt");
        Process first = builder(List.of("./oleander", "start", "--detach"), other).start();
        until(() -> Files.exists(home.resolve("supervisor.pid")));
        Said second = oleander("start", "--detach");
        assertThat(second.exit()).isEqualTo(1);
        assertThat(second.text()).containsAnyOf("another start", "already running");
        assertThat(first.waitFor(LONGEST.toSeconds(), TimeUnit.SECONDS)).isTrue();
        assertThat(first.exitValue()).as(Files.readString(other)).isZero();
        assertThat(api().get("/api/jobs").json()).hasSize(17);
        assertThat(verifies()).isTrue();
        assertThat(oleander("status").text()).contains("PostgreSQL: running", "\"UP\"", "queue");
        assertThat(Files.readString(home.resolve("format")).strip())
                .isEqualTo(bash(PARTS + "schema").text().strip());
    }

    @Test
    @Order(2)
    void theServerRunsWithoutTheRightsOfRoot() throws Exception {
        String status =
                Files.readString(Path.of("/proc", String.valueOf(pid("node-1.pid")), "status"));
        String root = bash("id -u").text().strip();
        if (root.equals("0")) {
            assertThat(status).doesNotContainPattern("Uid:\\s+0\\s").contains("NoNewPrivs:\t1");
        }
    }

    @Test
    @Order(3)
    void whatIsKilledIsBegunAgain() throws Exception {
        long node = pid("node-1.pid");
        long nest = searchedNest();
        String search = "/api/nests/%d/runs/1".formatted(nest);
        until(() -> api().get(search).json().path("best").isObject());
        double cost = cost(nest);
        bash("kill -9 " + node);
        until(() -> !ProcessHandle.of(node).map(ProcessHandle::isAlive).orElse(false));
        until(ServerIT::verifies);
        // the best so far is there at once, and the search goes on from it
        assertThat(cost(nest)).isLessThanOrEqualTo(cost);
        double found = api().get(search).json().get("seconds").asDouble();
        until(() -> api().get(search).json().get("seconds").asDouble() > found);
        assertThat(api().send("DELETE", search, "").status()).isLessThan(300);
        until(() -> api().get("/api/jobs/%d/runs".formatted(nest)).json().size() > 0);
        assertThat(cost(nest)).isLessThanOrEqualTo(cost);
        bash("kill -9 $(head -n 1 '%s/postgres/postmaster.pid')".formatted(home));
        until(() -> !verifies());
        until(ServerIT::verifies);
        assertThat(Files.readString(home.resolve("logs/supervisor.log")))
                .contains("node 1 ended; it is begun again", "PostgreSQL died; it is begun again");
    }

    @Test
    @Order(4)
    void aBackupIsLaidBackWhenAllOfItVerifies() throws Exception {
        Path file = home.resolve("all.backup");
        assertThat(oleander("backup", file.toString()).text()).contains("Kept in");
        assertThat(oleander("backup", file.toString()).text()).contains("overwrites nothing");
        assertThat(oleander("restore", file.toString()).text()).contains("Oleander is running");
        assertThat(oleander("stop").text()).contains("Stopped");
        Path broken = home.resolve("broken.backup");
        byte[] bytes = Files.readAllBytes(file);
        bytes[bytes.length / 2] ^= 1;
        Files.write(broken, bytes);
        assertThat(oleander("restore", broken.toString()).text()).contains("Nothing was changed");
        Said restored = oleander("restore", file.toString());
        assertThat(restored.exit()).as(restored.text()).isZero();
        assertThat(restored.text()).contains("All 3 releases are as they were made", "Restored");
        assertThat(oleander("start", "--detach").exit()).isZero();
        assertThat(verifies()).isTrue();
        assertThat(api().get("/api/jobs").json()).hasSize(18);
        assertThat(oleander("verify").text()).contains("All 3 releases are as they were made");
    }
}
