package dev.oleander.web.bench;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Named;
import dev.oleander.value.Subject;
import dev.oleander.value.Word;
import dev.oleander.web.job.recipe.ShopRecipes;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Recipes of a job and of the selected stops.
 *
 * @param ofJob those that the job uses
 * @param ofStops names of those that the selected stops go by, each once
 * @param toGive names of the shop's that can be given to the selection
 * @param toUse those of the shop that the job can take up and does not use yet
 * @param kinds what a recipe kept from the selected stop could be for; empty when it is of no kind
 * @param order the rule of order that it could bring along; empty when that is by hand
 * @param error what stands against an edit of them; empty when nothing does
 */
public record RecipeSlip(
        List<Row> ofJob,
        List<String> ofStops,
        List<String> toGive,
        List<Row> toUse,
        String kinds,
        String order,
        String error) {

    /**
     * A recipe.
     *
     * @param rule which features it is for, in words
     */
    public record Row(String name, String rule) {}

    static RecipeSlip of(JobResult result, List<Stop> stops, ShopRecipes shop, EditError error) {
        return of(result, result.kind(), stops, shop, error);
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> RecipeSlip of(
            JobResult result,
            Work<C, S> kind,
            List<Stop> stops,
            ShopRecipes shop,
            EditError error) {
        C choices = result.document().choices(kind);
        List<Recipe<S>> known = shop.of(kind, result.machine().process());
        Named order = kind.order(choices);
        List<Subject<S>> subjects = kind.subjects(result.task(kind), result.plan(), stops);
        return new RecipeSlip(
                ofJob(result, kind, choices),
                ofStops(result, choices, subjects),
                known.stream().map(Recipe::name).toList(),
                toUse(kind, known, choices),
                subjects.stream().findFirst().map(s -> kinds(kind, s.kind())).orElse(""),
                order.word().equals(RunChoices.BY_HAND) ? "" : order.label(),
                error.field().equals("recipe") ? error.sentence() : "");
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> List<Row> ofJob(
            JobResult result, Work<C, S> kind, C choices) {
        List<Subject<S>> subjects =
                choices.recipes().isEmpty()
                        ? List.of()
                        : kind.subjects(result.task(kind), result.plan(), result.run().stops());
        Map<String, Feature> features = result.reading().byId();
        List<Row> rows = new ArrayList<>();
        for (Recipe<S> recipe : choices.recipes()) {
            long count =
                    subjects.stream()
                            .filter(
                                    s ->
                                            choices.recipesOf(features.get(s.feature()), s.kind())
                                                    .contains(recipe))
                            .count();
            rows.add(new Row(recipe.name(), "%s · %d".formatted(sentence(kind, recipe), count)));
        }
        return rows;
    }

    private static <S extends Choice<S>> String sentence(Work<?, S> kind, Recipe<S> recipe) {
        return recipe.rule().sentence(kinds(kind, recipe.rule().kind()));
    }

    /** What features of a kind are called. */
    static String kinds(Work<?, ?> kind, String word) {
        return kind.recipeKinds().stream()
                .filter(w -> w.value().equals(word))
                .map(Word::label)
                .findFirst()
                .orElse(word);
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> List<String> ofStops(
            JobResult result, C choices, List<Subject<S>> subjects) {
        Map<String, Feature> features = result.reading().byId();
        return subjects.stream()
                .flatMap(s -> choices.recipesOf(features.get(s.feature()), s.kind()).stream())
                .map(Recipe::name)
                .distinct()
                .toList();
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> List<Row> toUse(
            Work<C, S> kind, List<Recipe<S>> known, C choices) {
        List<String> used = choices.recipes().stream().map(Recipe::name).toList();
        return known.stream()
                .filter(r -> !r.rule().equals(Rule.BY_HAND) || !r.order().isEmpty())
                .filter(r -> !used.contains(r.name()))
                .map(r -> new Row(r.name(), sentence(kind, r)))
                .toList();
    }
}
