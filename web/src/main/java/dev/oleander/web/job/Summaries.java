package dev.oleander.web.job;

import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Job;
import dev.oleander.web.job.store.Released;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the board shows of jobs. */
@Component
class Summaries {

    private final JobComputer computer;

    Summaries(JobComputer computer) {
        this.computer = computer;
    }

    /** What the board shows of a document that is not planned yet. */
    Job.Summary of(JobDocument document, Optional<Released> released) {
        JobResult result = computer.result(document);
        Optional<Planning.State> plan =
                result.isComplete() ? Optional.empty() : Optional.of(Planning.State.WAITING);
        return of(result, new StageReport(result, released, plan).stages());
    }

    /** What it shows of a job whose stages are known. */
    Job.Summary of(JobResult result, List<StageView> stages) {
        return new Job.Summary(
                StageReport.next(stages).stage(),
                limited(StageReport.nextAction(stages)),
                result.shape().picture());
    }

    private static String limited(String sentence) {
        return sentence.length() <= 400 ? sentence : sentence.substring(0, 399) + "…";
    }
}
