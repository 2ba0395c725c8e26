package dev.oleander.web.bench;

import static dev.oleander.work.sheet.SheetCutting.SHEET;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Stop;
import dev.oleander.web.job.JobResult;
import java.util.List;
import java.util.Map;

/** Recipes of a job and of the selected stops. */
public final class RecipeSlip {

    private final JobResult result;
    private final List<Stop> stops;
    private final List<Recipe> shop;
    private final EditError error;

    /**
     * @param shop recipes there are for the process of the job's machine
     */
    RecipeSlip(JobResult result, List<Stop> stops, List<Recipe> shop, EditError error) {
        this.result = result;
        this.stops = List.copyOf(stops);
        this.shop = List.copyOf(shop);
        this.error = error;
    }

    /**
     * A recipe of the job.
     *
     * @param rule in words
     * @param stops how many stops it speaks of
     */
    public record Row(String name, String rule, int stops) {}

    public List<Row> ofJob() {
        PlanChoices plan = result.document().choices(SHEET);
        Map<String, Feature> features = result.reading().byId();
        return plan.recipes().stream()
                .map(
                        recipe ->
                                new Row(
                                        recipe.name(),
                                        recipe.rule() == null
                                                ? "given by hand"
                                                : recipe.rule().sentence(),
                                        count(plan, features, recipe)))
                .toList();
    }

    private int count(PlanChoices plan, Map<String, Feature> features, Recipe recipe) {
        return (int)
                result.run().stops().stream()
                        .map(s -> features.get(s.feature()))
                        .filter(f -> plan.recipesOf(f).contains(recipe))
                        .count();
    }

    /** Names of recipes that the selected stops go by, each once. */
    public List<String> ofStops() {
        PlanChoices plan = result.document().choices(SHEET);
        Map<String, Feature> features = result.reading().byId();
        return stops.stream()
                .flatMap(s -> plan.recipesOf(features.get(s.feature())).stream())
                .map(Recipe::name)
                .distinct()
                .toList();
    }

    /** Names that can be given to the selection. */
    public List<String> toGive() {
        return shop.stream().map(Recipe::name).toList();
    }

    /** Those with a rule that the job does not use yet. */
    public List<Recipe> toUse() {
        List<String> used =
                result.document().choices(SHEET).recipes().stream().map(Recipe::name).toList();
        return shop.stream().filter(r -> r.rule() != null && !used.contains(r.name())).toList();
    }

    public String error() {
        return error.field().equals("recipe") ? error.sentence() : "";
    }
}
