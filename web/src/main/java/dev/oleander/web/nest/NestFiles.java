package dev.oleander.web.nest;

import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/**
 * Files of a nest, the same for people and for programs; who inherits it says below which address.
 */
public abstract class NestFiles {

    private final JobService jobs;
    private final NestPapers papers;

    protected NestFiles(JobService jobs, NestPapers papers) {
        this.jobs = jobs;
        this.papers = papers;
    }

    @GetMapping("/report.pdf")
    public ResponseEntity<byte[]> report(@PathVariable long id) {
        return shown("nest-%d.pdf".formatted(id), papers.report(planned(id)));
    }

    @GetMapping("/labels.pdf")
    public ResponseEntity<byte[]> labels(@PathVariable long id) {
        return shown("labels-%d.pdf".formatted(id), papers.labels(planned(id)));
    }

    /** However long its plan takes. */
    private JobView planned(long id) {
        return jobs.finished(id);
    }

    private static ResponseEntity<byte[]> shown(String name, byte[] pdf) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(pdf);
    }

    @GetMapping("/report.csv")
    public ResponseEntity<byte[]> table(@PathVariable long id) {
        return saved(
                "nest-%d.csv".formatted(id),
                "text/csv;charset=UTF-8",
                papers.csv(planned(id)).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/sheets/{sheet}.dxf")
    public ResponseEntity<byte[]> sheet(@PathVariable long id, @PathVariable int sheet) {
        return saved(
                "nest-%d-sheet-%d.dxf".formatted(id, sheet),
                "image/vnd.dxf",
                papers.dxf(jobs.view(id).result(), sheet).getBytes(StandardCharsets.US_ASCII));
    }

    private static ResponseEntity<byte[]> saved(String name, String type, byte[] content) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(content);
    }
}
