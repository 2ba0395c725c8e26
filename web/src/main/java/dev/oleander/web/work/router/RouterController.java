package dev.oleander.web.work.router;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.work.router.MaterialAnswer.DepthJson;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.ToolChains;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What only jobs on a router have: the depth of a place. */
@Controller
class RouterController {

    private final JobService jobs;

    RouterController(JobService jobs) {
        this.jobs = jobs;
    }

    /** In a sentence: 8.0 mm deep, wanted 8.0, by stop 4, level 2. */
    @GetMapping("/jobs/{id}/depth")
    ResponseEntity<String> depth(
            @PathVariable long id,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam(required = false) Double t,
            @RequestParam(defaultValue = "1") int run) {
        JobResult result = jobs.view(id).on(run).result();
        RouterRun of = planned(result, id);
        if (!Double.isFinite(x) || !Double.isFinite(y)) {
            throw new RefusedEditException("x and y must be numbers, mm.");
        }
        DepthJson depth = MaterialAnswer.depth(of, new Point(x, y), Optional.ofNullable(t));
        return ResponseEntity.ok().contentType(MediaType.TEXT_PLAIN).body(sentence(result, depth));
    }

    private static RouterRun planned(JobResult result, long id) {
        return result.own(RouterRun.class)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "Job %d has no plan for a router.".formatted(id)));
    }

    /** The work cut open along a line, as a picture. */
    @GetMapping("/jobs/{id}/section")
    String section(
            @PathVariable long id,
            SectionLine line,
            @RequestParam(defaultValue = "1") int run,
            Model model) {
        RouterRun of = planned(jobs.view(id).on(run).result(), id);
        model.addAttribute(
                "section",
                SectionPicture.of(
                        MaterialAnswer.section(
                                of, line.from(), line.to(), Optional.ofNullable(line.t()))));
        return "work/router :: section";
    }

    /** How deep the stock is cut at a moment, for a picture; see {@link HeightsWindow#picture}. */
    @GetMapping("/jobs/{id}/heights")
    ResponseEntity<byte[]> heights(
            @PathVariable long id,
            HeightsWindow window,
            @RequestParam(defaultValue = "1") int run) {
        RouterRun of = planned(jobs.view(id).on(run).result(), id);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .body(window.picture(of));
    }

    /** Round work at a moment, for a picture; see {@link RoundPicture#of}. */
    @GetMapping("/jobs/{id}/round")
    ResponseEntity<byte[]> round(
            @PathVariable long id, RoundPicture asked, @RequestParam(defaultValue = "1") int run) {
        RouterRun of = planned(jobs.view(id).on(run).result(), id);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .body(asked.of(of));
    }

    /**
     * Tools one after the other that clear a pocket, in their order of time.
     *
     * @param value of the entry that takes it
     */
    public record ChainRow(String tools, String time, String left, String value) {}

    /** The quickest chains of tools for the pocket of a stop. */
    @GetMapping("/jobs/{id}/chains")
    String chains(
            @PathVariable long id,
            @RequestParam String stop,
            @RequestParam(defaultValue = "1") int run,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        RouterRun of = planned(jobs.view(id).on(run).result(), id);
        RouterStop planned =
                of.plan()
                        .stop(stop)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no stop %s.".formatted(stop)));
        List<ChainRow> rows =
                of.plan().chains(planned, Progress.NONE).stream()
                        .map(c -> row(planned, c))
                        .toList();
        model.addAttribute("rows", rows);
        model.addAttribute("who", who);
        model.addAttribute("id", id);
        return "work/router :: chain-rows";
    }

    private static ChainRow row(RouterStop stop, ToolChains.Chain chain) {
        List<String> numbers = chain.tools().stream().map(t -> String.valueOf(t.number())).toList();
        String value =
                "%s %s %s"
                        .formatted(
                                stop.features().get(0),
                                Operation.nameOf(stop.operation()),
                                String.join(" ", numbers));
        return new ChainRow(
                chain.tools().stream()
                        .map(RouterStopSlip::name)
                        .collect(Collectors.joining(", then ")),
                Numbers.duration(chain.seconds()),
                Numbers.plain(chain.left(), 2),
                value);
    }

    private static String sentence(JobResult result, DepthJson depth) {
        if (depth.depth() <= 0 && depth.wanted() <= 0) {
            return "Nothing is cut here.";
        }
        return "%s mm deep, wanted %s%s."
                .formatted(
                        Numbers.plain(depth.depth(), 3),
                        Numbers.plain(depth.wanted(), 3),
                        by(result, depth));
    }

    private static String by(JobResult result, DepthJson depth) {
        return depth.stop() == null
                ? ""
                : ", by stop %d, level %d"
                        .formatted(
                                result.run().stop(depth.stop()).map(Stop::number).orElse(0),
                                depth.level());
    }
}
