package dev.oleander.web.bench;

import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Commands;
import dev.oleander.drawing.draw.DrawStep;
import dev.oleander.drawing.draw.Parameter;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.kept.KeptShapes;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keeps what was drawn for the shop, to be drawn again elsewhere. */
@Controller
@RequestMapping("/jobs/{id}/shape/kept")
class KeptController {

    private final JobService jobs;
    private final KeptShapes kept;

    KeptController(JobService jobs, KeptShapes kept) {
        this.jobs = jobs;
        this.kept = kept;
    }

    /** Keeps the values of a step, all but where it lies. */
    @PostMapping
    ResponseEntity<String> keep(
            @PathVariable long id,
            @RequestParam String drawn,
            @RequestParam(defaultValue = "") String name,
            @AuthenticationPrincipal SignedIn who) {
        DrawStep step =
                jobs.view(id).document().shape().steps().stream()
                        .filter(s -> s.id().equals(drawn))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no step %s in this drawing."
                                                        .formatted(drawn)));
        try {
            kept.keep(step.command(), name, withoutPlaces(step), who);
            return ResponseEntity.ok("Kept as %s.".formatted(plain(name.strip())));
        } catch (RefusedEditException refused) {
            return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
                    .body(plain(refused.getMessage()));
        }
    }

    private static String plain(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;");
    }

    private static Map<String, String> withoutPlaces(DrawStep step) {
        Map<String, String> values = new TreeMap<>(step.values());
        Commands.find(step.command()).map(Command::parameters).stream()
                .flatMap(p -> p.stream())
                .filter(p -> p.kind() == Parameter.Kind.X || p.kind() == Parameter.Kind.Y)
                .forEach(p -> values.remove(p.name()));
        return values;
    }

    @PostMapping("/forget")
    ResponseEntity<Void> forget(@PathVariable long id, @RequestParam long kept) {
        this.kept.forget(kept);
        return ResponseEntity.noContent().build();
    }
}
