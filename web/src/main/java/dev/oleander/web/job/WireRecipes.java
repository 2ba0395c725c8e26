package dev.oleander.web.job;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.plan.Stop;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireChoices;
import dev.oleander.work.wire.plan.WireKind;
import dev.oleander.work.wire.plan.WireOrder;
import dev.oleander.work.wire.plan.WireRecipe;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The shop's recipes for the wire. Jobs keep their own copy, so that a change here changes no job.
 */
@Service
public class WireRecipes {

    private static final int LONGEST_NAME = 60;

    private final ShopWireRecipeRepository recipes;
    private final AccountRepository accounts;
    private final Clock clock;

    WireRecipes(ShopWireRecipeRepository recipes, AccountRepository accounts, Clock clock) {
        this.recipes = recipes;
        this.accounts = accounts;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<ShopWireRecipe> all() {
        return recipes.inOrder();
    }

    /**
     * @throws NotFoundException when there is none of the name
     */
    @Transactional(readOnly = true)
    public WireRecipe require(String name) {
        return find(name).recipe();
    }

    private ShopWireRecipe find(String name) {
        return recipes.findById(name)
                .orElseThrow(
                        () -> new NotFoundException("There is no recipe \"%s\".".formatted(name)));
    }

    /**
     * What is kept with the values of a stop.
     *
     * @param kind whether the recipe is for all of its kind; else it is given by hand only
     * @param order whether the order of the job's visits belongs to it
     */
    public record With(boolean kind, boolean order) {}

    private static WireOrder order(JobResult result) {
        WireOrder order = result.document().choices(WIRE).order();
        if (order == WireOrder.BY_HAND) {
            throw new RefusedEditException(
                    "An order by hand belongs to its job; a recipe keeps a rule of order.");
        }
        return order;
    }

    /**
     * Keeps how a stop is cut; one of the same name is replaced.
     *
     * @param with what is kept besides the values of the stop
     * @throws RefusedEditException when the name is not usable, or nothing is set
     */
    @Transactional
    public WireRecipe keep(
            JobResult result, String stopId, String wanted, With with, SignedIn who) {
        String name = wanted.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new RefusedEditException(
                    "A recipe's name must have from 1 to %d characters.".formatted(LONGEST_NAME));
        }
        Stop stop = result.stops().get(stopId);
        if (stop == null) {
            throw NotFoundException.stop(stopId);
        }
        WireChoice choice = set(result.document().choices(WIRE), stop).asRecipe();
        WireOrder order = with.order() ? order(result) : null;
        if (choice.isNothing() && order == null) {
            throw new RefusedEditException(
                    "Nothing is set here that a recipe could keep. Set it first.");
        }
        var settings =
                Wires.plan(result)
                        .orElseThrow()
                        .settings()
                        .get(Stop.id(stop.feature(), stop.copy()));
        WireKind kind = with.kind() && settings != null ? settings.kind() : null;
        WireRecipe recipe = new WireRecipe(name, kind, choice, order);
        save(recipe, who);
        return recipe;
    }

    /** Keeps a recipe; one of the same name is replaced. */
    @Transactional
    public void save(WireRecipe recipe, SignedIn who) {
        String name = recipe.name();
        ShopWireRecipe kept = recipes.findById(name).orElseGet(() -> new ShopWireRecipe(name));
        kept.set(recipe, accounts.getReferenceById(who.id()), clock.instant());
        recipes.save(kept);
    }

    @Transactional
    public void delete(String name) {
        recipes.delete(find(name));
    }

    private static WireChoice set(WireChoices choices, Stop stop) {
        WireChoice all = choices.stops().getOrDefault(stop.feature(), WireChoice.NOTHING);
        return choices.stops()
                .getOrDefault(Stop.id(stop.feature(), stop.copy()), WireChoice.NOTHING)
                .over(all);
    }

    /** The choices with a recipe taken up and given to features. */
    public static WireChoices given(WireChoices choices, WireRecipe recipe, List<String> features) {
        List<WireRecipe> all = new ArrayList<>(choices.recipes());
        all.removeIf(r -> r.name().equals(recipe.name()));
        all.add(recipe);
        Map<String, String> given = new TreeMap<>(choices.given());
        features.forEach(f -> given.put(f, recipe.name()));
        WireChoices changed = choices.withRecipes(all, given);
        return recipe.order() == null ? changed : changed.withOrder(recipe.order());
    }

    /** The choices without a recipe. */
    public static WireChoices without(WireChoices choices, String name) {
        List<WireRecipe> left =
                choices.recipes().stream().filter(r -> !r.name().equals(name)).toList();
        Map<String, String> given = new TreeMap<>(choices.given());
        given.values().removeIf(name::equals);
        return choices.withRecipes(left, given);
    }

    /** What a recipe now says of a stop is no longer set there as well; places stay. */
    public static WireChoices taken(WireChoices choices, Stop stop) {
        WireChoices changed = choices;
        for (String key : List.of(stop.feature(), Stop.id(stop.feature(), stop.copy()))) {
            WireChoice set = changed.stops().getOrDefault(key, WireChoice.NOTHING);
            changed = changed.withStop(key, set.places());
        }
        return changed;
    }
}
