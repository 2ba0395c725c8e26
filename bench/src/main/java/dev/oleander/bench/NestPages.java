package dev.oleander.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** How soon the pages of a nest answer while a search of it runs on the same machine. */
final class NestPages {

    /** s; longer than what is measured meanwhile. */
    private static final int SEARCH = 300;

    /** Pages before those that are measured: the server has just begun. */
    private static final int WARM = 150;

    private static final int PAGES = 100;

    /** ms between two, as when somebody clicks through. */
    private static final long PAUSE = 50;

    /** s within which 95 of 100 are answered. */
    private static final double LIMIT = 0.1;

    private final Path file;

    /**
     * @param file of a case
     */
    NestPages(Path file) {
        this.file = file;
    }

    List<Row> measure() throws Exception {
        try (ServedApp app = new ServedApp()) {
            app.start();
            PageSession session = new PageSession(app);
            session.signIn();
            ServedJobs calls = new ServedJobs(app);
            long nest = calls.post("/api/nests", Files.readString(file)).get("id").asLong();
            calls.post("/api/nests/%d/runs".formatted(nest), "{\"seconds\": %d}".formatted(SEARCH));
            String search = "/api/nests/%d/runs/1".formatted(nest);
            while (!calls.read(search).path("best").isObject()) {
                Thread.sleep(PAUSE);
            }
            String page = "/jobs/%d/sheet".formatted(nest);
            String fragment = page + "/nest/search";
            double[] pages = measured(session, page);
            double[] fragments = measured(session, fragment);
            requireRunning(calls.read(search));
            return List.of(
                    row("page of a nest while a search of it runs, p95", pages, 0.95, LIMIT),
                    row("  median", pages, 0.5, null),
                    row(
                            "what is new of the search, asked for meanwhile, p95",
                            fragments,
                            0.95,
                            LIMIT),
                    row("  median", fragments, 0.5, null));
        }
    }

    private static void requireRunning(JsonNode search) {
        if (!search.get("state").asString().equalsIgnoreCase("running")) {
            throw new IllegalStateException("the search ended too soon: " + search);
        }
    }

    /** Seconds of each answer, sorted. */
    private static double[] measured(PageSession session, String path)
            throws IOException, InterruptedException {
        double[] seconds = new double[PAGES];
        for (int i = -WARM; i < PAGES; i++) {
            long began = System.nanoTime();
            HttpResponse<String> answer = session.send(session.get(path));
            double took = (System.nanoTime() - began) / 1e9;
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(path + " answers " + answer.statusCode());
            }
            if (i >= 0) {
                seconds[i] = took;
            }
            Thread.sleep(PAUSE);
        }
        Arrays.sort(seconds);
        return seconds;
    }

    private static Row row(String work, double[] sorted, double share, Double limit) {
        double value = sorted[(int) Math.ceil(share * sorted.length) - 1];
        return Row.below(work, value, "s", limit, null);
    }
}
