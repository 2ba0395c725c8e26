package dev.oleander.web.api;

import dev.oleander.web.api.ApiJson.WorkJson;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Jobs with their plans, as long as a call waits for them. */
@Component
public class PlannedJobs {

    private final JobService jobs;

    PlannedJobs(JobService jobs) {
        this.jobs = jobs;
    }

    /**
     * With plan and proof.
     *
     * @param what is asked for, after the address of the job
     * @throws NotYetException when they are not there in time
     */
    public JobResult complete(long id, String what, Patience patience) {
        JobView job = jobs.finished(id, null, patience.longest());
        Optional<Planning.State> state = job.planning();
        if (state.isEmpty()) {
            return job.result();
        }
        if (state.get().isGoingOn()) {
            throw new NotYetException("/api/jobs/%d/work".formatted(id), work(id, state, what));
        }
        throw new RefusedEditException(
                "The job has no complete plan: %s. POST /api/jobs/%d/plan begins anew."
                        .formatted(job.stage(Stage.PROOF).sentence(), id));
    }

    private static WorkJson work(long id, Optional<Planning.State> state, String what) {
        String result = "/api/jobs/%d/%s".formatted(id, what);
        return state.map(s -> new WorkJson(word(s), s.done(), s.doing(), result))
                .orElseGet(() -> new WorkJson("done", 1, "Planned and proved", result));
    }

    private static String word(Planning.State state) {
        if (!state.isGoingOn()) {
            return state.end().name().toLowerCase(Locale.ROOT);
        }
        return state.done() > 0 ? "running" : "waiting";
    }

    /** How far the plan of a job is, whichever node makes it. */
    WorkJson work(long id) {
        return work(id, jobs.planning(id), "run");
    }
}
