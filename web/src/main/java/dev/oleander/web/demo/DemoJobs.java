package dev.oleander.web.demo;

import dev.oleander.drawing.read.Feature;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Severity;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.Acceptances;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.release.ReleaseService;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** Makes jobs of the drawings that ship, and changes them. */
@Component
public class DemoJobs {

    private final JobService jobs;
    private final ReleaseService releases;

    DemoJobs(JobService jobs, ReleaseService releases) {
        this.jobs = jobs;
        this.releases = releases;
    }

    /**
     * @param file of a drawing that ships
     * @param settings what else is decided about it
     * @return id of the job
     */
    public long make(
            String file,
            JobDocument.Order order,
            UnaryOperator<JobDocument> settings,
            SignedIn who) {
        try (InputStream in = DemoJobs.class.getResourceAsStream("/demo/" + file)) {
            return jobs.create(List.of(new Upload(file, in.readAllBytes())), order, settings, who);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(file, unreadable);
        }
    }

    /** Changes what was decided about a job. */
    public void set(long job, SignedIn who, UnaryOperator<JobDocument> change) {
        jobs.edit(job, "set up", before -> change.apply(before.document()), who);
    }

    /** The first closed feature with at least this area, mm2, the smallest of them. */
    public String feature(long job, double area) {
        return jobs.view(job)
                .result()
                .reading()
                .cut()
                .filter(f -> f.isClosed() && f.area() >= area)
                .min(Comparator.comparingDouble(Feature::area))
                .orElseThrow()
                .id();
    }

    /** Turns outlines that are smaller, mm2, into openings. */
    public void open(long job, double smallerThan, SignedIn who) {
        List<String> outlines =
                jobs.view(job)
                        .result()
                        .reading()
                        .cut()
                        .filter(f -> f.area() < smallerThan)
                        .filter(f -> f.kind() == Feature.Kind.OUTLINE)
                        .map(Feature::id)
                        .toList();
        set(job, who, document -> document.reshaped(shape -> shape.withTurned(outlines)));
    }

    /** Accepts what has to be looked at, and releases. */
    public void release(long job, SignedIn who) {
        jobs.edit(
                job,
                "Findings accepted",
                before -> {
                    JobDocument document = before.document();
                    String reason = "Seen on the trial sheet (" + who.fullName() + ")";
                    for (Finding finding : before.proof().open()) {
                        if (finding.severity() == Severity.LOOK) {
                            document = Acceptances.of(before, document, finding.key(), reason);
                        }
                    }
                    return document;
                },
                who);
        releases.release(job, who);
    }
}
