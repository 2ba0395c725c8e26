package dev.oleander.web.api;

import dev.oleander.price.Estimate;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiJson.WorkJson;
import dev.oleander.web.estimate.Estimates;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.List;
import java.util.Locale;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What a job costs on every machine, over HTTP; money of the lot, in the shop's currency. */
@RestController
class EstimateApi {

    private final JobService jobs;
    private final Estimates estimates;

    EstimateApi(JobService jobs, Estimates estimates) {
        this.jobs = jobs;
        this.estimates = estimates;
    }

    /**
     * @param quantity null: that of the job
     * @throws NotYetException when not all are there in time
     */
    @GetMapping("/api/jobs/{id}/estimate")
    List<Estimate> estimate(
            @PathVariable long id,
            @RequestParam(required = false) Integer quantity,
            Patience patience,
            @AuthenticationPrincipal SignedIn who) {
        int wanted = wanted(id, quantity);
        Estimates.Told told = estimates.await(id, wanted, who, patience.longest());
        if (told.isDone()) {
            return told.soFar();
        }
        if (told.isOver()) {
            throw new RefusedEditException(
                    "The machines are not compared: %s. POST /api/jobs/%d/estimate begins anew."
                            .formatted(told.state().doing(), id));
        }
        throw new NotYetException(
                "/api/jobs/%d/estimate/work?quantity=%d".formatted(id, wanted),
                work(id, wanted, told));
    }

    /** How far it is, whichever node does it. */
    @GetMapping("/api/jobs/{id}/estimate/work")
    WorkJson work(
            @PathVariable long id,
            @RequestParam(required = false) Integer quantity,
            @AuthenticationPrincipal SignedIn who) {
        int wanted = wanted(id, quantity);
        return work(id, wanted, estimates.ask(id, wanted, who));
    }

    /** Begins again after it was stopped or failed. */
    @PostMapping("/api/jobs/{id}/estimate")
    List<Estimate> again(
            @PathVariable long id,
            @RequestParam(required = false) Integer quantity,
            Patience patience,
            @AuthenticationPrincipal SignedIn who) {
        estimates.resume(id);
        return estimate(id, quantity, patience, who);
    }

    private static WorkJson work(long id, int quantity, Estimates.Told told) {
        return new WorkJson(
                told.state().phase().name().toLowerCase(Locale.ROOT),
                told.state().share(),
                told.state().doing(),
                "/api/jobs/%d/estimate?quantity=%d".formatted(id, quantity));
    }

    private int wanted(long id, Integer quantity) {
        int wanted = quantity == null ? jobs.present(id).document().quantity() : quantity;
        if (wanted < 1 || wanted > Estimates.MOST) {
            throw new RefusedEditException(
                    "The quantity is %d; it must lie between 1 and %d."
                            .formatted(wanted, Estimates.MOST));
        }
        return wanted;
    }
}
