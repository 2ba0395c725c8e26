package dev.oleander.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Everything people decided about the plan of a job that is cut from a sheet.
 *
 * @param quality row of the cut book for the whole job
 * @param run its order by the words of {@link OrderRule}
 * @param smallHoles what is done with holes too small for the cut data; null: as with others
 * @param stops choices by feature ("c3") for all copies, or by stop ("c3.2") for one
 * @param recipes ways to cut kinds of features, where nothing is set for the stop; of several that
 *     fit, the earlier one decides
 * @param given names of recipes given to features by hand, by feature; they go before those that
 *     fit by rule
 */
public record PlanChoices(
        String quality,
        RunChoices run,
        Map<String, StopChoice> stops,
        SmallHoles smallHoles,
        List<Recipe> recipes,
        Map<String, String> given)
        implements Choices<PlanChoices> {

    public PlanChoices {
        smallHoles = smallHoles == null ? SmallHoles.AS_OTHERS : smallHoles;
        run = run == null ? RunChoices.USUAL : run;
        stops = Map.copyOf(stops);
        recipes = recipes == null ? List.of() : List.copyOf(recipes);
        given = given == null ? Map.of() : Map.copyOf(given);
    }

    public static PlanChoices defaults() {
        return new PlanChoices(
                "standard", RunChoices.USUAL, Map.of(), SmallHoles.AS_OTHERS, List.of(), Map.of());
    }

    /** The rule of the order. */
    public OrderRule order() {
        return run.isByHand() ? OrderRule.BY_HAND : rule();
    }

    private OrderRule rule() {
        return Worded.of(OrderRule.class, run.rule()).orElse(OrderRule.PART_BY_PART);
    }

    /** What was set for one stop: for this copy first, then for the feature. */
    public StopChoice of(String feature, int copy) {
        StopChoice all = stops.getOrDefault(feature, StopChoice.NOTHING);
        return stops.getOrDefault(Stop.id(feature, copy), StopChoice.NOTHING).over(all);
    }

    /** What the recipes say of a feature. */
    public StopChoice recipeFor(Feature feature) {
        StopChoice choice = StopChoice.NOTHING;
        for (Recipe recipe : recipesOf(feature)) {
            choice = choice.over(recipe.choice());
        }
        return choice;
    }

    /** The recipes that speak of a feature, the deciding one first. */
    public List<Recipe> recipesOf(Feature feature) {
        String byHand = given.get(feature.id());
        List<Recipe> all = new ArrayList<>();
        recipes.stream().filter(r -> r.name().equals(byHand)).forEach(all::add);
        recipes.stream().filter(r -> !r.name().equals(byHand) && r.fits(feature)).forEach(all::add);
        return all;
    }

    /** Gives a recipe to features; it is taken up when the plan does not know it yet. */
    public PlanChoices given(Recipe recipe, Collection<String> features) {
        List<Recipe> all = new ArrayList<>(recipes);
        all.removeIf(r -> r.name().equals(recipe.name()));
        all.add(recipe);
        Map<String, String> more = new TreeMap<>(given);
        features.forEach(f -> more.put(f, recipe.name()));
        return new PlanChoices(quality, run, stops, smallHoles, all, more);
    }

    /** Without a recipe. */
    public PlanChoices without(String recipe) {
        Map<String, String> left = new TreeMap<>(given);
        left.values().removeIf(recipe::equals);
        List<Recipe> others = recipes.stream().filter(r -> !r.name().equals(recipe)).toList();
        return new PlanChoices(quality, run, stops, smallHoles, others, left);
    }

    @Override
    public PlanChoices carried(Carrying to) {
        return new PlanChoices(
                quality,
                run.carried(to),
                to.keys(stops, (key, choice) -> choice.carried(key, to)),
                smallHoles,
                recipes,
                to.keys(given));
    }

    @Override
    public PlanChoices withRun(RunChoices value) {
        return new PlanChoices(quality, value, stops, smallHoles, recipes, given);
    }

    /** By a rule. */
    public PlanChoices withOrder(OrderRule rule) {
        return withRun(run.by(rule.word()));
    }

    public PlanChoices withRecipes(List<Recipe> all) {
        return new PlanChoices(quality, run, stops, smallHoles, all, given);
    }

    /** The same with what another has set for single stops. */
    public PlanChoices withStopsOf(PlanChoices other) {
        return new PlanChoices(
                quality, run.withEventsOf(other.run), other.stops, smallHoles, recipes, given);
    }

    public PlanChoices withQuality(String value) {
        return new PlanChoices(value, run, stops, smallHoles, recipes, given);
    }

    public PlanChoices withSmallHoles(SmallHoles rule) {
        return new PlanChoices(quality, run, stops, rule, recipes, given);
    }

    /** Replaces what is set under a key; nothing set removes it. */
    public PlanChoices withStop(String key, StopChoice choice) {
        Map<String, StopChoice> changed = new TreeMap<>(stops);
        if (choice.isNothing()) {
            changed.remove(key);
        } else {
            changed.put(key, choice);
        }
        return new PlanChoices(quality, run, changed, smallHoles, recipes, given);
    }
}
