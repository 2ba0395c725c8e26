package dev.oleander.web.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the script says when it cannot do what was asked; nothing is started here. */
class ScriptTest {

    @TempDir private Path folder;
    private Path data;

    @BeforeEach
    void makeData() throws IOException {
        data = Files.createDirectory(folder.resolve("data"));
    }

    private record Said(int exit, String text) {}

    private Said run(Map<String, String> environment, String... words)
            throws IOException, InterruptedException {
        Path out = folder.resolve("out.txt");
        List<String> command = Stream.concat(Stream.of("../oleander"), Stream.of(words)).toList();
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(out.toFile());
        builder.environment().putAll(environment);
        int exit = builder.start().waitFor();
        return new Said(exit, Files.readString(out));
    }

    private Map<String, String> home() {
        return new HashMap<>(Map.of("OLEANDER_HOME", data.toString(), "OLEANDER_DEMO", "true"));
    }

    @Test
    void anUnknownWordListsThoseThereAre() throws IOException, InterruptedException {
        Said said = run(home(), "launch");
        assertThat(said.exit()).isEqualTo(2);
        assertThat(said.text()).contains("start", "stop", "test", "bench", "demo-reset");
    }

    @Test
    void aPortInUseIsNamed() throws IOException, InterruptedException {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Map<String, String> environment = home();
            environment.put("OLEANDER_PORT", String.valueOf(taken.getLocalPort()));
            Said said = run(environment, "start");
            assertThat(said.exit()).isEqualTo(1);
            assertThat(said.text())
                    .contains("port " + taken.getLocalPort() + " is in use", "OLEANDER_PORT=");
        }
    }

    @Test
    void aDataFolderOfANewerVersionIsLeftAlone() throws IOException, InterruptedException {
        Files.writeString(data.resolve("format"), "99\n");
        Said said = run(home(), "start");
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text()).contains("schema 99", "Nothing was changed");
        assertThat(Files.readString(data.resolve("format"))).isEqualTo("99\n");
    }

    @Test
    void aDatabaseOfAnotherVersionIsLeftAlone() throws IOException, InterruptedException {
        Files.createDirectory(data.resolve("postgres"));
        Files.writeString(data.resolve("postgres/PG_VERSION"), "9\n");
        Said said = run(home(), "start");
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text()).contains("made with PostgreSQL 9", "postgresql-9");
    }

    @Test
    void aRunThatDidNotEndByItselfIsTold() throws IOException, InterruptedException {
        // a process number that cannot exist
        Files.writeString(data.resolve("supervisor.pid"), "99999999 5\n");
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Map<String, String> environment = home();
            environment.put("OLEANDER_PORT", String.valueOf(taken.getLocalPort()));
            assertThat(run(environment, "start").text())
                    .contains("The last run did not end by itself");
        }
        assertThat(data.resolve("supervisor.pid")).doesNotExist();
    }

    @Test
    void stoppingWhatDoesNotRunSaysSo() throws IOException, InterruptedException {
        Said said = run(home(), "stop");
        assertThat(said.exit()).isZero();
        assertThat(said.text()).contains("not running");
    }

    @Test
    void realDataIsNeverReset() throws IOException, InterruptedException {
        Map<String, String> environment = home();
        environment.put("OLEANDER_DEMO", "false");
        Said said = run(environment, "demo-reset");
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text()).contains("demo data only");
    }
}
