package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.web.job.StopEdits;
import dev.oleander.web.job.WireEdits;
import dev.oleander.web.job.WireField;
import dev.oleander.web.job.WireJobField;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Edits of jobs on a wire machine. */
@Controller
@RequestMapping("/jobs/{id}/{stage}")
class WireEditController {

    private final WireEdits edits;
    private final EditAnswers answers;

    WireEditController(WireEdits edits, EditAnswers answers) {
        this.edits = edits;
        this.answers = answers;
    }

    /** Sets a value of the selected stops; without a value it is put back. */
    @PostMapping("/wire")
    String stops(
            @ModelAttribute("context") Context context,
            @RequestParam String field,
            @RequestParam(required = false) String value,
            @RequestParam(defaultValue = "all") String scope) {
        WireField wanted = known(WireField.ofWord(field), field);
        StopEdits.Scope reach = scope.equals("copy") ? StopEdits.Scope.COPY : StopEdits.Scope.ALL;
        List<String> ids = BenchController.ids(context.stop());
        context.model().addAttribute("scope", scope);
        String text = value == null || value.isBlank() ? null : value;
        String label = (text == null ? "Put back: " : "") + wanted.label();
        JobService.Edit edit = edits.set(ids, reach, wanted, text);
        return answers.edit(context, new EditError(field, value, ""), label, edit);
    }

    /** Sets a value of the whole job. */
    @PostMapping("/wire-values")
    String job(
            @ModelAttribute("context") Context context,
            @RequestParam String field,
            @RequestParam(defaultValue = "") String value) {
        WireJobField wanted = known(WireJobField.ofWord(field), field);
        return answers.edit(
                context,
                new EditError(field, value, ""),
                wanted.label(),
                before ->
                        before.document()
                                .with(WIRE, wanted.set(before.document().choices(WIRE), value)));
    }

    private static <T> T known(Optional<T> field, String name) {
        return field.orElseThrow(
                () -> new NotFoundException("There is no value \"%s\".".formatted(name)));
    }
}
