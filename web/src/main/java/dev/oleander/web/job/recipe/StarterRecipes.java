package dev.oleander.web.job.recipe;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.web.account.SignedIn;
import dev.oleander.work.Kinds;
import dev.oleander.work.Starter;
import dev.oleander.work.Work;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Recipes that a new shop begins with, for every machine. None is taken up by new jobs without
 * being asked for.
 */
@Component
public class StarterRecipes {

    private final ShopRecipes recipes;

    StarterRecipes(ShopRecipes recipes) {
        this.recipes = recipes;
    }

    /** Keeps them, unless the shop has recipes already. */
    @Transactional
    public void makeIfNone(SignedIn who) {
        if (recipes.all().isEmpty()) {
            Kinds.all().forEach(kind -> make(kind, who));
        }
    }

    private <C extends Choices<C, S>, S extends Choice<S>> void make(
            Work<C, S> kind, SignedIn who) {
        for (Starter<S> starter : kind.starters()) {
            ShopRecipe.Use use = new ShopRecipe.Use(starter.process(), false);
            recipes.save(kind, starter.recipe(), use, who);
        }
    }
}
