package dev.oleander.web.release;

import dev.oleander.motion.PathDxf;
import dev.oleander.web.job.document.NotFoundException;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What can be taken from a release as a file. */
public final class ReleaseFiles {

    private ReleaseFiles() {}

    /** Numbers of lines of the files that a program has. */
    public static List<Integer> partLines(Release release) {
        return release.partLines() == null
                ? List.of((int) release.program().lines().count())
                : JsonMapper.shared()
                        .readValue(release.partLines(), new TypeReference<List<Integer>>() {});
    }

    /** The program for the controller; several files come packed together. */
    public static ResponseEntity<byte[]> program(Release release) {
        List<ProgramFile> files = programs(release);
        if (files.size() > 1) {
            return file(
                    named(release, "zip"),
                    MediaType.parseMediaType("application/zip"),
                    packed(files));
        }
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

    /** The program from a stop on. */
    public static ResponseEntity<byte[]> resumed(Release release, String stop, String text) {
        int dot = release.fileName().lastIndexOf('.');
        String name =
                release.fileName().substring(0, dot)
                        + "-from-"
                        + stop.replaceAll("[^A-Za-z0-9]+", "-")
                        + release.fileName().substring(dot);
        return file(
                name,
                MediaType.parseMediaType("text/plain;charset=us-ascii"),
                text.getBytes(StandardCharsets.US_ASCII));
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

    /**
     * A file of a release.
     *
     * @param number from 1
     * @param run number of the run that it is of
     * @param count how many sheets it is for
     * @param text for the controller
     */
    public record ProgramFile(int number, String name, int run, int count, String text) {

        public byte[] bytes() {
            return text.getBytes(StandardCharsets.US_ASCII);
        }
    }

    /** The files of all that were released together, in the order in which they are run. */
    public static List<ProgramFile> programs(List<Release> together) {
        List<ProgramFile> all = new ArrayList<>();
        for (Release release : together) {
            for (ProgramFile file : programs(release)) {
                all.add(
                        new ProgramFile(
                                all.size() + 1,
                                file.name(),
                                file.run(),
                                file.count(),
                                file.text()));
            }
        }
        return List.copyOf(all);
    }

    /** The files that a program has, in the order in which they are run. */
    private static List<ProgramFile> programs(Release release) {
        List<Integer> lines = partLines(release);
        if (lines.size() == 1) {
            return List.of(
                    new ProgramFile(
                            1,
                            release.fileName(),
                            release.run(),
                            release.times(),
                            release.program()));
        }
        List<String> all = release.program().lines().toList();
        String end = release.program().contains("\r\n") ? "\r\n" : "\n";
        int dot = release.fileName().lastIndexOf('.');
        List<ProgramFile> files = new ArrayList<>();
        int at = 0;
        for (int part = 1; part <= lines.size(); part++) {
            int next = at + lines.get(part - 1);
            String name =
                    "%s-%d%s"
                            .formatted(
                                    release.fileName().substring(0, dot),
                                    part,
                                    release.fileName().substring(dot));
            String text = String.join(end, all.subList(at, next)) + end;
            files.add(new ProgramFile(part, name, release.run(), release.times(), text));
            at = next;
        }
        return files;
    }

    private static byte[] packed(List<ProgramFile> files) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (ProgramFile file : files) {
                zip.putNextEntry(new ZipEntry(file.name()));
                zip.write(file.bytes());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
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
