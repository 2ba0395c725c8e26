package dev.oleander.web.library;

import dev.oleander.web.job.ShopWireRecipe;
import dev.oleander.work.wire.plan.EntryChoice;
import dev.oleander.work.wire.plan.PassChoice;
import dev.oleander.work.wire.plan.SlugChoice;
import dev.oleander.work.wire.plan.TaperChoice;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireRecipe;
import java.util.ArrayList;
import java.util.List;

/**
 * A recipe for the wire as its page shows it.
 *
 * @param says what it decides, in words
 * @param use for what it is
 */
public record WireRecipeRow(String name, List<String> says, String use, String changedBy) {

    static WireRecipeRow of(ShopWireRecipe kept) {
        WireRecipe recipe = kept.recipe();
        String use =
                recipe.kind() == null
                        ? "given by hand"
                        : "for every %s".formatted(recipe.kind().label());
        List<String> says = says(recipe.choice());
        if (recipe.order() != null) {
            says.add("order " + recipe.order().label());
        }
        return new WireRecipeRow(kept.name(), says, use, kept.changedByName());
    }

    private static List<String> says(WireChoice choice) {
        List<String> says = new ArrayList<>();
        passes(says, choice.passes());
        entry(says, choice.entry());
        slug(says, choice.slug());
        flanks(says, choice.taper());
        return says;
    }

    private static void passes(List<String> says, PassChoice passes) {
        if (passes.finish() != null) {
            says.add("finish " + passes.finish());
        }
        RecipeRow.add(says, "passes", passes.count(), "");
        either(says, passes.alternate(), "skims to and fro", "skims one way");
        if (passes.compensation() != null) {
            says.add("offset " + passes.compensation().label());
        }
    }

    private static void entry(List<String> says, EntryChoice entry) {
        either(says, entry.anticlockwise(), "anticlockwise", "clockwise");
        if (entry.lead() != null) {
            says.add("lead " + entry.lead().label());
        }
        RecipeRow.add(says, "lead length", entry.leadLength(), " mm");
        RecipeRow.add(says, "overlap", entry.overlap(), " mm");
        RecipeRow.add(says, "off between passes", entry.backOff(), " mm");
    }

    private static void slug(List<String> says, SlugChoice slug) {
        if (slug.handling() != null) {
            says.add(slug.handling().label());
        }
        RecipeRow.add(says, "hold", slug.hold(), " mm");
        RecipeRow.add(says, "holds", slug.count(), "");
        if (slug.stop() != null) {
            says.add("the machine waits " + slug.stop().label());
        }
        either(says, slug.reversed(), "cut-off backwards", "cut-off forwards");
        either(says, slug.offSkims(), "skims after the cut-off", "no skims after the cut-off");
        RecipeRow.add(says, "step of rings", slug.step(), "");
    }

    private static void flanks(List<String> says, TaperChoice taper) {
        RecipeRow.add(says, "taper", taper.angle(), "°");
        if (taper.corners() != null) {
            says.add("corners " + taper.corners().label());
        }
        RecipeRow.add(says, "land", taper.land(), " mm");
    }

    private static void either(List<String> says, Boolean value, String yes, String no) {
        if (value != null) {
            says.add(value ? yes : no);
        }
    }
}
