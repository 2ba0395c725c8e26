package dev.oleander.web.job;

import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import java.util.List;
import java.util.Optional;

/**
 * A job at its present step.
 *
 * @param step number of the present step; edits say which one they were made on
 * @param planning how far the plan is; empty when there is nothing left to do
 * @param before what the step before came to, when this one changed the order of the stops
 * @param undoLabel what undo takes back; empty when there is nothing
 * @param redoLabel what redo brings back; empty when there is nothing
 */
public record JobView(
        long id,
        int step,
        JobResult result,
        List<StageView> stages,
        Optional<Planning.State> planning,
        Optional<JobResult> before,
        Optional<String> undoLabel,
        Optional<String> redoLabel) {

    public JobDocument document() {
        return result.document();
    }

    public StageView stage(Stage stage) {
        return stages.get(stage.ordinal());
    }
}
