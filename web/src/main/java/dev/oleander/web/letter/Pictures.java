package dev.oleander.web.letter;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.drawing.picture.DotSpec;
import dev.oleander.drawing.picture.Dots;
import dev.oleander.drawing.picture.Picture;
import dev.oleander.drawing.picture.PictureException;
import dev.oleander.drawing.picture.PictureReader;
import dev.oleander.drawing.picture.Reduced;
import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.drawing.picture.Tracer;
import dev.oleander.drawing.picture.Traces;
import dev.oleander.progress.Once;
import dev.oleander.progress.Progress;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.load.WorkingMemory;
import dev.oleander.web.seal.Hashes;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Pictures of the shop, by the SHA-256 of their files: one that is exchanged changes no job. */
@Component
public class Pictures implements Traces {

    /** Pixels of one that is looked at at once: its line work is there within 0.3 s. */
    private static final int ROUGH_PIXELS = 1_000_000;

    /** Pixels from which on line work is long work. */
    private static final long LONG_PIXELS = 4_000_000;

    /** A pixel needs 12 bytes while it is looked at, as half a byte of a drawing does. */
    private static final long PIXELS_OF_BYTE = 2;

    private static final int KEPT_PIXELS = 60_000_000;
    private static final int KEPT_TRACES = 100;

    private final JdbcTemplate sql;
    private final Clock clock;
    private final WorkingMemory memory;
    private final Cache<String, Picture> read =
            Caffeine.newBuilder()
                    .maximumWeight(KEPT_PIXELS)
                    .weigher((String sha256, Picture p) -> p.width() * p.height())
                    .build();

    /** Who asks for the same waits for it; others do not wait for that. */
    private final Cache<Asked, Once<Traced>> traced =
            Caffeine.newBuilder().maximumSize(KEPT_TRACES).build();

    private record Asked(String sha256, TraceSpec spec) {}

    private final Cache<String, Reduced> reduced =
            Caffeine.newBuilder().maximumSize(KEPT_TRACES).build();
    private final Cache<Asked, Traced> rough =
            Caffeine.newBuilder().maximumSize(KEPT_TRACES).build();

    Pictures(JdbcTemplate sql, Clock clock, WorkingMemory memory) {
        this.memory = memory;
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * A picture that was brought in.
     *
     * @param width pixels
     * @param height pixels
     */
    public record Brought(String sha256, int width, int height) {}

    /**
     * Brings a picture in; the same file again changes nothing.
     *
     * @throws PictureException when it cannot be read, or is too large
     */
    public Brought bring(byte[] file, String name, SignedIn who) {
        Picture picture = within(file, () -> PictureReader.read(file));
        String sha256 = Hashes.sha256(file);
        sql.update(
                "insert into picture (sha256, name, file, account_id, made_at)"
                        + " values (?, ?, ?, ?, ?) on conflict do nothing",
                sha256,
                name.substring(0, Math.min(200, name.length())),
                file,
                who.id(),
                Timestamp.from(clock.instant()));
        read.put(sha256, picture);
        return new Brought(sha256, picture.width(), picture.height());
    }

    /**
     * Does something with a picture when there is memory for it, in turn with others.
     *
     * @throws PictureException when there never will be
     */
    public <T> T within(byte[] file, Supplier<T> work) {
        long pixels = PictureReader.sizeOf(file).pixels();
        long most = PIXELS_OF_BYTE * memory.most();
        if (pixels > most) {
            throw new PictureException(
                    "%,d pixels; with the memory of this server %,d are allowed: make it smaller.",
                    pixels, most);
        }
        return memory.within(pixels / PIXELS_OF_BYTE, work);
    }

    @Override
    public Traced trace(String sha256, TraceSpec spec) {
        return trace(sha256, spec, Progress.NONE);
    }

    /**
     * The same, told how far it is; who asks meanwhile waits for it.
     *
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public Traced trace(String sha256, TraceSpec spec, Progress progress) {
        return once(sha256, spec).get(progress);
    }

    private Once<Traced> once(String sha256, TraceSpec spec) {
        return traced.get(
                new Asked(sha256, spec),
                asked -> new Once<>(progress -> traced(sha256, spec, progress)));
    }

    /** Whether somebody who asks for line work has to wait long. */
    public boolean isLong(String sha256, TraceSpec spec) {
        if (once(sha256, spec).known().isPresent()) {
            return false;
        }
        return file(sha256).map(PictureReader::sizeOf).orElseThrow(() -> none(sha256)).pixels()
                > LONG_PIXELS;
    }

    private Traced traced(String sha256, TraceSpec spec, Progress progress) {
        Picture picture = picture(sha256);
        return new Traced(picture.width(), picture.height(), Tracer.trace(picture, spec, progress));
    }

    @Override
    public Traces rough() {
        return new Traces() {
            @Override
            public Traced trace(String sha256, TraceSpec spec) {
                return roughly(sha256, spec);
            }

            @Override
            public Dots.Made dots(String sha256, DotSpec spec) {
                return Pictures.this.dots(sha256, spec);
            }

            @Override
            public int[] histogram(String sha256) {
                return Pictures.this.histogram(sha256);
            }
        };
    }

    private Traced roughly(String sha256, TraceSpec spec) {
        Once<Traced> whole = traced.getIfPresent(new Asked(sha256, spec));
        if (whole != null && whole.known().isPresent()) {
            return whole.get(Progress.NONE);
        }
        return rough.get(
                new Asked(sha256, spec),
                asked -> {
                    Picture picture = picture(sha256);
                    return new Traced(
                            picture.width(), picture.height(), Tracer.roughly(small(sha256), spec));
                });
    }

    private Reduced small(String sha256) {
        return reduced.get(sha256, sum -> Reduced.of(picture(sum), ROUGH_PIXELS));
    }

    @Override
    public int[] histogram(String sha256) {
        return small(sha256).picture().histogram();
    }

    @Override
    public Dots.Made dots(String sha256, DotSpec spec) {
        return Dots.of(picture(sha256), spec, Progress.NONE);
    }

    private Picture picture(String sha256) {
        return read.get(
                sha256,
                sum ->
                        file(sum)
                                .map(f -> within(f, () -> PictureReader.read(f)))
                                .orElseThrow(() -> none(sum)));
    }

    private static PictureException none(String sha256) {
        return new PictureException(
                sha256.isEmpty() ? "Choose a picture." : "The shop has no picture %s.", sha256);
    }

    private Optional<byte[]> file(String sha256) {
        return sql
                .query(
                        "select file from picture where sha256 = ?",
                        (row, i) -> row.getBytes("file"),
                        sha256)
                .stream()
                .findFirst();
    }

    /**
     * @throws NotFoundException when the shop has no such picture
     */
    public byte[] whole(String sha256) {
        return file(sha256)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "The shop has no picture %s.".formatted(sha256)));
    }
}
