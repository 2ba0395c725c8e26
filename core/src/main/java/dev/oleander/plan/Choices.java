package dev.oleander.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.revise.Carrying;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What people decided about the work of a job on machines of one kind.
 *
 * @param <C> itself
 * @param <S> what can be set for a stop
 */
public interface Choices<C extends Choices<C, S>, S extends Choice<S>> {

    /** See {@link Decisions#run}. */
    RunChoices run();

    /** See {@link Decisions#stops}. */
    Map<String, S> stops();

    /** See {@link Decisions#recipes}. */
    List<Recipe<S>> recipes();

    /** See {@link Decisions#given}. */
    Map<String, String> given();

    /** For a stop of which nothing was said. */
    S nothing();

    /** The same work with other decisions. */
    C with(Decisions<S> decisions);

    /** The same for a new version of the drawing. */
    default C carried(Carrying to) {
        return with(
                new Decisions<>(
                        run().carried(to),
                        to.keys(stops(), (key, choice) -> choice.carried(key, to)),
                        recipes(),
                        to.keys(given())));
    }

    default C withRun(RunChoices value) {
        return with(new Decisions<>(value, stops(), recipes(), given()));
    }

    /** What was set for one stop: for this copy first, then for the feature. */
    default S of(String feature, int copy) {
        return of(FeatureKey.of(feature, copy));
    }

    /** What was set for one of the things done to a copy of a feature, then for all copies. */
    default S of(FeatureKey key) {
        S all = stops().getOrDefault(key.ofAllCopies().text(), nothing());
        return stops().getOrDefault(key.text(), nothing()).over(all);
    }

    /** Replaces what is set under a key; nothing set removes it. */
    default C withStop(String key, S choice) {
        Map<String, S> changed = new TreeMap<>(stops());
        if (choice.isNothing()) {
            changed.remove(key);
        } else {
            changed.put(key, choice);
        }
        return with(new Decisions<>(run(), changed, recipes(), given()));
    }

    /**
     * What the recipes say of a feature.
     *
     * @param kind word of what it is worked as
     */
    default S recipeFor(Feature feature, String kind) {
        S choice = nothing();
        for (Recipe<S> recipe : recipesOf(feature, kind)) {
            choice = choice.over(recipe.choice());
        }
        return choice;
    }

    /** The recipes that speak of a feature, the deciding one first. */
    default List<Recipe<S>> recipesOf(Feature feature, String kind) {
        String byHand = given().get(feature.id());
        List<Recipe<S>> all = new ArrayList<>();
        recipes().stream().filter(r -> r.name().equals(byHand)).forEach(all::add);
        recipes().stream()
                .filter(r -> !r.name().equals(byHand) && r.rule().fits(feature, kind))
                .forEach(all::add);
        return all;
    }

    /**
     * Gives a recipe to features; it is taken up when the job does not know it yet, with the order
     * that belongs to it.
     */
    default C given(Recipe<S> recipe, Collection<String> features) {
        List<Recipe<S>> all = new ArrayList<>(recipes());
        all.removeIf(r -> r.name().equals(recipe.name()));
        all.add(recipe);
        Map<String, String> more = new TreeMap<>(given());
        features.forEach(f -> more.put(f, recipe.name()));
        RunChoices ordered = recipe.order().isEmpty() ? run() : run().by(recipe.order());
        return with(new Decisions<>(ordered, stops(), all, more));
    }

    /** Without a recipe. */
    default C without(String recipe) {
        Map<String, String> left = new TreeMap<>(given());
        left.values().removeIf(recipe::equals);
        List<Recipe<S>> others = recipes().stream().filter(r -> !r.name().equals(recipe)).toList();
        return with(new Decisions<>(run(), stops(), others, left));
    }

    default C withRecipes(List<Recipe<S>> all) {
        return with(new Decisions<>(run(), stops(), all, given()));
    }

    /** What a recipe now says of a stop is no longer set there as well; places stay. */
    default C leftToRecipe(FeatureKey of) {
        Map<String, S> changed = new TreeMap<>(stops());
        for (String key : List.of(of.ofAllCopies().text(), of.text())) {
            changed.computeIfPresent(
                    key,
                    (k, set) -> {
                        S places = set.ofPlace();
                        return places.isNothing() ? null : places;
                    });
        }
        return with(new Decisions<>(run(), changed, recipes(), given()));
    }
}
