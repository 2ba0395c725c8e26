package dev.oleander.bench;

import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Server and database are killed at random moments while people edit and release; afterwards
 * everything that was answered has to be there, and nothing half done.
 */
final class KillsArea implements Area {

    /** {@code -Dkills=200} for the long run. */
    private static final int KILLS = Integer.getInteger("kills", 20);

    private static final int JOBS = 8;
    private static final int PEOPLE = 6;
    private static final Duration ANSWER = Duration.ofSeconds(20);

    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
    private final Map<Long, Integer> newest = new ConcurrentHashMap<>();
    private final Map<Long, AtomicInteger> answered = new ConcurrentHashMap<>();
    private final Map<Long, String> releases = new ConcurrentHashMap<>();
    private volatile boolean over;

    @Override
    public String name() {
        return "kills";
    }

    @Override
    public List<Row> measure() throws Exception {
        try (ServedApp app = new ServedApp(Map.of("OLEANDER_MOST_ENDS", "1000000"))) {
            app.start();
            ServedJobs jobs = new ServedJobs(app);
            List<Long> ids = new ArrayList<>();
            for (int i = 0; i < JOBS; i++) {
                ids.add(jobs.make(1, i, 1));
            }
            List<Thread> people = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                Random random = new Random(i);
                people.add(new Thread(() -> work(jobs, ids, random)));
            }
            people.forEach(Thread::start);
            double longest = kill(app, jobs);
            over = true;
            for (Thread person : people) {
                person.join();
            }
            return rows(jobs, ids, longest);
        }
    }

    /** Longest time until it served again, s. */
    private double kill(ServedApp app, ServedJobs jobs) throws Exception {
        Random random = new Random(7);
        double longest = 0;
        for (int i = 0; i < KILLS; i++) {
            Thread.sleep(500 + random.nextInt(2_500));
            app.kill(random.nextBoolean());
            long began = System.nanoTime();
            Thread.sleep(200);
            while (!isServed(jobs)) {
                Thread.sleep(100);
            }
            longest = Math.max(longest, (System.nanoTime() - began) / 1e9);
        }
        return longest;
    }

    private boolean isServed(ServedJobs jobs) {
        try {
            return http.send(
                                    jobs.request("/api/jobs").timeout(ANSWER).build(),
                                    BodyHandlers.ofString())
                            .statusCode()
                    == 200;
        } catch (IOException | InterruptedException away) {
            return false;
        }
    }

    private void work(ServedJobs jobs, List<Long> ids, Random random) {
        while (!over) {
            long job = ids.get(random.nextInt(ids.size()));
            try {
                if (random.nextInt(6) == 0) {
                    release(jobs, job);
                } else {
                    edit(jobs, job, 1 + random.nextInt(9));
                }
            } catch (IOException away) {
                pause();
            } catch (InterruptedException stopped) {
                return;
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(200);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void edit(ServedJobs jobs, long job, int gap) throws IOException, InterruptedException {
        HttpResponse<String> answer =
                http.send(
                        jobs.request("/api/jobs/%d/sheet".formatted(job))
                                .timeout(ANSWER)
                                .header("Content-Type", "application/json")
                                .PUT(BodyPublishers.ofString("{\"gap\": %d}".formatted(gap)))
                                .build(),
                        BodyHandlers.ofString());
        if (answer.statusCode() < 300) {
            answer.headers()
                    .firstValue("ETag")
                    .ifPresent(
                            tag ->
                                    newest.merge(
                                            job,
                                            Integer.valueOf(tag.replace("\"", "")),
                                            Math::max));
            answered.computeIfAbsent(job, j -> new AtomicInteger()).incrementAndGet();
        } else if (answer.statusCode() >= 500) {
            pause();
        }
    }

    private void release(ServedJobs jobs, long job) throws IOException, InterruptedException {
        HttpResponse<String> answer =
                http.send(
                        jobs.request("/api/jobs/%d/releases".formatted(job))
                                .timeout(ANSWER)
                                .header("Content-Type", "application/json")
                                .POST(BodyPublishers.ofString("{}"))
                                .build(),
                        BodyHandlers.ofString());
        if (answer.statusCode() == 201) {
            JsonNode made = JsonMapper.shared().readTree(answer.body());
            releases.put(made.get("id").asLong(), made.get("sha256").asString());
        }
    }

    private List<Row> rows(ServedJobs jobs, List<Long> ids, double longest) throws Exception {
        int lost = 0;
        int broken = 0;
        for (long id : ids) {
            int step = jobs.job(id).get("step").asInt();
            lost += Math.max(0, newest.getOrDefault(id, 0) - step);
            try {
                jobs.requirePlan(id);
            } catch (IllegalStateException halfDone) {
                broken++;
            }
        }
        int missing = 0;
        for (Map.Entry<Long, String> release : releases.entrySet()) {
            JsonNode kept = jobs.read("/api/releases/" + release.getKey());
            missing += kept.get("sha256").asString().equals(release.getValue()) ? 0 : 1;
        }
        JsonNode seals = jobs.read("/api/releases/verify");
        int edits = answered.values().stream().mapToInt(AtomicInteger::get).sum();
        return List.of(
                Row.below("kills", KILLS, "", null, null),
                Row.below("edits that were answered", edits, "", null, null),
                Row.below("steps of them that are not there", lost, "", 0.0, null),
                Row.below("jobs that cannot be read and planned", broken, "", 0.0, null),
                Row.below("releases that were answered", releases.size(), "", null, null),
                Row.below("of them not there as they were answered", missing, "", 0.0, null),
                Row.below(
                        "faults of the chain of seals",
                        seals.get("intact").asBoolean() ? 0 : seals.get("faults").size(),
                        "",
                        0.0,
                        null),
                Row.below("longest time until it served again", longest, "s", null, null));
    }
}
