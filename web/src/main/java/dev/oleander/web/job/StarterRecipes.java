package dev.oleander.web.job;

import dev.oleander.plan.CornerForm;
import dev.oleander.plan.LeadChoice;
import dev.oleander.plan.LeadKind;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Kind;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.TabChoice;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.work.wire.plan.HoldStop;
import dev.oleander.work.wire.plan.SlugChoice;
import dev.oleander.work.wire.plan.SlugHandling;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireKind;
import dev.oleander.work.wire.plan.WireOrder;
import dev.oleander.work.wire.plan.WireRecipe;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Recipes that a new shop begins with, for every machine. None is taken up by new jobs without
 * being asked for.
 */
@Component
public class StarterRecipes {

    private static final String LASER = "laser";
    private static final String PLASMA = "plasma";
    private static final String WATERJET = "waterjet";

    private final ShopRecipes recipes;
    private final WireRecipes wireRecipes;

    StarterRecipes(ShopRecipes recipes, WireRecipes wireRecipes) {
        this.recipes = recipes;
        this.wireRecipes = wireRecipes;
    }

    /** A recipe and the process it is for; null: all. */
    private record Starter(String process, Recipe recipe) {}

    /** Keeps them, unless the shop has recipes already. */
    @Transactional
    public void makeIfNone(SignedIn who) {
        if (!recipes.all().isEmpty() || !wireRecipes.all().isEmpty()) {
            return;
        }
        sheets().forEach(s -> recipes.save(s.recipe(), s.process(), false, who));
        wires().forEach(r -> wireRecipes.save(r, who));
    }

    private static List<Starter> sheets() {
        return List.of(
                starter(
                        null,
                        "Two tabs on small parts",
                        new Rule(Kind.OUTLINE, null, 40.0),
                        StopChoice.NOTHING.withTabs(
                                new TabChoice(Typed.of(2), null, null, List.of()))),
                starter(
                        null,
                        "Holes closed with a longer over-run",
                        new Rule(Kind.HOLE, null, null),
                        StopChoice.NOTHING.withOverRun(Typed.of(1.5))),
                starter(
                        LASER,
                        "Film burnt off first",
                        new Rule(Kind.ANY, null, null),
                        StopChoice.NOTHING.withFilm(true)),
                starter(
                        LASER,
                        "Sharp corners through the scrap",
                        new Rule(Kind.OUTLINE, null, null),
                        StopChoice.NOTHING.withCorners(CornerForm.LOOP)),
                starter(
                        PLASMA,
                        "Outlines left on a straight lead-out",
                        new Rule(Kind.OUTLINE, null, null),
                        StopChoice.NOTHING.withLeadOut(
                                LeadChoice.NOTHING
                                        .withKind(LeadKind.LINE)
                                        .withLength(Typed.of(4)))),
                starter(
                        WATERJET,
                        "Thick soft stock in three passes",
                        new Rule(Kind.ANY, null, null),
                        StopChoice.NOTHING.withPasses(Typed.of(3))));
    }

    private static Starter starter(String process, String name, Rule rule, StopChoice choice) {
        return new Starter(process, new Recipe(name, rule, choice));
    }

    private static List<WireRecipe> wires() {
        return List.of(
                new WireRecipe(
                        "Die openings, held and cut off later",
                        WireKind.OPENING,
                        slug(SlugChoice.NOTHING.withHandling(SlugHandling.HOLD_LATER)),
                        WireOrder.UNATTENDED_FIRST),
                new WireRecipe(
                        "Punches, held and finished all round",
                        WireKind.PUNCH,
                        slug(
                                SlugChoice.NOTHING
                                        .withHandling(SlugHandling.HOLD_LATER)
                                        .withStop(HoldStop.ALWAYS)
                                        .withOffSkims(true)),
                        null),
                new WireRecipe(
                        "Small openings without a slug",
                        null,
                        slug(SlugChoice.NOTHING.withHandling(SlugHandling.CORELESS)),
                        null));
    }

    private static WireChoice slug(SlugChoice choice) {
        return WireChoice.NOTHING.withSlug(choice);
    }
}
