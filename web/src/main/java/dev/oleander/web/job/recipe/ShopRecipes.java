package dev.oleander.web.job.recipe;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Recipe;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.recipe.ShopRecipe.Use;
import dev.oleander.work.Work;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The recipes of the shop for every kind of work. Jobs keep their own copy, so that a change here
 * changes no job.
 */
@Service
public class ShopRecipes {

    private static final int LONGEST_NAME = 60;

    private final ShopRecipeRepository recipes;
    private final AccountRepository accounts;
    private final Clock clock;

    ShopRecipes(ShopRecipeRepository recipes, AccountRepository accounts, Clock clock) {
        this.recipes = recipes;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** By kind of work, then by name. */
    @Transactional(readOnly = true)
    public List<ShopRecipe> all() {
        return recipes.inOrder();
    }

    /** Those that can be used with a process, in the order of their names. */
    @Transactional(readOnly = true)
    public <C extends Choices<C, S>, S extends Choice<S>> List<Recipe<S>> of(
            Work<C, S> kind, String process) {
        return recipes.inOrder().stream()
                .filter(r -> r.isFor(kind, process))
                .map(r -> r.recipe(kind))
                .toList();
    }

    /** Those that new jobs take up. */
    @Transactional(readOnly = true)
    public <C extends Choices<C, S>, S extends Choice<S>> List<Recipe<S>> automatic(
            Work<C, S> kind, String process) {
        return recipes.inOrder().stream()
                .filter(r -> r.use().onNewJobs() && r.isFor(kind, process))
                .map(r -> r.recipe(kind))
                .toList();
    }

    /**
     * @throws NotFoundException when there is none of the name
     */
    @Transactional(readOnly = true)
    public <C extends Choices<C, S>, S extends Choice<S>> Recipe<S> require(
            Work<C, S> kind, String name) {
        return find(kind, name).recipe(kind);
    }

    private ShopRecipe find(Work<?, ?> kind, String name) {
        return recipes.findById(new ShopRecipe.Key(kind.word(), name))
                .orElseThrow(
                        () -> new NotFoundException("There is no recipe \"%s\".".formatted(name)));
    }

    /**
     * Keeps a recipe; one of the same name is replaced.
     *
     * @throws RefusedEditException when its name or its rule is not usable, or it says nothing
     */
    @Transactional
    public void save(Work<?, ?> kind, Recipe<?> recipe, Use use, SignedIn who) {
        String name = recipe.name();
        if (name.isBlank() || name.length() > LONGEST_NAME) {
            throw new RefusedEditException(
                    "A recipe's name must have from 1 to %d characters.".formatted(LONGEST_NAME));
        }
        if (recipe.choice().isNothing() && recipe.order().isEmpty()) {
            throw new RefusedEditException(
                    "Nothing is set here that a recipe could keep. Set it first.");
        }
        requireRule(recipe.rule(), use);
        ShopRecipe.Key key = new ShopRecipe.Key(kind.word(), name);
        ShopRecipe kept = recipes.findById(key).orElseGet(() -> new ShopRecipe(key));
        kept.set(recipe, use, accounts.getReferenceById(who.id()), clock.instant());
        recipes.save(kept);
    }

    private static void requireRule(Recipe.Rule rule, Use use) {
        if (rule.equals(Recipe.Rule.BY_HAND) && use.onNewJobs()) {
            throw new RefusedEditException(
                    "A recipe for new jobs needs a rule that says which features it is for.");
        }
        if (rule.over() != null && rule.below() != null && rule.over() >= rule.below()) {
            throw new RefusedEditException(
                    "From %s to below %s mm fits nothing: the first must be the smaller one."
                            .formatted(rule.over(), rule.below()));
        }
    }

    /** Changes when it is used, not what it says. */
    @Transactional
    public <C extends Choices<C, S>, S extends Choice<S>> void rule(
            Work<C, S> kind, String name, Recipe.Rule rule, Use use, SignedIn who) {
        Recipe<S> known = require(kind, name);
        save(kind, new Recipe<>(name, rule, known.choice(), known.order()), use, who);
    }

    @Transactional
    public void delete(Work<?, ?> kind, String name) {
        recipes.delete(find(kind, name));
    }
}
