package dev.oleander.web.api;

import dev.oleander.web.api.ApiJson.WorkJson;

/** What was asked for needs a plan that is being made: it is told where to ask how far it is. */
final class NotYetException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final long job;
    private final transient WorkJson work;

    NotYetException(long job, WorkJson work) {
        super("the plan of job %d is under way".formatted(job));
        this.job = job;
        this.work = work;
    }

    long job() {
        return job;
    }

    WorkJson work() {
        return work;
    }
}
