package dev.oleander.web.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.JobView;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.zip.Deflater;
import java.util.zip.GZIPOutputStream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Scenes of proved plans as they are sent: packed once and kept while they fit, since those of
 * large sheets take longer to write than to draw.
 */
@Component
class PackedScenes {

    private static final long MOST_BYTES = 64L << 20;

    /** A scene counts at least as much: it keeps the whole result it was made from. */
    private static final int LEAST_BYTES = 4 << 20;

    private final JsonMapper json;
    private final Cache<Key, byte[]> scenes =
            Caffeine.newBuilder()
                    .maximumWeight(MOST_BYTES)
                    .weigher((Key key, byte[] scene) -> Math.max(LEAST_BYTES, scene.length))
                    .build();

    /** What a scene follows from. */
    private record Key(JobResult result, int step) {}

    PackedScenes(JsonMapper json) {
        this.json = json;
    }

    /** The scene of a job with its plan, packed by gzip. */
    byte[] planned(JobView job) {
        JobResult result = job.result();
        return result.isProved()
                ? scenes.get(new Key(result, job.step()), key -> packed(job))
                : packed(job);
    }

    private byte[] packed(JobView job) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream packing = new Quick(bytes)) {
            json.writeValue(packing, SceneBuilder.build(job.step(), job.result(), true));
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
