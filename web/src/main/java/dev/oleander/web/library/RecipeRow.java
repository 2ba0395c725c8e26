package dev.oleander.web.library;

import dev.oleander.plan.LeadChoice;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.TabChoice;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.ShopRecipe;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * A recipe as its page shows it.
 *
 * @param says what it decides, in words
 */
public record RecipeRow(
        String name,
        List<String> says,
        String kind,
        String over,
        String below,
        String process,
        boolean onNew,
        String changedBy,
        Instant changedAt) {

    static RecipeRow of(ShopRecipe kept) {
        Recipe recipe = kept.recipe();
        Recipe.Rule rule = recipe.rule();
        return new RecipeRow(
                kept.name(),
                says(recipe.choice()),
                rule == null ? "" : rule.kind().word(),
                rule == null ? "" : size(rule.over()),
                rule == null ? "" : size(rule.below()),
                kept.process() == null ? "" : kept.process(),
                kept.automatic(),
                kept.changedByName(),
                kept.changedAt());
    }

    private static String size(Double value) {
        return value == null ? "" : Numbers.plain(value, 3);
    }

    private static List<String> says(StopChoice choice) {
        List<String> says = new ArrayList<>();
        lead(says, "lead-in", choice.leadIn());
        lead(says, "lead-out", choice.leadOut());
        add(says, "over-run", choice.overRun(), " mm");
        if (choice.quality() != null) {
            says.add("cut data " + choice.quality());
        }
        tabs(says, choice.tabs());
        if (choice.corners() != null) {
            says.add("corners " + choice.corners().label());
        }
        add(says, "passes", choice.passes(), "");
        if (choice.compensation() != null) {
            says.add("offset " + choice.compensation().label());
        }
        if (choice.film() != null) {
            says.add(choice.film() ? "burns the film first" : "no film pass");
        }
        return says;
    }

    private static void lead(List<String> says, String what, LeadChoice lead) {
        if (lead.kind() != null) {
            says.add(what + " " + lead.kind().word());
        }
        add(says, what + " length", lead.length(), " mm");
        add(says, what + " radius", lead.radius(), " mm");
        add(says, what + " angle", lead.angle(), "°");
    }

    private static void tabs(List<String> says, TabChoice tabs) {
        add(says, "tabs", tabs.count(), "");
        add(says, "a tab every", tabs.spacing(), " mm");
        add(says, "tab length", tabs.length(), " mm");
    }

    static void add(List<String> says, String what, Typed value, String unit) {
        if (value != null) {
            says.add(what + " " + value.text() + unit);
        }
    }
}
