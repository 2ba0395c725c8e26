package dev.oleander.web.bench;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.value.Subject;
import dev.oleander.web.bench.EditAnswers.Context;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.recipe.ShopRecipe;
import dev.oleander.web.job.recipe.ShopRecipes;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.Collection;
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
     * What a person wants to keep of a stop.
     *
     * @param kind whether the recipe is for all of its kind; else it is given by hand only
     * @param order whether the order of the job's stops belongs to it
     */
    private record Wish(String name, boolean kind, boolean order) {}

    /**
     * Keeps how the selected stop is cut, for the shop, and gives it to the stop in the place of
     * what was set there.
     */
    @PostMapping("/save")
    String save(
            @ModelAttribute("context") Context context,
            @RequestParam String name,
            @RequestParam(defaultValue = "false") boolean kind,
            @RequestParam(defaultValue = "false") boolean order) {
        Wish wish = new Wish(name.strip(), kind, order);
        return answers.answer(
                context,
                new EditError("recipe", name, ""),
                () -> {
                    JobResult result = jobs.view(context.id()).on(context.run()).result();
                    JobService.Edit edit = kept(result, result.kind(), context, wish);
                    return answers.edited(context, "Recipe " + wish.name(), edit);
                });
    }

    private <C extends Choices<C, S>, S extends Choice<S>> JobService.Edit kept(
            JobResult result, Work<C, S> kind, Context context, Wish wish) {
        List<Stop> stops = context.selected(result).subList(0, 1);
        Subject<S> stop = kind.subjects(result.task(kind), result.plan(), stops).get(0);
        Rule rule =
                wish.kind() && !stop.kind().isEmpty()
                        ? new Rule(stop.kind(), null, null)
                        : Rule.BY_HAND;
        String order = wish.order() ? order(result, kind) : "";
        Recipe<S> recipe = new Recipe<>(wish.name(), rule, stop.set().asRecipe(), order);
        recipes.save(kind, recipe, ShopRecipe.Use.WHEN_ASKED, context.who());
        return before -> taken(before, kind, context, recipe);
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> String order(
            JobResult result, Work<C, S> kind) {
        String word = kind.order(result.document().choices(kind)).word();
        if (word.equals(RunChoices.BY_HAND)) {
            throw new RefusedEditException(
                    "An order by hand belongs to its job; a recipe keeps a rule of order.");
        }
        return word;
    }

    /** What the recipe says is no longer set here as well. */
    private static <C extends Choices<C, S>, S extends Choice<S>> JobDocument taken(
            JobResult before, Work<C, S> kind, Context context, Recipe<S> recipe) {
        C choices = before.document().choices(kind);
        for (Stop stop : context.selected(before)) {
            choices = choices.leftToRecipe(stop.key());
        }
        return before.document().with(kind, choices.given(recipe, context.features(before)));
    }

    /** Gives a recipe to the selected features. */
    @PostMapping("/give")
    String give(@ModelAttribute("context") Context context, @RequestParam String name) {
        return answers.edit(
                context,
                new EditError("recipe", name, ""),
                "Recipe " + name,
                before -> given(before, before.kind(), name, context.features(before)));
    }

    /** Takes a recipe up for the whole job, where its rule fits. */
    @PostMapping("/use")
    String use(@ModelAttribute("context") Context context, @RequestParam String name) {
        return answers.edit(
                context,
                new EditError("recipe", name, ""),
                "Recipe " + name,
                before -> given(before, before.kind(), name, List.of()));
    }

    private <C extends Choices<C, S>, S extends Choice<S>> JobDocument given(
            JobResult before, Work<C, S> kind, String name, Collection<String> features) {
        Recipe<S> recipe = recipes.require(kind, name);
        return before.document().changed(kind, choices -> choices.given(recipe, features));
    }

    /** Takes a recipe off the job. */
    @PostMapping("/drop")
    String drop(@ModelAttribute("context") Context context, @RequestParam String name) {
        return answers.edit(
                context,
                new EditError("recipe", name, ""),
                "Without recipe " + name,
                before -> without(before, before.kind(), name));
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> JobDocument without(
            JobResult before, Work<C, S> kind, String name) {
        return before.document().changed(kind, choices -> choices.without(name));
    }
}
