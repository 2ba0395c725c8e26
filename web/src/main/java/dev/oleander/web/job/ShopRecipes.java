package dev.oleander.web.job;

import dev.oleander.plan.Recipe;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The recipes of the shop. Jobs keep their own copy, so that a change here changes no job. */
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

    @Transactional(readOnly = true)
    public List<ShopRecipe> all() {
        return recipes.inOrder();
    }

    /** Those that can be used with a process, in the order of their names. */
    @Transactional(readOnly = true)
    public List<Recipe> of(String process) {
        return recipes.inOrder().stream()
                .filter(r -> r.isFor(process))
                .map(ShopRecipe::recipe)
                .toList();
    }

    /** Those that new jobs take up. */
    @Transactional(readOnly = true)
    public List<Recipe> automatic(String process) {
        return recipes.inOrder().stream()
                .filter(r -> r.automatic() && r.isFor(process))
                .map(ShopRecipe::recipe)
                .toList();
    }

    /**
     * @throws NotFoundException when there is none of the name
     */
    @Transactional(readOnly = true)
    public Recipe require(String name) {
        return find(name).recipe();
    }

    private ShopRecipe find(String name) {
        return recipes.findById(name)
                .orElseThrow(
                        () -> new NotFoundException("There is no recipe \"%s\".".formatted(name)));
    }

    /**
     * Keeps a recipe; one of the same name is replaced.
     *
     * @param process laser, plasma or waterjet; null for all
     * @throws RefusedEditException when its name or its rule is not usable
     */
    @Transactional
    public void save(Recipe recipe, String process, boolean automatic, SignedIn who) {
        String name = recipe.name().strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new RefusedEditException(
                    "A recipe's name must have from 1 to %d characters.".formatted(LONGEST_NAME));
        }
        if (recipe.choice().isNothing()) {
            throw new RefusedEditException(
                    "Nothing is set here that a recipe could keep. Set it first.");
        }
        requireRule(recipe.rule(), automatic);
        ShopRecipe kept = recipes.findById(name).orElseGet(() -> new ShopRecipe(name));
        kept.set(recipe, process, automatic, accounts.getReferenceById(who.id()), clock.instant());
        recipes.save(kept);
    }

    private static void requireRule(Recipe.Rule rule, boolean automatic) {
        if (rule == null) {
            if (automatic) {
                throw new RefusedEditException(
                        "A recipe for new jobs needs a rule that says which features it is for.");
            }
            return;
        }
        if (rule.over() != null && rule.below() != null && rule.over() >= rule.below()) {
            throw new RefusedEditException(
                    "From %s to below %s mm fits nothing: the first must be the smaller one."
                            .formatted(rule.over(), rule.below()));
        }
    }

    /** Changes when it is used, not what it says. */
    @Transactional
    public void rule(
            String name, Recipe.Rule rule, String process, boolean automatic, SignedIn who) {
        Recipe known = require(name);
        save(new Recipe(name, rule, known.choice()), process, automatic, who);
    }

    @Transactional
    public void delete(String name) {
        recipes.delete(find(name));
    }
}
