package dev.oleander.web.api;

import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.Map;

/** What a kind of work tells of its runs and stops over HTTP, besides what all have. */
public interface WorkFields {

    Work<?, ?> kind();

    /** Values by name, in their order. */
    Map<String, Object> ofRun(JobResult result);

    /** Values by name, in their order. */
    Map<String, Object> ofStop(JobResult result, Stop stop);
}
