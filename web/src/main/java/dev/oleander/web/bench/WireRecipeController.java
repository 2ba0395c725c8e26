package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.plan.Stop;
import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.WireRecipes;
import dev.oleander.work.wire.plan.WireChoices;
import dev.oleander.work.wire.plan.WireRecipe;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Recipes for the wire on the bench: kept from a stop, given to others, taken off the job. */
@Controller
@RequestMapping("/jobs/{id}/{stage}/wire-recipes")
class WireRecipeController {

    private final EditAnswers answers;
    private final JobService jobs;
    private final WireRecipes recipes;

    WireRecipeController(EditAnswers answers, JobService jobs, WireRecipes recipes) {
        this.answers = answers;
        this.jobs = jobs;
        this.recipes = recipes;
    }

    /**
     * Keeps how the selected stop is cut, and gives it to the stop in the place of what was set.
     */
    @PostMapping("/save")
    String save(
            @ModelAttribute("context") Context context,
            @RequestParam String name,
            @RequestParam(defaultValue = "false") boolean kind,
            @RequestParam(defaultValue = "false") boolean order) {
        WireRecipes.With with = new WireRecipes.With(kind, order);
        return answers.answer(
                context,
                new EditError("recipe", name, ""),
                () -> {
                    JobResult result = jobs.view(context.id()).result();
                    String stop = context.selected(result).get(0).id();
                    WireRecipe kept = recipes.keep(result, stop, name, with, context.who());
                    return jobs.edit(
                            context.id(),
                            context.step(),
                            "Recipe " + kept.name(),
                            before -> {
                                WireChoices choices = before.document().choices(WIRE);
                                for (Stop one : context.selected(before)) {
                                    choices = WireRecipes.taken(choices, one);
                                }
                                return before.document()
                                        .with(
                                                WIRE,
                                                WireRecipes.given(
                                                        choices, kept, context.features(before)));
                            },
                            context.who());
                });
    }

    /** Gives a recipe to the selected features, or takes it up for the whole job. */
    @PostMapping("/give")
    String give(@ModelAttribute("context") Context context, @RequestParam String name) {
        return answers.edit(
                context,
                new EditError("recipe", name, ""),
                "Recipe " + name,
                before ->
                        before.document()
                                .with(
                                        WIRE,
                                        WireRecipes.given(
                                                before.document().choices(WIRE),
                                                recipes.require(name),
                                                context.stop().isBlank()
                                                        ? List.of()
                                                        : context.features(before))));
    }

    /** Takes a recipe off the job. */
    @PostMapping("/drop")
    String drop(@ModelAttribute("context") Context context, @RequestParam String name) {
        return answers.edit(
                context,
                new EditError("recipe", name, ""),
                "Without recipe " + name,
                before ->
                        before.document()
                                .with(
                                        WIRE,
                                        WireRecipes.without(
                                                before.document().choices(WIRE), name)));
    }
}
