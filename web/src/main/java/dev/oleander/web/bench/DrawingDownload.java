package dev.oleander.web.bench;

import dev.oleander.web.job.JobView;
import dev.oleander.web.job.result.DrawingExport;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** The drawing of a job as a file to keep. */
public final class DrawingDownload {

    private static final MediaType DXF = MediaType.parseMediaType("image/vnd.dxf");
    private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml");

    private DrawingDownload() {}

    /**
     * @param form dxf or svg
     * @throws dev.oleander.web.job.document.RefusedEditException when nothing is drawn
     */
    public static ResponseEntity<String> of(JobView job, String form) {
        DrawingExport export = new DrawingExport(job.result().reading());
        boolean svg = form.equals("svg");
        String name = job.document().name().replaceAll("[^\\p{L}\\p{N}_-]+", "_") + "." + form;
        ContentDisposition disposition =
                ContentDisposition.attachment().filename(name, StandardCharsets.UTF_8).build();
        return ResponseEntity.ok()
                .contentType(svg ? SVG : DXF)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .body(svg ? export.svg() : export.dxf());
    }
}
