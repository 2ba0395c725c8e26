package dev.oleander.bench;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Starts and stops the application by its own script, with a data folder that is thrown away. */
final class StartUp {

    private final Path data;
    private final int port;

    StartUp() throws IOException {
        this.data = Files.createTempDirectory("oleander-bench");
        // the database's user has to reach into it
        data.toFile().setExecutable(true, false);
        data.toFile().setReadable(true, false);
        try (ServerSocket socket = new ServerSocket(0)) {
            this.port = socket.getLocalPort();
        }
    }

    /** Seconds from the command to a served page, for a start that has nothing to build or fill. */
    double secondsOfSecondStart() throws IOException, InterruptedException {
        try {
            run("start", "--detach");
            run("stop");
            long began = System.nanoTime();
            run("start", "--detach");
            requirePage();
            double seconds = (System.nanoTime() - began) / 1e9;
            run("stop");
            return seconds;
        } finally {
            run("stop");
            remove();
        }
    }

    private void run(String... words) throws IOException, InterruptedException {
        List<String> command = Stream.concat(Stream.of("./oleander"), Stream.of(words)).toList();
        Path said = data.resolve("said.txt");
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(said.toFile());
        builder.environment().put("OLEANDER_HOME", data.toString());
        builder.environment().put("OLEANDER_PORT", String.valueOf(port));
        if (builder.start().waitFor() != 0) {
            throw new IllegalStateException(
                    String.join(" ", command) + " failed: " + Files.readString(said));
        }
    }

    private void requirePage() throws IOException, InterruptedException {
        HttpRequest request =
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/sign-in")).build();
        int status = HttpClient.newHttpClient().send(request, BodyHandlers.ofString()).statusCode();
        if (status != 200) {
            throw new IllegalStateException("the sign-in page answers " + status);
        }
    }

    private void remove() throws IOException {
        try (Stream<Path> files = Files.walk(data)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(f -> f.delete());
        }
    }
}
