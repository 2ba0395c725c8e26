package dev.oleander.web.api;

import org.springframework.stereotype.Component;

/** The first run of a job as the HTTP interface tells it, for calls that change its plan. */
@Component
public class RunAnswers {

    private final PlannedJobs planned;
    private final FieldsOfWork fields;

    RunAnswers(PlannedJobs planned, FieldsOfWork fields) {
        this.planned = planned;
        this.fields = fields;
    }

    /**
     * @throws NotYetException when the plan is not there in time
     */
    public Object run(long id, Patience patience) {
        return ApiMapper.run(planned.complete(id, "run", patience), fields);
    }
}
