package dev.oleander.web.release;

import dev.oleander.motion.MotionJson;
import dev.oleander.motion.Program;
import dev.oleander.web.job.document.NotFoundException;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** The motion program that a release keeps: JSON, packed. */
public final class KeptMotion {

    private final Release release;

    /**
     * @throws NotFoundException when the release was made before motions were kept
     */
    public KeptMotion(Release release) {
        if (release.motion() == null) {
            throw new NotFoundException(
                    "Revision %s was made before motions were kept.".formatted(release.revision()));
        }
        this.release = release;
    }

    static byte[] packed(Program program) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream packing = new GZIPOutputStream(bytes)) {
            MotionJson.write(program, packing);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }

    public byte[] json() {
        try (InputStream unpacked = unpacked()) {
            return unpacked.readAllBytes();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    public Program program() {
        try (InputStream unpacked = unpacked()) {
            return MotionJson.read(unpacked);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private InputStream unpacked() throws IOException {
        return new GZIPInputStream(new ByteArrayInputStream(release.motion()));
    }
}
