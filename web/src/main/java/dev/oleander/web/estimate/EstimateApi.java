package dev.oleander.web.estimate;

import dev.oleander.price.Estimate;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.RefusedEditException;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What a job costs on every machine, over HTTP; money of the lot, in the shop's currency. */
@RestController
class EstimateApi {

    private final JobService jobs;
    private final EstimateService estimates;

    EstimateApi(JobService jobs, EstimateService estimates) {
        this.jobs = jobs;
        this.estimates = estimates;
    }

    /**
     * @param quantity null: that of the job
     */
    @GetMapping("/api/jobs/{id}/estimate")
    List<Estimate> estimate(
            @PathVariable long id, @RequestParam(required = false) Integer quantity) {
        JobView job = jobs.view(id);
        int wanted = quantity == null ? job.document().quantity() : quantity;
        if (wanted < 1) {
            throw new RefusedEditException(
                    "The quantity is %d; it must be at least 1.".formatted(wanted));
        }
        return estimates.all(job.document(), wanted);
    }
}
