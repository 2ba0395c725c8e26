package dev.oleander.plan;

import dev.oleander.drawing.read.Feature;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Everything people decided about the plan of a job.
 *
 * @param quality row of the cut book for the whole job
 * @param order rule for the order
 * @param sequence ids of stops in the order a person gave; used with {@link OrderRule#BY_HAND}
 * @param smallHoles what is done with holes too small for the cut data; null: as with others
 * @param stops choices by feature ("c3") for all copies, or by stop ("c3.2") for one
 * @param recipes ways to cut kinds of features, where nothing is set for the stop; of several that
 *     fit, the earlier one decides
 */
public record PlanChoices(
        String quality,
        OrderRule order,
        List<String> sequence,
        Map<String, StopChoice> stops,
        SmallHoles smallHoles,
        List<Recipe> recipes) {

    public PlanChoices {
        smallHoles = smallHoles == null ? SmallHoles.AS_OTHERS : smallHoles;
        sequence = List.copyOf(sequence);
        stops = Map.copyOf(stops);
        recipes = recipes == null ? List.of() : List.copyOf(recipes);
    }

    public static PlanChoices defaults() {
        return new PlanChoices(
                "standard",
                OrderRule.PART_BY_PART,
                List.of(),
                Map.of(),
                SmallHoles.AS_OTHERS,
                List.of());
    }

    /** What was set for one stop: for this copy first, then for the feature. */
    public StopChoice of(String feature, int copy) {
        StopChoice all = stops.getOrDefault(feature, StopChoice.NOTHING);
        return stops.getOrDefault(Stop.id(feature, copy), StopChoice.NOTHING).over(all);
    }

    /** What the recipes say of a feature. */
    public StopChoice recipeFor(Feature feature) {
        StopChoice choice = StopChoice.NOTHING;
        for (Recipe recipe : recipes) {
            if (recipe.rule().fits(feature)) {
                choice = choice.over(recipe.choice());
            }
        }
        return choice;
    }

    public PlanChoices withRecipes(List<Recipe> all) {
        return new PlanChoices(quality, order, sequence, stops, smallHoles, all);
    }

    /** The same with what another has set for single stops. */
    public PlanChoices withStopsOf(PlanChoices other) {
        return new PlanChoices(quality, order, sequence, other.stops, smallHoles, recipes);
    }

    public PlanChoices withQuality(String value) {
        return new PlanChoices(value, order, sequence, stops, smallHoles, recipes);
    }

    public PlanChoices withOrder(OrderRule rule, List<String> ids) {
        return new PlanChoices(quality, rule, ids, stops, smallHoles, recipes);
    }

    public PlanChoices withSmallHoles(SmallHoles rule) {
        return new PlanChoices(quality, order, sequence, stops, rule, recipes);
    }

    /** Replaces what is set under a key; nothing set removes it. */
    public PlanChoices withStop(String key, StopChoice choice) {
        Map<String, StopChoice> changed = new TreeMap<>(stops);
        if (choice.isNothing()) {
            changed.remove(key);
        } else {
            changed.put(key, choice);
        }
        return new PlanChoices(quality, order, sequence, changed, smallHoles, recipes);
    }
}
