package dev.oleander.web.bench;

import dev.oleander.web.account.SignedIn;
import dev.oleander.web.bench.BenchModel.Shown;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.StageReport;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Pages and fragments of the bench: the five stages of a job, and what the table draws. */
@Controller
class BenchController {

    private final JobService jobs;
    private final PackedScenes scenes;
    private final PagesOfWork pages;
    private final BenchModel bench;

    BenchController(JobService jobs, BenchModel bench, PackedScenes scenes, PagesOfWork pages) {
        this.pages = pages;
        this.scenes = scenes;
        this.jobs = jobs;
        this.bench = bench;
    }

    /** The stage that needs something next. */
    @GetMapping("/jobs/{id}")
    String open(@PathVariable long id) {
        Stage next = StageReport.next(jobs.view(id).stages()).stage();
        return "redirect:/jobs/%d/%s".formatted(id, next.word());
    }

    @GetMapping("/jobs/{id}/{stage}")
    String page(
            @PathVariable long id,
            @PathVariable String stage,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(defaultValue = "0") int run,
            @RequestParam(defaultValue = "") String revision,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        Shown shown = new Shown(stage(stage), ids(stop), revision, EditError.NONE);
        JobView job = jobs.view(id);
        boolean ofStop = run == 0 && !shown.selection().isEmpty();
        bench.fill(model, ofStop ? job.at(shown.selection().get(0)) : job.on(run), shown, who);
        return "bench/page";
    }

    /**
     * How far the plan is. While it is made, the strip that asks again; when it is there and when
     * it is proved, all that hangs on it, except what a person may be typing on Shape.
     *
     * @param shown whether the page shows the plan already
     */
    @GetMapping("/jobs/{id}/{stage}/planning")
    String planning(
            @PathVariable long id,
            @PathVariable String stage,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(defaultValue = "1") int run,
            @RequestParam(defaultValue = "false") boolean shown,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        JobView job = jobs.view(id).on(run);
        boolean stripOnly = job.planning().isPresent() && job.result().isPlanned() == shown;
        return planned(
                job,
                Shown.of(stage(stage), ids(stop), EditError.NONE),
                stripOnly,
                who,
                model,
                response);
    }

    /** Stops the plan, or begins it again. */
    @PostMapping("/jobs/{id}/{stage}/planning")
    String planning(
            @PathVariable long id,
            @PathVariable String stage,
            @RequestParam boolean wanted,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(defaultValue = "1") int run,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        JobView job = jobs.plan(id, wanted).on(run);
        return planned(
                job,
                Shown.of(stage(stage), ids(stop), EditError.NONE),
                job.planning().isPresent(),
                who,
                model,
                response);
    }

    private String planned(
            JobView job,
            Shown shown,
            boolean stripOnly,
            SignedIn who,
            Model model,
            HttpServletResponse response) {
        bench.fill(model, job, shown, who);
        if (stripOnly) {
            return "bench/planning :: strip(oob=false)";
        }
        if (shown.stage() == Stage.SHAPE) {
            response.setHeader("HX-Reswap", "none");
            return "bench/planning :: planned";
        }
        return EditAnswers.renewed(response, job);
    }

    /** What the slip holds for a selection. */
    @GetMapping("/jobs/{id}/{stage}/slip")
    String slip(
            @PathVariable long id,
            @PathVariable String stage,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(defaultValue = "1") int run,
            @RequestParam(defaultValue = "all") String scope,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        model.addAttribute("scope", scope);
        Shown shown = Shown.of(stage(stage), ids(stop), EditError.NONE);
        bench.fill(model, jobs.view(id).on(run), shown, who);
        return "bench/slip :: content";
    }

    /**
     * The groups of the run line that did not come with the page.
     *
     * @param from how many came
     */
    @GetMapping("/jobs/{id}/groups")
    String groups(
            @PathVariable long id,
            @RequestParam @PositiveOrZero int from,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(defaultValue = "1") int run,
            Model model) {
        JobView job = jobs.view(id).on(run);
        RunLineView line = runLine(job, stop);
        model.addAttribute("job", job);
        model.addAttribute("runLine", line);
        model.addAttribute("shown", line.from(from));
        return "bench/run-line :: groups";
    }

    private static RunLineView runLine(JobView job, String stop) {
        if (!job.result().isPlanned()) {
            throw new NotFoundException("The run of job %d is not planned.".formatted(job.id()));
        }
        return RunLineView.of(job.result(), new LinkedHashSet<>(ids(stop)));
    }

    /** The stops of one folded group of the run line. */
    @GetMapping("/jobs/{id}/groups/{index}")
    String group(
            @PathVariable long id,
            @PathVariable int index,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(defaultValue = "1") int run,
            Model model) {
        JobView job = jobs.view(id).on(run);
        RunLineView line = runLine(job, stop);
        if (index < 0 || index >= line.groups().size()) {
            throw new NotFoundException("The run line has no group %d.".formatted(index));
        }
        model.addAttribute("job", job);
        model.addAttribute("group", line.groups().get(index));
        return "bench/run-line :: rows";
    }

    /** The mended drawing as a file. */
    @GetMapping("/jobs/{id}/drawing.{form:dxf|svg}")
    ResponseEntity<String> drawing(@PathVariable long id, @PathVariable String form) {
        return DrawingDownload.of(jobs.view(id), form);
    }

    @GetMapping(value = "/jobs/{id}/scene", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> scene(
            @PathVariable long id,
            @RequestParam(defaultValue = "true") boolean planned,
            @RequestParam(defaultValue = "1") int run,
            @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, defaultValue = "") String packed) {
        JobView job = jobs.view(id).on(run);
        return planned && packed.contains("gzip") && !PagesOfWork.isUnplannedNest(job)
                ? packed(scenes.planned(job))
                : ResponseEntity.ok(pages.scene(job, planned));
    }

    /** What the replay plays over the scene. */
    @GetMapping(value = "/jobs/{id}/replay", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<?> replay(
            @PathVariable long id,
            @RequestParam(defaultValue = "1") int run,
            @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, defaultValue = "") String packed) {
        JobView job = jobs.view(id).on(run);
        return packed.contains("gzip")
                ? packed(scenes.replay(job))
                : ResponseEntity.ok(Replay.of(job.step(), job.result()));
    }

    private static ResponseEntity<byte[]> packed(byte[] json) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_ENCODING, "gzip")
                .header(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING)
                .contentType(MediaType.APPLICATION_JSON)
                .body(json);
    }

    /** Where the parts differ from the drawing after the last move. */
    @GetMapping("/jobs/{id}/remains")
    ResponseEntity<RemainsView> remains(
            @PathVariable long id, @RequestParam(defaultValue = "1") int run) {
        JobResult result = jobs.view(id).on(run).result();
        return result.isPlanned()
                ? ResponseEntity.ok(RemainsView.of(result.remains()))
                : ResponseEntity.ok(new RemainsView("There is no plan yet.", List.of()));
    }

    static Stage stage(String word) {
        return Stage.ofWord(word)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "There is no stage \"%s\"; there are shape, cuts, sheet, proof and release."
                                                .formatted(word)));
    }

    static List<String> ids(String text) {
        return text.isBlank() ? List.of() : Arrays.asList(text.split(","));
    }
}
