package dev.oleander.web.library;

import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectException;
import dev.oleander.dialect.FieldHelp;
import dev.oleander.dialect.FormatCheck;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.format.FormatRefusedException;
import dev.oleander.web.format.Formats;
import dev.oleander.web.format.SavedFormat;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.store.JobRepository;
import dev.oleander.web.release.Previews;
import dev.oleander.web.release.TextDiff;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * Program formats: looked up, changed with a preview of what comes of it, kept with their history.
 */
@Controller
@RequestMapping("/formats")
class FormatController {

    private static final int LONGEST = 60_000;
    private static final int MOST_LINES = 300;
    private static final int MOST_JOBS = 50;

    private final Formats formats;
    private final JobService jobs;
    private final JobRepository names;
    private final Previews previews;

    FormatController(Formats formats, JobService jobs, JobRepository names, Previews previews) {
        this.formats = formats;
        this.jobs = jobs;
        this.names = names;
        this.previews = previews;
    }

    @GetMapping
    String list(@AuthenticationPrincipal SignedIn who, Model model) {
        return list("", who, model);
    }

    private String list(String error, SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("formats", formats.all());
        model.addAttribute("error", error);
        return "formats";
    }

    @PostMapping
    String create(
            @RequestParam(defaultValue = "") String name,
            @RequestParam String from,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            return "redirect:/formats/" + formats.create(name.strip(), from, who).name();
        } catch (FormatRefusedException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return list(refused.getMessage(), who, model);
        }
    }

    /**
     * @param version to begin from; 0: the latest
     */
    @GetMapping("/{name}")
    String editor(
            @PathVariable String name,
            @RequestParam(defaultValue = "0") int version,
            @RequestParam(defaultValue = "0") long job,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        List<SavedFormat> history = history(name);
        SavedFormat shown =
                history.stream()
                        .filter(v -> version == 0 || v.version() == version)
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "The format \"%s\" has no version %d."
                                                        .formatted(name, version)));
        model.addAttribute("note", "");
        model.addAttribute("reasons", List.of());
        return page(name, shown.description(), job, who, model);
    }

    private String page(String name, String text, long job, SignedIn who, Model model) {
        List<SavedFormat> history = history(name);
        model.addAttribute("who", who);
        model.addAttribute("format", history.get(0));
        model.addAttribute("history", history);
        model.addAttribute("text", text);
        model.addAttribute("help", FieldHelp.all());
        model.addAttribute("jobs", names.search("", "", null, PageRequest.of(0, MOST_JOBS)));
        model.addAttribute("chosen", job);
        checked(name, text, job, model);
        return "format";
    }

    private List<SavedFormat> history(String name) {
        List<SavedFormat> history = formats.history(name);
        if (history.isEmpty()) {
            throw new NotFoundException("There is no format \"%s\".".formatted(name));
        }
        return history;
    }

    /** What a description comes to: its mistakes, its samples, a job's program with it. */
    @PostMapping("/{name}/check")
    String check(
            @PathVariable String name,
            @RequestParam String description,
            @RequestParam(defaultValue = "0") long job,
            Model model) {
        history(name);
        checked(name, description, job, model);
        return "format-check :: check";
    }

    private void checked(String name, String text, long job, Model model) {
        FormatCheck check =
                text.length() > LONGEST
                        ? new FormatCheck(
                                null,
                                "The description has %d characters, the limit is %d."
                                        .formatted(text.length(), LONGEST),
                                Map.of())
                        : FormatCheck.of(name, text);
        model.addAttribute("check", check);
        model.addAttribute("preview", preview(name, check, job));
    }

    /**
     * A job's program with a description.
     *
     * @param error why there is none; empty when there is one
     * @param lines what differs from the saved version; all of it when that writes the same
     */
    public record Preview(
            String error, boolean changed, int count, List<TextDiff.Line> lines, String note) {

        static Preview none(String error) {
            return new Preview(error, false, 0, List.of(), "");
        }
    }

    private Preview preview(String name, FormatCheck check, long job) {
        if (job == 0) {
            return Preview.none("Choose a job to see its program in this format.");
        }
        if (check.dialect() == null) {
            return Preview.none("The description has to be right first.");
        }
        JobView view = jobs.view(job);
        try {
            Checked now = previews.of(view, check.dialect()).checked();
            String text = now.written().text();
            List<TextDiff.Line> changes =
                    TextDiff.of(saved(name, view), text, UnaryOperator.identity());
            String note =
                    now.isTrue()
                            ? "Read back, it is the plan."
                            : "Read back, it is not the plan: " + now.faults().get(0);
            boolean changed = !changes.isEmpty();
            List<TextDiff.Line> lines = changed ? changes : whole(text);
            int most = Math.min(MOST_LINES, lines.size());
            return new Preview(
                    "", changed, now.written().lines().size(), lines.subList(0, most), note);
        } catch (DialectException | PlanException impossible) {
            return Preview.none(impossible.getMessage());
        }
    }

    private String saved(String name, JobView view) {
        Dialect dialect = formats.find(name).orElseThrow();
        try {
            return previews.of(view, dialect).checked().written().text();
        } catch (DialectException impossible) {
            return "";
        }
    }

    private static List<TextDiff.Line> whole(String text) {
        List<String> lines = text.lines().limit(MOST_LINES).toList();
        return IntStream.range(0, lines.size())
                .mapToObj(i -> new TextDiff.Line(' ', i + 1, lines.get(i)))
                .toList();
    }

    @PostMapping("/{name}")
    String save(
            @PathVariable String name,
            @RequestParam String description,
            @RequestParam int from,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "0") long job,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            SavedFormat saved = formats.save(name, from, description, note, who);
            return "redirect:/formats/%s%s".formatted(saved.name(), job == 0 ? "" : "?job=" + job);
        } catch (FormatRefusedException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("note", note);
            model.addAttribute("reasons", refused.reasons());
            return page(name, description, job, who, model);
        }
    }

    /** What a version changed of the one before. */
    @GetMapping("/{name}/changes")
    String changes(@PathVariable String name, @RequestParam int version, Model model) {
        List<SavedFormat> history = history(name);
        for (int i = 0; i + 1 < history.size(); i++) {
            if (history.get(i).version() == version) {
                model.addAttribute(
                        "lines",
                        TextDiff.of(
                                history.get(i + 1).description(),
                                history.get(i).description(),
                                UnaryOperator.identity()));
                model.addAttribute("label", "Changes of version " + version);
                return "diff :: lines";
            }
        }
        throw new NotFoundException(
                "The format \"%s\" has no version before %d.".formatted(name, version));
    }

    @GetMapping("/{name}/description.yaml")
    ResponseEntity<String> download(@PathVariable String name) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/yaml;charset=utf-8"))
                .header("Content-Disposition", "attachment; filename=\"%s.yaml\"".formatted(name))
                .body(history(name).get(0).description());
    }
}
