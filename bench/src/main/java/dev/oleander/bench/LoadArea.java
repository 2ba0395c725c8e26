package dev.oleander.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;

/** Many people at once on the served application: pages, edits, uploads and calls over its jobs. */
final class LoadArea implements Area {

    private static final int JOBS = 100;
    private static final List<Integer> PEOPLE = List.of(1, 20, 50, 100);
    private static final double SECONDS = 40;

    /** A server that runs for days has all its code compiled. */
    private static final double WARMING_UP = 90;

    /** Seconds by people: of pages, of edits. */
    private static final Map<Integer, double[]> LIMITS =
            Map.of(50, new double[] {0.15, 0.4}, 100, new double[] {0.4, 1.0});

    @Override
    public String name() {
        return "load";
    }

    @Override
    public List<Row> measure() throws Exception {
        List<Row> rows = new ArrayList<>();
        try (ServedApp app = new ServedApp()) {
            app.start();
            ServedJobs jobs = new ServedJobs(app);
            Map<Long, AtomicInteger> edits = new ConcurrentHashMap<>();
            for (int i = 0; i < JOBS; i++) {
                edits.put(jobs.make(1 + i % 6, i, 2), new AtomicInteger());
            }
            run(app, edits, 50, WARMING_UP);
            for (int people : people()) {
                double before = app.megabytes();
                LoadFigures figures = run(app, edits, people, SECONDS);
                tell(people, figures, rows);
                rows.add(
                        Row.below(
                                people + " people: memory grew by",
                                app.megabytes() - before,
                                "MB",
                                null,
                                null));
            }
            rows.add(
                    Row.below(
                            "edits that were answered and lost", lost(jobs, edits), "", 0.0, null));
            Thread.sleep(10_000);
            double began = app.processorSeconds();
            Thread.sleep(5_000);
            rows.add(
                    Row.below(
                            "processor in use 10 s after the last person left",
                            100 * (app.processorSeconds() - began) / 5,
                            "%",
                            5.0,
                            null));
        }
        return rows;
    }

    /** As many as the option {@code -Dpeople} says, else some numbers of them. */
    private static List<Integer> people() {
        Integer wished = Integer.getInteger("people");
        return wished == null ? PEOPLE : List.of(wished);
    }

    private static LoadFigures run(
            ServedApp app, Map<Long, AtomicInteger> edits, int people, double seconds)
            throws Exception {
        LoadFigures figures = new LoadFigures();
        List<LoadPerson> all = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            LoadPerson person = new LoadPerson(app, edits, figures, 1000L * people + i, seconds);
            person.signIn();
            all.add(person);
        }
        List<Thread> threads = all.stream().map(Thread::new).toList();
        threads.forEach(Thread::start);
        for (Thread thread : threads) {
            thread.join();
        }
        return figures;
    }

    private static void tell(int people, LoadFigures figures, List<Row> rows) {
        double[] limits = LIMITS.get(people);
        for (String kind : figures.kinds()) {
            String what = "%d people, %s: ".formatted(people, kind);
            Double limit = null;
            if (limits != null && kind.startsWith("page")) {
                limit = limits[0];
            } else if (limits != null && kind.equals("edit")) {
                limit = limits[1];
            }
            rows.add(Row.below(what + "p50", figures.within(kind, 0.5), "s", null, null));
            rows.add(Row.below(what + "p95", figures.within(kind, 0.95), "s", limit, null));
            rows.add(Row.below(what + "p99", figures.within(kind, 0.99), "s", null, null));
        }
        rows.add(
                Row.below(
                        people + " people: requests a second",
                        figures.answers() / SECONDS,
                        "1/s",
                        null,
                        null));
        figures.errors()
                .forEach(
                        (kind, count) ->
                                rows.add(
                                        Row.below(
                                                "%d people: errors, %s".formatted(people, kind),
                                                count,
                                                "",
                                                0.0,
                                                null)));
        rows.add(
                Row.below(
                        people + " people: answers that ask to come again",
                        100.0 * figures.busy() / Math.max(1, figures.answers()),
                        "%",
                        people > 50 ? 1.0 : 0.0,
                        null));
    }

    /** Every answered edit is a step of its job. */
    private static int lost(ServedJobs jobs, Map<Long, AtomicInteger> edits) throws Exception {
        int lost = 0;
        for (Map.Entry<Long, AtomicInteger> job : edits.entrySet()) {
            int steps = jobs.job(job.getKey()).get("step").asInt();
            lost += Math.max(0, 1 + job.getValue().get() - steps);
        }
        return lost;
    }
}
