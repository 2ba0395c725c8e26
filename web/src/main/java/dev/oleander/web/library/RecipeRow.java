package dev.oleander.web.library;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Recipe;
import dev.oleander.quantity.Named;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Value;
import dev.oleander.web.job.recipe.ShopRecipe;
import dev.oleander.work.Work;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A recipe as its page shows it.
 *
 * @param says what it decides, in words
 * @param kind word of the kind of features it is for
 */
public record RecipeRow(
        String name,
        List<String> says,
        String kind,
        String over,
        String below,
        ShopRecipe.Use use,
        String changedBy,
        Instant changedAt) {

    static <C extends Choices<C, S>, S extends Choice<S>> RecipeRow of(
            Work<C, S> kind, ShopRecipe kept) {
        Recipe<S> recipe = kept.recipe(kind);
        return new RecipeRow(
                kept.name(),
                says(kind, recipe),
                recipe.rule().kind(),
                size(recipe.rule().over()),
                size(recipe.rule().below()),
                kept.use(),
                kept.changedByName(),
                kept.changedAt());
    }

    private static String size(Double value) {
        return value == null ? "" : Numbers.plain(value, 3);
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> List<String> says(
            Work<C, S> kind, Recipe<S> recipe) {
        List<String> says = new ArrayList<>();
        for (Value<S> value : kind.stopValues()) {
            value.sentence(recipe.choice()).ifPresent(says::add);
        }
        order(kind, recipe.order()).ifPresent(order -> says.add("order " + order.label()));
        return says;
    }

    private static Optional<? extends Named> order(Work<?, ?> kind, String word) {
        return kind.orders().stream().filter(order -> order.word().equals(word)).findFirst();
    }
}
