package dev.oleander.web.job;

import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.store.JobRepository;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Lets the board show what a plan led to, also when nobody waited for it. */
@Component
class PlanFollower {

    private static final Logger LOG = LoggerFactory.getLogger(PlanFollower.class);

    /** Plans that are made again after a start; others are made when somebody looks. */
    private static final Limit MOST = Limit.of(20);

    private final JobService service;
    private final JobRepository jobs;
    private final Planning planning;

    PlanFollower(JobService service, JobRepository jobs, Planning planning) {
        this.service = service;
        this.jobs = jobs;
        this.planning = planning;
    }

    @EventListener
    void follow(Planning.Ready plan) {
        service.refreshSummary(plan.job());
    }

    /** Goes on with plans that were being made when the application was stopped. */
    @EventListener(ApplicationReadyEvent.class)
    void resume() {
        planning.later(
                () ->
                        jobs.findIdsByNextAction(
                                        List.of(
                                                StageReport.BEING_PLANNED,
                                                StageReport.BEING_PROVED),
                                        MOST)
                                .forEach(this::resume));
    }

    private void resume(long job) {
        try {
            service.refreshSummary(job);
        } catch (RuntimeException failed) {
            LOG.warn("the plan of job {} was not begun again", job, failed);
        }
    }
}
