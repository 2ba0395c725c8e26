package dev.oleander.web.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Plan;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.Deflater;
import java.util.zip.GZIPOutputStream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Scenes and replays of proved plans as they are sent: packed once and kept while they fit, since
 * those of large sheets take longer to write than to draw. Plans that took long are packed as soon
 * as they are there.
 */
@Component
class PackedScenes {

    private static final long MOST_BYTES = 64L << 20;

    /** A scene counts at least as much: it keeps the whole result it was made from. */
    private static final int LEAST_BYTES = 4 << 20;

    private final JsonMapper json;
    private final JobService jobs;
    private final PagesOfWork pages;
    private final Cache<Key, byte[]> packed =
            Caffeine.newBuilder()
                    .maximumWeight(MOST_BYTES)
                    .weigher((Key key, byte[] bytes) -> Math.max(LEAST_BYTES, bytes.length))
                    .build();

    /** What a scene, or its replay, follows from; every run has a plan of its own. */
    private record Key(Plan plan, int step, boolean replay) {}

    PackedScenes(JsonMapper json, JobService jobs, PagesOfWork pages) {
        this.pages = pages;
        this.json = json;
        this.jobs = jobs;
    }

    /** The scene of a job with its plan, packed by gzip. */
    byte[] planned(JobView job) {
        return packed(job, false);
    }

    /** What its replay plays, packed by gzip. */
    byte[] replay(JobView job) {
        return packed(job, true);
    }

    @EventListener
    void follow(Planning.Ready plan) {
        prepare(plan.job());
    }

    /** Packs the picture of a job, unless its plan is still to come. */
    void prepare(long id) {
        JobView job = jobs.view(id);
        if (job.result().isProved()) {
            planned(job);
            replay(job);
        }
    }

    private byte[] packed(JobView job, boolean replay) {
        JobResult result = job.result();
        if (!result.isProved()) {
            return pack(job.step(), result, replay);
        }
        Key key = new Key(result.plan(), job.step(), replay);
        return packed.get(key, k -> pack(job.step(), result, replay));
    }

    private byte[] pack(int step, JobResult result, boolean replay) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream packing = new Quick(bytes)) {
            json.writeValue(
                    packing, replay ? Replay.of(step, result) : pages.scene(step, result, true));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }

    /** Packs fast rather than small. */
    private static final class Quick extends GZIPOutputStream {

        Quick(ByteArrayOutputStream into) throws IOException {
            super(into, 1 << 16);
            def.setLevel(Deflater.BEST_SPEED);
        }
    }
}
