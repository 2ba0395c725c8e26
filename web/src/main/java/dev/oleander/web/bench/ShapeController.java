package dev.oleander.web.bench;

import dev.oleander.drawing.draw.Command;
import dev.oleander.drawing.draw.Commands;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.source.Uploads;
import dev.oleander.web.kept.KeptShapes;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.json.JsonMapper;

/** Edits of the drawing made on Shape: drawing, mending, sides, new versions. */
@Controller
@RequestMapping("/jobs/{id}/shape")
class ShapeController {

    private final JobService jobs;
    private final ShapeEdits edits;
    private final EditAnswers answers;
    private final KeptShapes kept;

    ShapeController(JobService jobs, ShapeEdits edits, EditAnswers answers, KeptShapes kept) {
        this.kept = kept;
        this.jobs = jobs;
        this.edits = edits;
        this.answers = answers;
    }

    /** The fields of a command that is about to be used. */
    @GetMapping("/commands/{word}")
    String command(
            @PathVariable long id,
            @PathVariable String word,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        Command command =
                Commands.find(word)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no drawing command \"%s\"."
                                                        .formatted(word)));
        model.addAttribute("job", jobs.view(id));
        model.addAttribute("who", who);
        model.addAttribute("command", command);
        model.addAttribute("sections", StepView.sections(command));
        model.addAttribute("kept", kept.of(word));
        model.addAttribute(
                "places", JsonMapper.shared().writeValueAsString(CommandPlaces.of(command)));
        return "bench/draw :: command";
    }

    /** The lines of one folded group of the reading. */
    @GetMapping("/groups/{index}")
    String group(@PathVariable long id, @PathVariable int index, Model model) {
        List<ReadingGroups.Group> groups =
                new ReadingGroups(jobs.view(id).result().reading(), List.of()).groups();
        if (index < 0 || index >= groups.size()) {
            throw new NotFoundException("The reading has no group %d.".formatted(index));
        }
        model.addAttribute("g", groups.get(index));
        return "bench/run-line :: features";
    }

    /**
     * Does a command; its values come as v.name.
     *
     * @param on ids of features to work on; null: what is selected
     */
    @PostMapping("/draw")
    String draw(
            @ModelAttribute("context") Context context,
            @RequestParam String command,
            @RequestParam(required = false) Double nearX,
            @RequestParam(required = false) Double nearY,
            @RequestParam(required = false) String on,
            @RequestParam Map<String, String> parameters) {
        String features = on == null ? context.stop() : on;
        ShapeEdits.Wish wish = wish(command, nearX, nearY, features, parameters);
        String label = Commands.find(command).map(Command::label).orElse(command);
        return answers.edit(context, new EditError("draw", "", ""), label, edits.draw(wish));
    }

    private static ShapeEdits.Wish wish(
            String command, Double nearX, Double nearY, String stop, Map<String, String> given) {
        Point near = nearX == null || nearY == null ? null : new Point(nearX, nearY);
        return new ShapeEdits.Wish(command, near, BenchController.ids(stop), DrawnValues.of(given));
    }

    /** Flat paths of what a command would draw and take away. */
    record Ghost(List<double[]> drawn, List<double[]> gone) {

        static Ghost of(ShapeEdits.Preview preview) {
            return new Ghost(flat(preview.drawn()), flat(preview.gone()));
        }

        private static List<double[]> flat(List<Chain> chains) {
            return chains.stream().map(c -> SceneBuilder.flat(c.segments())).toList();
        }
    }

    /** What a command would do, shown while its places are pointed at. */
    @GetMapping("/preview")
    @ResponseBody
    Ghost preview(
            @PathVariable long id,
            @RequestParam String command,
            @RequestParam(required = false) Double nearX,
            @RequestParam(required = false) Double nearY,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam Map<String, String> parameters) {
        ShapeEdits.Preview preview =
                edits.preview(
                        jobs.view(id).result(), wish(command, nearX, nearY, stop, parameters));
        return Ghost.of(preview);
    }

    /** Another value of something that was drawn. */
    @PostMapping("/steps")
    String step(
            @ModelAttribute("context") Context context,
            @RequestParam String drawn,
            @RequestParam String field,
            @RequestParam(defaultValue = "") String value) {
        return answers.edit(
                context,
                new EditError(field, value, ""),
                "Value of " + drawn,
                edits.setSteps(BenchController.ids(drawn), field, value));
    }

    @PostMapping("/steps/remove")
    String remove(@ModelAttribute("context") Context context, @RequestParam String drawn) {
        return answers.edit(
                context,
                EditError.NONE,
                "Taken away: " + drawn,
                edits.removeSteps(BenchController.ids(drawn)));
    }

    /** Mends all that can be decided, up to a tolerance. */
    @PostMapping("/mend")
    String mend(@ModelAttribute("context") Context context, @RequestParam String tolerance) {
        return answers.edit(
                context,
                new EditError("mendGap", tolerance, ""),
                "Mend all",
                before ->
                        edits.mend(Typed.parse(tolerance, Map.of()), MendOptions.ALL)
                                .apply(before));
    }

    /** Closes the gaps that are too large to be joined without asking. */
    @PostMapping("/gaps")
    String gaps(@ModelAttribute("context") Context context) {
        return answers.edit(context, EditError.NONE, "Close the larger gaps", edits.closeGaps());
    }

    /** Back to what is mended without asking. */
    @PostMapping("/mend/usual")
    String usual(@ModelAttribute("context") Context context) {
        return answers.edit(
                context,
                EditError.NONE,
                "Mend as usual",
                before -> edits.mend(Typed.of(0.05), MendOptions.USUAL).apply(before));
    }

    @PostMapping("/settle")
    String settle(@ModelAttribute("context") Context context, @RequestParam String fault) {
        return answers.edit(context, EditError.NONE, "Left as it is", edits.settle(fault));
    }

    @PostMapping("/turn")
    String turn(@ModelAttribute("context") Context context, @RequestParam String feature) {
        return answers.edit(
                context, EditError.NONE, "Other side of " + feature, edits.turn(feature));
    }

    /** What a colour or a line type is for; without a purpose the rule goes. */
    @PostMapping("/rules")
    String rule(
            @ModelAttribute("context") Context context,
            @RequestParam String by,
            @RequestParam String of,
            @RequestParam(defaultValue = "") String purpose) {
        PurposeRules.By kind =
                by.equals("colour") ? PurposeRules.By.COLOUR : PurposeRules.By.LINE_TYPE;
        return answers.edit(
                context,
                EditError.NONE,
                "Purpose of " + of,
                before ->
                        before.document()
                                .reshaped(
                                        s ->
                                                s.withRules(
                                                        s.rules()
                                                                .with(
                                                                        kind,
                                                                        of,
                                                                        EditController
                                                                                .purposeOrNull(
                                                                                        purpose)))));
    }

    /** Diameters of start holes, apart by commas or spaces. */
    @PostMapping("/start-holes")
    String startHoles(
            @ModelAttribute("context") Context context,
            @RequestParam(defaultValue = "") String value) {
        return answers.edit(
                context,
                new EditError("startHoles", value, ""),
                "Start holes",
                before -> {
                    List<Double> diameters = new ArrayList<>();
                    for (String text : value.split("[;,]\\s*|\\s{1,}")) {
                        if (!text.isBlank()) {
                            diameters.add(
                                    Typed.parse(text, Map.of())
                                            .within("The diameter", 0.05, 100)
                                            .value());
                        }
                    }
                    return before.document()
                            .reshaped(s -> s.withRules(s.rules().withStartDiameters(diameters)));
                });
    }

    /** A new version of the drawing. */
    @PostMapping("/drawing")
    String revise(
            @ModelAttribute("context") Context context,
            @RequestParam(name = "file") List<MultipartFile> files)
            throws IOException {
        List<Upload> uploads = Uploads.of(files);
        return answers.answer(
                context,
                new EditError("drawing", "", ""),
                () -> jobs.revise(context.id(), context.step(), uploads, context.who()).job());
    }

    /** What moved is looked at and taken over; the list of what is gone is put away. */
    @PostMapping("/revision")
    String takeOver(@ModelAttribute("context") Context context) {
        return answers.edit(
                context,
                EditError.NONE,
                "New version taken over",
                before -> {
                    if (before.document().shape().revision().equals(ShapeChoices.Revision.NONE)) {
                        throw new RefusedEditException("There is nothing to take over.");
                    }
                    return before.document()
                            .reshaped(s -> s.withRevision(ShapeChoices.Revision.NONE));
                });
    }
}
