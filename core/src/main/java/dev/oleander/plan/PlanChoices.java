package dev.oleander.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.revise.Carrying;
import java.util.ArrayList;
import java.util.Collection;
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
 * @param given names of recipes given to features by hand, by feature; they go before those that
 *     fit by rule
 * @param pins stretches of ids of stops that stay together in this order, whatever the rule
 * @param events what happens at stops besides their cuts, by feature or by stop
 */
public record PlanChoices(
        String quality,
        OrderRule order,
        List<String> sequence,
        Map<String, StopChoice> stops,
        SmallHoles smallHoles,
        List<Recipe> recipes,
        Map<String, String> given,
        List<List<String>> pins,
        Map<String, List<StopEvent>> events) {

    public PlanChoices {
        smallHoles = smallHoles == null ? SmallHoles.AS_OTHERS : smallHoles;
        sequence = List.copyOf(sequence);
        stops = Map.copyOf(stops);
        recipes = recipes == null ? List.of() : List.copyOf(recipes);
        given = given == null ? Map.of() : Map.copyOf(given);
        pins = pins == null ? List.of() : pins.stream().map(List::copyOf).toList();
        events = events == null ? Map.of() : Map.copyOf(events);
    }

    public static PlanChoices defaults() {
        return new PlanChoices(
                "standard",
                OrderRule.PART_BY_PART,
                List.of(),
                Map.of(),
                SmallHoles.AS_OTHERS,
                List.of(),
                Map.of(),
                List.of(),
                Map.of());
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
        return new PlanChoices(
                quality, order, sequence, stops, smallHoles, all, more, pins, events);
    }

    /** Without a recipe. */
    public PlanChoices without(String recipe) {
        Map<String, String> left = new TreeMap<>(given);
        left.values().removeIf(recipe::equals);
        List<Recipe> others = recipes.stream().filter(r -> !r.name().equals(recipe)).toList();
        return new PlanChoices(
                quality, order, sequence, stops, smallHoles, others, left, pins, events);
    }

    /** What happens at one stop: on every copy, then on this one. */
    public List<StopEvent> eventsOf(Stop stop) {
        List<StopEvent> all = new ArrayList<>(events.getOrDefault(stop.feature(), List.of()));
        all.addAll(events.getOrDefault(stop.id(), List.of()));
        return all;
    }

    /** Replaces what happens under a key; nothing removes it. */
    public PlanChoices withEvents(String key, List<StopEvent> all) {
        Map<String, List<StopEvent>> changed = new TreeMap<>(events);
        if (all.isEmpty()) {
            changed.remove(key);
        } else {
            changed.put(key, List.copyOf(all));
        }
        return new PlanChoices(
                quality, order, sequence, stops, smallHoles, recipes, given, pins, changed);
    }

    /**
     * The same for a new version of the drawing. An order by hand of which stops are gone ends: the
     * rule takes its place.
     */
    public PlanChoices carried(Carrying to) {
        List<String> left = to.keys(sequence);
        PlanChoices carried =
                new PlanChoices(
                        quality,
                        order,
                        left,
                        to.keys(stops, (key, choice) -> choice.carried(key, to)),
                        smallHoles,
                        recipes,
                        to.keys(given),
                        to.stretches(pins),
                        to.keys(events));
        return order == OrderRule.BY_HAND && left.size() < sequence.size()
                ? carried.withOrder(OrderRule.PART_BY_PART, List.of())
                : carried;
    }

    public PlanChoices withPins(List<List<String>> stretches) {
        return new PlanChoices(
                quality, order, sequence, stops, smallHoles, recipes, given, stretches, events);
    }

    public PlanChoices withRecipes(List<Recipe> all) {
        return new PlanChoices(
                quality, order, sequence, stops, smallHoles, all, given, pins, events);
    }

    /** The same with what another has set for single stops. */
    public PlanChoices withStopsOf(PlanChoices other) {
        return new PlanChoices(
                quality,
                order,
                sequence,
                other.stops,
                smallHoles,
                recipes,
                given,
                pins,
                other.events);
    }

    public PlanChoices withQuality(String value) {
        return new PlanChoices(
                value, order, sequence, stops, smallHoles, recipes, given, pins, events);
    }

    public PlanChoices withOrder(OrderRule rule, List<String> ids) {
        return new PlanChoices(quality, rule, ids, stops, smallHoles, recipes, given, pins, events);
    }

    public PlanChoices withSmallHoles(SmallHoles rule) {
        return new PlanChoices(quality, order, sequence, stops, rule, recipes, given, pins, events);
    }

    /** Replaces what is set under a key; nothing set removes it. */
    public PlanChoices withStop(String key, StopChoice choice) {
        Map<String, StopChoice> changed = new TreeMap<>(stops);
        if (choice.isNothing()) {
            changed.remove(key);
        } else {
            changed.put(key, choice);
        }
        return new PlanChoices(
                quality, order, sequence, changed, smallHoles, recipes, given, pins, events);
    }
}
