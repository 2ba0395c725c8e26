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
import java.util.Map;
import java.util.stream.Stream;

/**
 * The application started and stopped by its own script, with a data folder that is thrown away.
 */
final class ServedApp implements AutoCloseable {

    /** Clock ticks of the kernel in a second. */
    private static final double TICKS = 100;

    private final Path data;
    private final int port;
    private final Map<String, String> settings;

    ServedApp() throws IOException {
        this(Map.of());
    }

    /**
     * @param settings of the environment
     */
    ServedApp(Map<String, String> settings) throws IOException {
        this.settings = settings;
        this.data = Files.createTempDirectory("oleander-bench");
        // the database's user has to reach into it
        data.toFile().setExecutable(true, false);
        data.toFile().setReadable(true, false);
        try (ServerSocket socket = new ServerSocket(0)) {
            this.port = socket.getLocalPort();
        }
    }

    /** Returns when pages are served. */
    void start() throws IOException, InterruptedException {
        run("start", "--detach");
        HttpRequest request = HttpRequest.newBuilder(address("/sign-in")).build();
        int status = HttpClient.newHttpClient().send(request, BodyHandlers.ofString()).statusCode();
        if (status != 200) {
            throw new IllegalStateException("the sign-in page answers " + status);
        }
    }

    /**
     * Kills a process without asking.
     *
     * @param server the server; else the database
     */
    void kill(boolean server) throws IOException, InterruptedException {
        Path file = data.resolve(server ? "node-1.pid" : "postgres/postmaster.pid");
        String command = "kill -9 $(head -n 1 '%s' | cut -d ' ' -f 1)".formatted(file);
        new ProcessBuilder("bash", "-c", command).inheritIO().start().waitFor();
    }

    void stop() throws IOException, InterruptedException {
        run("stop");
    }

    URI address(String path) {
        return URI.create("http://127.0.0.1:" + port + path);
    }

    /** Memory that the server holds, MB. */
    double megabytes() throws IOException {
        return Files.readAllLines(process("status")).stream()
                .filter(line -> line.startsWith("VmRSS:"))
                .mapToDouble(line -> Double.parseDouble(line.replaceAll("[^0-9]", "")) / 1024)
                .findFirst()
                .orElseThrow();
    }

    /** Processor time of the server since its start, s. */
    double processorSeconds() throws IOException {
        String stat = Files.readString(process("stat"));
        String[] fields = stat.substring(stat.lastIndexOf(')') + 2).split(" ");
        return (Long.parseLong(fields[11]) + Long.parseLong(fields[12])) / TICKS;
    }

    private Path process(String file) throws IOException {
        String pid = Files.readString(data.resolve("node-1.pid")).strip().split("\\s+")[0];
        return Path.of("/proc", pid, file);
    }

    /** Stops it and throws its data away. */
    @Override
    public void close() throws IOException, InterruptedException {
        stop();
        try (Stream<Path> files = Files.walk(data)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(f -> f.delete());
        }
    }

    private void run(String... words) throws IOException, InterruptedException {
        List<String> command = Stream.concat(Stream.of("./oleander"), Stream.of(words)).toList();
        Path said = data.resolve("said.txt");
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(said.toFile());
        builder.environment().putAll(settings);
        builder.environment().put("OLEANDER_HOME", data.toString());
        builder.environment().put("OLEANDER_PORT", String.valueOf(port));
        if (builder.start().waitFor() != 0) {
            throw new IllegalStateException(
                    String.join(" ", command) + " failed: " + Files.readString(said));
        }
    }
}
