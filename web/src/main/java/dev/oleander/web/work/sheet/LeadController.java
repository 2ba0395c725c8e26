package dev.oleander.web.work.sheet;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.bench.Scene;
import dev.oleander.web.bench.SceneBuilder;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.sheet.SheetRun;
import dev.oleander.work.sheet.plan.SheetPlan;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Why a lead lies where it does, and what another place would do. Paths as in {@link Scene}. */
@RestController
@RequestMapping("/jobs/{id}/cuts")
class LeadController {

    private final JobService jobs;

    LeadController(JobService jobs) {
        this.jobs = jobs;
    }

    /**
     * A place that was looked at; shares 0 to 1.
     *
     * @param lead flat path on the sheet
     * @param against what a lead there would cut into; empty when it fits
     */
    record Place(
            double[] lead,
            double room,
            double straight,
            double near,
            double slats,
            double worth,
            boolean fits,
            String against) {}

    /**
     * All places, and how much the best of them could be worth.
     *
     * @param chosen index of the place in use; -1 when that is another one
     */
    record Reasons(List<Place> places, int chosen, String sentence) {}

    @GetMapping("/why")
    Reasons why(@PathVariable long id, @RequestParam String stop) {
        JobResult result = planned(id).at(stop);
        Stop known = known(result, stop);
        List<SheetPlan.Candidate> candidates = sheet(result).candidates(stop);
        List<Place> places = candidates.stream().map(LeadController::place).toList();
        int chosen = known.path().map(p -> indexOf(candidates, p)).orElse(-1);
        return new Reasons(places, chosen, sentence(known, places, chosen));
    }

    /**
     * @throws NotFoundException when the job is not cut from a sheet
     */
    private static SheetPlan sheet(JobResult result) {
        return result.own(SheetRun.class)
                .map(SheetRun::plan)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "The work of %s has no leads to choose."
                                                .formatted(result.machine().name())));
    }

    private static Place place(SheetPlan.Candidate c) {
        return new Place(
                SceneBuilder.flat(c.lead()),
                c.room(),
                c.straight(),
                c.near(),
                c.slats(),
                c.worth(),
                c.fits(),
                c.against());
    }

    private static int indexOf(List<SheetPlan.Candidate> candidates, CutPath path) {
        for (int i = 0; i < candidates.size(); i++) {
            List<Segment> lead = candidates.get(i).lead();
            Point start = lead.isEmpty() ? path.start() : lead.get(lead.size() - 1).end();
            if (start.distance(path.start()) < 1e-6) {
                return i;
            }
        }
        return -1;
    }

    private static String sentence(Stop stop, List<Place> places, int chosen) {
        if (places.isEmpty()) {
            return "This stop has no lead to place.";
        }
        long fit = places.stream().filter(Place::fits).count();
        String found = "%d places were looked at, a lead fits at %d.".formatted(places.size(), fit);
        if (chosen < 0) {
            return found + " The cut begins at another one, set here.";
        }
        double worth = places.get(chosen).worth();
        long better = places.stream().filter(p -> p.fits() && p.worth() > worth + 1e-9).count();
        return found
                + (better == 0
                        ? " This one is worth most: %s.".formatted(Numbers.plain(worth, 2))
                        : " %d of them would be worth more than this one (%s)."
                                .formatted(better, Numbers.plain(worth, 2)));
    }

    /**
     * What would come of another place.
     *
     * @param lead flat path on the sheet; empty when nothing fits
     * @param start x and y where it joins the contour; empty when nothing fits
     * @param says what would be changed or stands against it; empty when it fits as it is
     */
    record Trial(double[] lead, double[] start, boolean fits, String says) {}

    @GetMapping("/lead")
    Trial lead(@PathVariable long id, @RequestParam String stop, @RequestParam double start) {
        JobResult result = planned(id).at(stop);
        known(result, stop);
        if (!(start >= 0 && start <= 1e6)) {
            throw new ResponseStatusException(
                    HttpStatus.BAD_REQUEST, "The start point must be from 0 to 1000000 mm.");
        }
        Stop there = sheet(result).trial(stop, start);
        return there.path()
                .map(
                        path ->
                                new Trial(
                                        SceneBuilder.flat(path.leadIn()),
                                        new double[] {path.start().x(), path.start().y()},
                                        true,
                                        String.join(" ", there.remarks())))
                .orElseGet(
                        () ->
                                new Trial(
                                        new double[0],
                                        new double[0],
                                        false,
                                        there.refusalSentence().orElse("")));
    }

    private JobResult planned(long id) {
        JobResult result = jobs.view(id).result();
        if (!result.isPlanned()) {
            throw new ResponseStatusException(
                    HttpStatus.CONFLICT, "The plan of this job is not there yet.");
        }
        return result;
    }

    private static Stop known(JobResult result, String stop) {
        return result.run().stop(stop).orElseThrow(() -> NotFoundException.stop(stop));
    }
}
