package dev.oleander.bench;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;

/** Somebody who looks at jobs and changes them, one request every two seconds. */
final class LoadPerson implements Runnable {

    private static final String[] STAGES = {"shape", "cuts", "sheet", "proof", "release"};
    private static final double BETWEEN = 2;

    /** Every edit sets something else: one that sets what is there already is no step. */
    private static final AtomicInteger EDITS = new AtomicInteger();

    private final PageSession session;
    private final ServedJobs calls;
    private final Map<Long, AtomicInteger> edits;
    private final long[] jobs;
    private final LoadFigures figures;
    private final SplittableRandom random;
    private final double seconds;

    /**
     * @param edits by job, how many were answered
     * @param seconds that it goes on
     */
    LoadPerson(
            ServedApp app,
            Map<Long, AtomicInteger> edits,
            LoadFigures figures,
            long seed,
            double seconds) {
        this.session = new PageSession(app);
        this.calls = new ServedJobs(app);
        this.edits = edits;
        this.jobs = edits.keySet().stream().mapToLong(Long::longValue).toArray();
        this.figures = figures;
        this.random = new SplittableRandom(seed);
        this.seconds = seconds;
    }

    /** Before the clock runs: hashing passwords is not what is measured. */
    void signIn() throws IOException, InterruptedException {
        session.signIn();
    }

    @Override
    public void run() {
        long end = System.nanoTime() + (long) (seconds * 1e9);
        pause(BETWEEN * random.nextDouble());
        while (System.nanoTime() < end) {
            long began = System.nanoTime();
            act();
            double took = (System.nanoTime() - began) / 1e9;
            pause(Math.max(0, BETWEEN * (0.5 + random.nextDouble()) - took));
        }
    }

    private static void pause(double seconds) {
        try {
            Thread.sleep((long) (1000 * seconds));
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void act() {
        long job = jobs[random.nextInt(jobs.length)];
        int what = random.nextInt(100);
        if (what < 20) {
            timed("page: board", session.get("/"));
        } else if (what < 50) {
            String stage = STAGES[random.nextInt(STAGES.length)];
            timed("page: bench", session.get("/jobs/%d/%s".formatted(job, stage)));
        } else if (what < 60) {
            timed("page: scene", session.get("/jobs/%d/scene".formatted(job)));
        } else if (what < 85) {
            edit(job);
        } else if (what < 95) {
            timed("call: run", calls.request("/api/jobs/%d/run".formatted(job)));
        } else {
            timed("upload", calls.upload(1 + random.nextInt(4), random.nextInt(), 2));
        }
    }

    private void edit(long job) {
        boolean sheet = random.nextBoolean();
        int next = EDITS.incrementAndGet();
        String path = sheet ? "/jobs/%d/sheet/sheet-values" : "/jobs/%d/cuts/order-values";
        String form =
                sheet
                        ? "field=gap&value=" + (8 + next % 4000 / 1000.0)
                        : "field=name&value=" + PageSession.encoded("Plates " + next);
        int status =
                timed("edit", session.form(path.formatted(job), form).header("HX-Request", "true"));
        if (status == 200) {
            edits.get(job).incrementAndGet();
        }
    }

    private int timed(String kind, HttpRequest.Builder request) {
        long began = System.nanoTime();
        int status = 0;
        try {
            status = session.send(request).statusCode();
        } catch (IOException lost) {
            // counted as no answer
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        figures.add(kind, (System.nanoTime() - began) / 1e9, status);
        return status;
    }
}
