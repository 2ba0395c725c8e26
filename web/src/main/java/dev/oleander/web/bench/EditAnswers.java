package dev.oleander.web.bench;

import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.draw.DrawException;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.FormulaException;
import dev.oleander.value.ValueException;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.bench.BenchModel.Shown;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.load.Parts;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * Answers edits with the fragments that changed; one that is refused answers 422 with the sentence
 * beside the field, and the job stays as it was.
 */
@Component
class EditAnswers {

    /**
     * What every edit brings along, and where its answer goes.
     *
     * @param step the step its page was made from
     * @param stop ids of the selected stops, or features on Shape
     * @param run the run that was shown, from 1
     */
    record Context(
            long id,
            String stage,
            Integer step,
            String stop,
            int run,
            SignedIn who,
            Model model,
            HttpServletResponse response) {

        /** The edit, made on the run that was shown. */
        JobService.Edit onRun(JobService.Edit edit) {
            return before -> edit.apply(before.on(run));
        }

        /**
         * The selected stops.
         *
         * @throws NotFoundException when there are none
         */
        List<Stop> selected(JobResult result) {
            Map<String, Stop> stops = result.stops();
            List<Stop> found =
                    BenchController.ids(stop).stream()
                            .filter(stops::containsKey)
                            .map(stops::get)
                            .toList();
            if (found.isEmpty()) {
                throw new NotFoundException("No stop is selected.");
            }
            return found;
        }

        /** Ids of the features of the selected stops, each once. */
        List<String> features(JobResult result) {
            return selected(result).stream().map(Stop::feature).distinct().toList();
        }
    }

    private final JobService jobs;
    private final BenchModel bench;

    EditAnswers(JobService jobs, BenchModel bench) {
        this.jobs = jobs;
        this.bench = bench;
    }

    /** Makes an edit on the step its page was made from. */
    String edit(Context context, EditError place, String label, JobService.Edit edit) {
        return answer(context, place, () -> edited(context, label, edit));
    }

    JobView edited(Context context, String label, JobService.Edit edit) {
        return jobs.edit(context.id(), context.step(), label, context.onRun(edit), context.who());
    }

    /** The fragments after an edit, or as they were with what stands against it. */
    String answer(Context context, EditError place, Supplier<JobView> edit) {
        EditError error = EditError.NONE;
        JobView job;
        try {
            job = edit.get();
        } catch (FormulaException
                | ValueException
                | RefusedEditException
                | PlanException
                | DrawException
                | DrawingException refused) {
            error = new EditError(place.field(), place.typed(), refused.getMessage());
            context.response().setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            job = jobs.view(context.id());
        } catch (StaleEditException | OptimisticLockingFailureException overtaken) {
            String sentence =
                    overtaken instanceof StaleEditException
                            ? overtaken.getMessage()
                            : StaleEditException.AT_THE_SAME_MOMENT;
            error = new EditError("", "", sentence);
            context.response().setStatus(HttpStatus.CONFLICT.value());
            job = jobs.view(context.id());
        }
        Shown shown =
                Shown.of(
                        BenchController.stage(context.stage()),
                        BenchController.ids(context.stop()),
                        error);
        JobView settled = job;
        Parts.of(
                "views",
                () -> {
                    bench.fill(context.model(), settled.on(context.run()), shown, context.who());
                    return null;
                });
        context.response()
                .setHeader("HX-Trigger", "{\"sceneChanged\":{\"step\":%d}}".formatted(job.step()));
        return "bench/update";
    }

    /** All that hangs on the plan, for a page that asked whether there is something new. */
    String renewed(Context context, JobView job) {
        Shown shown =
                Shown.of(
                        BenchController.stage(context.stage()),
                        BenchController.ids(context.stop()),
                        EditError.NONE);
        bench.fill(context.model(), job.on(context.run()), shown, context.who());
        return renewed(context.response(), job);
    }

    /** The fragments of a page whose model is filled; they go where they belong by themselves. */
    static String renewed(HttpServletResponse response, JobView job) {
        response.setHeader("HX-Reswap", "none");
        response.setHeader(
                "HX-Trigger",
                "{\"sceneChanged\":{\"step\":%d,\"planned\":true}}".formatted(job.step()));
        return "bench/update";
    }

    /** Gives every edit its context. */
    @ControllerAdvice(
            assignableTypes = {
                EditController.class,
                ShapeController.class,
                HandleController.class,
                NestController.class,
                RecipeEditController.class
            })
    static class ContextAdvice {

        @ModelAttribute("context")
        Context context(
                @PathVariable long id,
                @PathVariable(required = false) String stage,
                @RequestParam(required = false) Integer step,
                @RequestParam(defaultValue = "") String stop,
                @RequestParam(defaultValue = "1") int run,
                @AuthenticationPrincipal SignedIn who,
                Model model,
                HttpServletResponse response) {
            String at = stage == null ? "shape" : stage;
            return new Context(id, at, step, stop, run, who, model, response);
        }
    }
}
