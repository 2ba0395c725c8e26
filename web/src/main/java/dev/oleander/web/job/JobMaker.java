package dev.oleander.web.job;

import dev.oleander.drawing.Layer;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.progress.Progress;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.source.BroughtFiles;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.store.Job;
import dev.oleander.web.job.store.JobStore;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** Makes jobs of drawings. */
@Component
public class JobMaker {

    private final JobStore store;
    private final BroughtFiles files;
    private final JobComputer computer;
    private final Proposals proposals;
    private final OrderCheck orderCheck;
    private final Summaries summaries;

    JobMaker(
            JobStore store,
            BroughtFiles files,
            JobComputer computer,
            Proposals proposals,
            OrderCheck orderCheck,
            Summaries summaries) {
        this.store = store;
        this.files = files;
        this.computer = computer;
        this.proposals = proposals;
        this.orderCheck = orderCheck;
        this.summaries = summaries;
    }

    /**
     * How a job is made.
     *
     * @param progress is told how far reading the drawings is
     * @param also is done with the keeping of the job, or neither is
     */
    public record Making(Progress progress, Runnable also) {

        /** Nobody listens, and nothing else is done. */
        public static final Making PLAIN = new Making(Progress.NONE, () -> {});
    }

    /**
     * Makes a job, or none when anything stands against it.
     *
     * @return its id
     */
    long make(
            List<Upload> uploads,
            JobDocument.Order order,
            UnaryOperator<JobDocument> settings,
            SignedIn who,
            Making making) {
        orderCheck.check(order);
        return files.bring(uploads, brought -> keep(brought, order, settings, who, making));
    }

    private long keep(
            List<BroughtFiles.Brought> brought,
            JobDocument.Order order,
            UnaryOperator<JobDocument> settings,
            SignedIn who,
            Making making) {
        JobDocument plain = document(order, BroughtFiles.ids(brought));
        JobDocument wished = settings.apply(plain);
        computer.read(wished, making.progress());
        requireLayers(wished);
        JobDocument document = orderCheck.checked(plain, proposals.propose(wished));
        String label = brought.isEmpty() ? "Job begun" : "Drawing brought in";
        Job.Summary summary = summaries.of(document, Optional.empty());
        return store.make(document, brought, label, summary, who, making.also());
    }

    /** Layers that somebody names with a purpose are there; names are alike whatever their case. */
    private void requireLayers(JobDocument document) {
        Set<String> named = document.shape().rules().layers().keySet();
        if (named.isEmpty()) {
            return;
        }
        List<String> there =
                computer.result(document).reading().drawing().layers().stream()
                        .map(Layer::name)
                        .toList();
        for (String name : named) {
            if (there.stream().noneMatch(name::equalsIgnoreCase)) {
                throw new RefusedEditException(
                        "The drawing has no layer \"%s\"; it has %s."
                                .formatted(name, String.join(", ", there)));
            }
        }
    }

    private static JobDocument document(JobDocument.Order order, List<Long> files) {
        return new JobDocument(order, ShapeChoices.of(files), SheetChoices.usual(), Map.of());
    }
}
