package dev.oleander.bench;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import tools.jackson.databind.JsonNode;

/**
 * Edits on the bench, one after the other, from the request to the last byte of its answer on the
 * same machine; with the parts that the server tells (Server-Timing).
 */
final class EditsArea implements Area {

    /** Plates of an ordinary job, and copies of each. */
    private static final int FEW = 2;

    private static final int COPIES = 4;

    /** Eleven contours each. */
    private static final int MANY = 2000;

    /**
     * Edits of each sort before those that are measured: the server has just begun, and its code is
     * not compiled yet.
     */
    private static final int WARM = 300;

    /** The same with a large sheet: most of the code is compiled by then. */
    private static final int WARM_LARGE = 20;

    private static final int EDITS = 100;
    private static final int LARGE_EDITS = 20;

    /** Seconds within which 95 of 100 edits of an ordinary job are answered. */
    private static final double ORDINARY = 0.1;

    /** The same of a sheet with 22,000 stops. */
    private static final double LARGE = 1;

    @Override
    public String name() {
        return "edits";
    }

    @Override
    public List<Row> measure() throws Exception {
        List<Row> rows = new ArrayList<>();
        try (ServedApp app = new ServedApp()) {
            app.start();
            PageSession session = new PageSession(app);
            session.signIn();
            ServedJobs calls = new ServedJobs(app);
            ordinary(calls, session, rows);
            large(calls, session, rows);
        }
        return rows;
    }

    /** Edits of one sort, the n-th by its number. */
    private record Sort(String what, IntFunction<HttpRequest.Builder> edit) {}

    private static void ordinary(ServedJobs calls, PageSession session, List<Row> rows)
            throws IOException, InterruptedException {
        long job = calls.make(FEW, 1, COPIES);
        List<String> stops = stops(calls, job);
        String gap = "/jobs/%d/sheet/sheet-values".formatted(job);
        String rule = "/jobs/%d/cuts/order-rule".formatted(job);
        String[] rules = {"partByPart", "shortest", "rowByRow"};
        List<Sort> sorts =
                List.of(
                        new Sort("over-run of one", overRun(session, job, stops)),
                        new Sort(
                                "gap between copies",
                                i -> edit(session, gap, "field=gap&value=" + (8 + i / 100.0))),
                        new Sort(
                                "rule of the order",
                                i -> edit(session, rule, "value=" + rules[i % rules.length])));
        // All of them first: what they share is compiled while the others run.
        for (Sort sort : sorts) {
            warm(session, sort.edit, WARM);
        }
        for (Sort sort : sorts) {
            String what = "edit of %d stops: %s".formatted(stops.size(), sort.what);
            rows.addAll(
                    measured(calls, job, session, i -> sort.edit.apply(WARM + i), EDITS)
                            .rows(what, ORDINARY));
        }
    }

    private static void large(ServedJobs calls, PageSession session, List<Row> rows)
            throws IOException, InterruptedException {
        long job = calls.make(MANY, 1, 1);
        // Larger than any sheet of the shop: the stock is cut round the parts.
        Answers around = new Answers();
        String size = "/jobs/%d/sheet/sheet-values".formatted(job);
        around.add(session, edit(session, size, "field=stock&value=around"));
        List<String> stops = stops(calls, job);
        IntFunction<HttpRequest.Builder> overRun = overRun(session, job, stops);
        warm(session, overRun, WARM_LARGE);
        rows.addAll(
                measured(calls, job, session, i -> overRun.apply(WARM_LARGE + i), LARGE_EDITS)
                        .rows("edit of %d stops: over-run of one".formatted(stops.size()), LARGE));
    }

    /** Ids of the stops of a job, once it is planned and proved. */
    private static List<String> stops(ServedJobs calls, long job)
            throws IOException, InterruptedException {
        calls.requirePlan(job);
        List<String> stops = new ArrayList<>();
        for (JsonNode stop : calls.read("/api/jobs/%d/run".formatted(job)).get("stops")) {
            stops.add(stop.get("id").asString());
        }
        if (stops.isEmpty()) {
            throw new IllegalStateException("job %d has no stops".formatted(job));
        }
        return stops;
    }

    private static IntFunction<HttpRequest.Builder> overRun(
            PageSession session, long job, List<String> stops) {
        String path = "/jobs/%d/cuts/values".formatted(job);
        return i ->
                edit(
                        session,
                        path,
                        "field=overRun&scope=copy&stop=%s&value=%s"
                                .formatted(stops.get(7 * i % stops.size()), 0.5 + i / 1000.0));
    }

    private static HttpRequest.Builder edit(PageSession session, String path, String form) {
        return session.form(path, form).header("HX-Request", "true");
    }

    private static void warm(PageSession session, IntFunction<HttpRequest.Builder> edit, int count)
            throws IOException, InterruptedException {
        Answers cold = new Answers();
        for (int i = 0; i < count; i++) {
            cold.add(session, edit.apply(i));
        }
    }

    private static Answers measured(
            ServedJobs calls,
            long job,
            PageSession session,
            IntFunction<HttpRequest.Builder> edit,
            int count)
            throws IOException, InterruptedException {
        Answers answers = new Answers();
        for (int i = 0; i < count; i++) {
            // A person looks at what came of it first.
            calls.requirePlan(job);
            answers.add(session, edit.apply(i));
        }
        return answers;
    }

    /** Answers to edits of one kind. */
    private static final class Answers {

        private final List<Double> seconds = new ArrayList<>();
        private final Map<String, Double> parts = new LinkedHashMap<>();

        void add(PageSession session, HttpRequest.Builder request)
                throws IOException, InterruptedException {
            long began = System.nanoTime();
            HttpResponse<String> answer = session.send(request);
            seconds.add((System.nanoTime() - began) / 1e9);
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(
                        "%s answers %d".formatted(answer.uri(), answer.statusCode()));
            }
            String told = answer.headers().firstValue("Server-Timing").orElse("");
            for (String part : told.split(", ")) {
                int at = part.indexOf(";dur=");
                if (at > 0) {
                    double ms = Double.parseDouble(part.substring(at + 5));
                    parts.merge(part.substring(0, at), ms, Double::sum);
                }
            }
        }

        List<Row> rows(String what, double limit) {
            double[] sorted = seconds.stream().mapToDouble(s -> s).sorted().toArray();
            List<Row> rows = new ArrayList<>();
            double p95 = sorted[(int) Math.ceil(0.95 * sorted.length) - 1];
            rows.add(Row.below(what + ", p95", p95, "s", limit, null));
            rows.add(Row.below("  median", sorted[sorted.length / 2], "s", null, null));
            double rest = 1000 * Arrays.stream(sorted).average().orElseThrow();
            for (Map.Entry<String, Double> part : parts.entrySet()) {
                double mean = part.getValue() / sorted.length;
                rows.add(Row.below("  of that, mean: " + part.getKey(), mean, "ms", null, null));
                rest -= mean;
            }
            rows.add(
                    Row.below(
                            "  of that, mean: drawing the page, the way", rest, "ms", null, null));
            return rows;
        }
    }
}
