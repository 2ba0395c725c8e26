package dev.oleander.web.job;

import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.WireRun;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.Optional;

/** What jobs have that are cut with a wire. */
public final class Wires {

    private Wires() {}

    /** The plan of a wire; empty for jobs that are worked otherwise. */
    public static Optional<WirePlan> plan(JobResult result) {
        return result.own(WireRun.class).map(WireRun::plan);
    }
}
