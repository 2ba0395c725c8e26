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
 * @param wished see {@link #run}
 */
public record JobView(
        long id,
        int step,
        JobResult result,
        List<StageView> stages,
        Optional<Planning.State> planning,
        Optional<JobResult> before,
        Optional<String> undoLabel,
        Optional<String> redoLabel,
        int wished) {

    /** Of the first run. */
    public JobView(
            long id,
            int step,
            JobResult result,
            List<StageView> stages,
            Optional<Planning.State> planning,
            Optional<JobResult> before,
            Optional<String> undoLabel,
            Optional<String> redoLabel) {
        this(id, step, result, stages, planning, before, undoLabel, redoLabel, 1);
    }

    /**
     * The same with one of its runs, once they are planned; the nearest one when there are fewer.
     *
     * @param run from 1
     */
    public JobView on(int run) {
        if (!result.isPlanned()) {
            return new JobView(
                    id,
                    step,
                    result,
                    stages,
                    planning,
                    before,
                    undoLabel,
                    redoLabel,
                    Math.max(1, run));
        }
        if (run <= 1) {
            return this;
        }
        JobResult own = result.on(run);
        Optional<JobResult> earlier =
                before.filter(JobResult::isPlanned)
                        .map(b -> b.on(run))
                        .filter(b -> b.number() == own.number());
        return new JobView(
                id, step, own, stages, planning, earlier, undoLabel, redoLabel, own.number());
    }

    /** The run that has a stop, once they are planned; the first one when none has. */
    public JobView at(String stop) {
        return result.isPlanned() ? on(result.at(stop).number()) : this;
    }

    /** Which of the runs its result is, from 1; before they are planned, the one that is wished. */
    public int run() {
        return wished;
    }

    public JobDocument document() {
        return result.document();
    }

    public StageView stage(Stage stage) {
        return stages.get(stage.ordinal());
    }
}
