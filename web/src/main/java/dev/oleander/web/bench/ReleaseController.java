package dev.oleander.web.bench;

import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.bench.BenchModel.Shown;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.store.Stage;
import dev.oleander.web.release.Previews;
import dev.oleander.web.release.ProgramPreview;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseFiles;
import dev.oleander.web.release.ReleaseRefusedException;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.web.release.ReleaseWish;
import dev.oleander.web.release.Resuming;
import dev.oleander.web.release.RevisionChanges;
import dev.oleander.web.release.Verifier;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Makes releases, shows their text, hands out their programs. */
@Controller
class ReleaseController {

    /** Before the names of fields for the parameters of a format. */
    private static final String PARAMETER = "parameter-";

    private final JobService jobs;
    private final ReleaseService releases;
    private final Previews previews;
    private final Verifier verifier;
    private final Resuming resuming;
    private final BenchModel bench;

    ReleaseController(
            JobService jobs,
            ReleaseService releases,
            Previews previews,
            Verifier verifier,
            Resuming resuming,
            BenchModel bench) {
        this.verifier = verifier;
        this.resuming = resuming;
        this.jobs = jobs;
        this.releases = releases;
        this.previews = previews;
        this.bench = bench;
    }

    /**
     * A program's lines beside the picture.
     *
     * @param items for each line the position of the item of the motion program, -1 for none
     * @param current whether the text belongs to the present step, so that items can be shown
     */
    record ProgramText(
            String revision,
            String fileName,
            List<String> lines,
            List<Integer> items,
            boolean current) {}

    /** The text of a revision, or what the next one would hold. */
    @GetMapping("/jobs/{id}/program")
    @ResponseBody
    ProgramText program(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String revision,
            @RequestParam(defaultValue = "1") int run) {
        JobView job = jobs.view(id).on(run);
        if (revision.isEmpty()) {
            ProgramPreview preview = previews.of(job);
            Checked checked = preview.checked();
            return new ProgramText(
                    preview.revision(),
                    preview.fileName(),
                    checked.written().lines(),
                    checked.written().itemOfLine(),
                    true);
        }
        Release release = releases.find(id, revision, run);
        boolean current = release.step() == job.step();
        List<String> lines = release.program().lines().toList();
        List<Integer> items =
                current
                        ? ReleaseService.itemsOfLines(release, job.result().timeline().program())
                        : Collections.nCopies(lines.size(), -1);
        return new ProgramText(release.revision(), release.fileName(), lines, items, current);
    }

    @PostMapping("/jobs/{id}/release/releases")
    String release(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(required = false) Integer step,
            @RequestParam(defaultValue = "1") int run,
            @RequestParam(defaultValue = "") List<Integer> sheet,
            @RequestParam(defaultValue = "false") boolean trial,
            @RequestParam Map<String, String> values,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        String made = "";
        EditError error = EditError.NONE;
        try {
            ReleaseWish wish =
                    trial
                            ? new ReleaseWish(parameters(values), BenchController.ids(stop))
                            : new ReleaseWish(parameters(values), List.of(), chosen(sheet));
            made = releases.release(id, step, wish, who).revision();
        } catch (ReleaseRefusedException | StaleEditException | RefusedEditException refused) {
            error = new EditError("", "", refused.getMessage());
            response.setStatus(HttpStatus.CONFLICT.value());
        }
        Shown shown = new Shown(Stage.RELEASE, BenchController.ids(stop), made, error);
        bench.fill(model, jobs.view(id).on(run), shown, who);
        // once the list of releases shows the new one
        response.setHeader("HX-Trigger-After-Settle", "programChanged");
        return "bench/update";
    }

    /**
     * @param ticked numbers of sheets, with a 0 where there was something to tick; none: all
     * @throws RefusedEditException when nothing was ticked
     */
    private static List<Integer> chosen(List<Integer> ticked) {
        List<Integer> sheets = ticked.stream().filter(n -> n != null && n > 0).toList();
        if (sheets.isEmpty() && !ticked.isEmpty()) {
            throw new RefusedEditException("Choose at least one sheet to release.");
        }
        return sheets;
    }

    private static Map<String, String> parameters(Map<String, String> values) {
        Map<String, String> parameters = new HashMap<>();
        values.forEach(
                (name, value) -> {
                    if (name.startsWith(PARAMETER)) {
                        parameters.put(name.substring(PARAMETER.length()), value);
                    }
                });
        return parameters;
    }

    @GetMapping("/releases/{id}/program")
    ResponseEntity<byte[]> download(@PathVariable long id) {
        return ReleaseFiles.program(releases.find(id));
    }

    /** Where a released program can be begun again, for the operator. */
    @GetMapping("/releases/{id}/starts")
    String starts(@PathVariable long id, @AuthenticationPrincipal SignedIn who, Model model) {
        Release release = releases.find(id);
        model.addAttribute("who", who);
        model.addAttribute("release", release);
        model.addAttribute("job", jobs.view(release.jobId()));
        model.addAttribute("starts", resuming.starts(release));
        return "release-starts";
    }

    /** The program from one of these places on. */
    @GetMapping("/releases/{id}/program-from")
    ResponseEntity<byte[]> resume(@PathVariable long id, @RequestParam String stop) {
        Release release = releases.find(id);
        return ReleaseFiles.resumed(release, stop, resuming.from(release, stop));
    }

    @GetMapping("/releases/{id}/sheet.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        return ReleaseFiles.sheet(releases.find(id));
    }

    @GetMapping("/releases/{id}/path.dxf")
    ResponseEntity<byte[]> path(@PathVariable long id) {
        return ReleaseFiles.path(releases.find(id));
    }

    @GetMapping("/releases/{id}/motion.json")
    ResponseEntity<byte[]> motion(@PathVariable long id) {
        return ReleaseFiles.motion(releases.find(id));
    }

    /** Whether a release and those before it are as they were made, in words. */
    @GetMapping("/releases/{id}/verify")
    String verify(@PathVariable long id, Model model) {
        model.addAttribute("verification", verifier.release(id));
        return "bench/slip-release :: verified";
    }

    /** What differs between two revisions. */
    @GetMapping("/jobs/{id}/release/changes")
    String changes(
            @PathVariable long id,
            @RequestParam String from,
            @RequestParam String to,
            @RequestParam(defaultValue = "1") int run,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        JobView job = jobs.view(id).on(run);
        model.addAttribute("job", job);
        model.addAttribute("who", who);
        model.addAttribute(
                "revisions", releases.ofJob(id).stream().filter(r -> r.run() == run).toList());
        model.addAttribute("run", run);
        model.addAttribute(
                "changes",
                new RevisionChanges(releases.find(id, from, run), releases.find(id, to, run)));
        return "release-changes";
    }
}
