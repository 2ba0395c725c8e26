package dev.oleander.web.bench;

import static dev.oleander.work.sheet.SheetCutting.SHEET;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.JobDocument;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.ShopRecipes;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Recipes on the bench: kept from a stop, given to the selection, used on the whole job. */
@Controller
@RequestMapping("/jobs/{id}/{stage}/recipes")
class RecipeEditController {

    private final EditAnswers answers;
    private final JobService jobs;
    private final ShopRecipes recipes;

    RecipeEditController(EditAnswers answers, JobService jobs, ShopRecipes recipes) {
        this.answers = answers;
        this.jobs = jobs;
        this.recipes = recipes;
    }

    /**
     * Keeps how the selected stop is cut, for the shop, and gives it to the stop in the place of
     * what was set there.
     */
    @PostMapping("/save")
    String save(@ModelAttribute("context") Context context, @RequestParam String name) {
        String label = "Recipe " + name.strip();
        return answers.answer(
                context,
                new EditError("recipe", name, ""),
                () -> {
                    Recipe kept = keep(context, name.strip());
                    return jobs.edit(
                            context.id(),
                            context.step(),
                            label,
                            before -> taken(before, context, kept),
                            context.who());
                });
    }

    private Recipe keep(Context context, String name) {
        JobResult result = jobs.view(context.id()).result();
        Stop stop = context.selected(result).get(0);
        PlanChoices plan = result.document().choices(SHEET);
        Feature feature = result.reading().byId().get(stop.feature());
        StopChoice choice =
                plan.of(stop.feature(), stop.copy()).over(plan.recipeFor(feature)).asRecipe();
        Recipe recipe = new Recipe(name, null, choice);
        recipes.save(recipe, result.machine().process(), false, context.who());
        return recipe;
    }

    /** What the recipe says is no longer set here as well. */
    private static JobDocument taken(JobResult before, Context context, Recipe recipe) {
        PlanChoices plan = before.document().choices(SHEET);
        for (Stop stop : context.selected(before)) {
            for (String key : List.of(stop.feature(), stop.id())) {
                StopChoice set = plan.stops().getOrDefault(key, StopChoice.NOTHING);
                plan = plan.withStop(key, set.ofPlace());
            }
        }
        return before.document().with(SHEET, plan.given(recipe, context.features(before)));
    }

    /** Gives a recipe to the selected features. */
    @PostMapping("/give")
    String give(@ModelAttribute("context") Context context, @RequestParam String name) {
        return answers.edit(
                context,
                new EditError("recipe", name, ""),
                "Recipe " + name,
                before -> {
                    Recipe recipe = recipes.require(name);
                    return before.document()
                            .with(
                                    SHEET,
                                    before.document()
                                            .choices(SHEET)
                                            .given(recipe, context.features(before)));
                });
    }

    /** Uses a recipe on the whole job, by its rule. */
    @PostMapping("/use")
    String use(@ModelAttribute("context") Context context, @RequestParam String name) {
        return answers.edit(
                context,
                new EditError("recipe", name, ""),
                "Recipe " + name,
                before ->
                        before.document()
                                .with(
                                        SHEET,
                                        before.document()
                                                .choices(SHEET)
                                                .given(recipes.require(name), List.of())));
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
                                .with(SHEET, before.document().choices(SHEET).without(name)));
    }
}
