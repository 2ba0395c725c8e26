package dev.oleander.web.job;

import java.util.stream.Stream;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Lets the board show what a plan led to, also when nobody waited for it. */
@Component
class PlanFollower {

    private final JobService service;
    private final JobRepository jobs;

    PlanFollower(JobService service, JobRepository jobs) {
        this.service = service;
        this.jobs = jobs;
    }

    @EventListener
    void follow(Planning.Ready plan) {
        service.refreshSummary(plan.job());
    }

    /** Goes on with plans that were being made when the application was stopped. */
    @EventListener(ApplicationReadyEvent.class)
    void resume() {
        Stream.of(StageReport.BEING_PLANNED, StageReport.BEING_PROVED)
                .flatMap(doing -> jobs.findIdsByNextAction(doing).stream())
                .forEach(service::refreshSummary);
    }
}
