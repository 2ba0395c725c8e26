package dev.oleander.web.release;

import dev.oleander.motion.PathDxf;
import dev.oleander.web.job.NotFoundException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** What can be taken from a release as a file. */
public final class ReleaseFiles {

    private ReleaseFiles() {}

    /** The program for the controller. */
    public static ResponseEntity<byte[]> program(Release release) {
        return file(
                release.fileName(),
                MediaType.parseMediaType("text/plain;charset=us-ascii"),
                release.program().getBytes(StandardCharsets.US_ASCII));
    }

    /**
     * The sheet for the machine; it opens in the browser.
     *
     * @throws NotFoundException when the release was made before sheets were kept
     */
    public static ResponseEntity<byte[]> sheet(Release release) {
        if (release.sheet() == null) {
            throw new NotFoundException(
                    "Revision %s was made before shop sheets were kept."
                            .formatted(release.revision()));
        }
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(named(release, "pdf"))
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_PDF)
                .body(release.sheet());
    }

    /** The way of the head as a drawing. */
    public static ResponseEntity<byte[]> path(Release release) {
        String dxf = PathDxf.write(new KeptMotion(release).program());
        return file(
                named(release, "dxf"),
                MediaType.parseMediaType("image/vnd.dxf"),
                dxf.getBytes(StandardCharsets.UTF_8));
    }

    /** The motions as data. */
    public static ResponseEntity<byte[]> motion(Release release) {
        return file(
                named(release, "json"), MediaType.APPLICATION_JSON, new KeptMotion(release).json());
    }

    private static String named(Release release, String extension) {
        String name = release.fileName();
        return name.substring(0, name.lastIndexOf('.') + 1) + extension;
    }

    private static ResponseEntity<byte[]> file(String name, MediaType type, byte[] content) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(type)
                .body(content);
    }
}
