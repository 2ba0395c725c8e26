package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.ShopWireRecipe;
import dev.oleander.work.wire.plan.WireChoices;
import dev.oleander.work.wire.plan.WireRecipe;
import java.util.List;

/** Recipes for the wire, of a job and of the shop. */
public final class WireRecipeSlip {

    private final WireChoices choices;
    private final List<ShopWireRecipe> shop;
    private final EditError error;

    WireRecipeSlip(JobResult result, List<ShopWireRecipe> shop, EditError error) {
        this.choices = result.document().choices(WIRE);
        this.shop = List.copyOf(shop);
        this.error = error;
    }

    /** A recipe of the job, and what it is for in words. */
    public record Row(String name, String rule) {}

    public List<Row> ofJob() {
        return choices.recipes().stream().map(r -> new Row(r.name(), rule(r))).toList();
    }

    private String rule(WireRecipe recipe) {
        long given = choices.given().values().stream().filter(recipe.name()::equals).count();
        String kind = recipe.kind() == null ? "" : "every " + recipe.kind().label();
        String hand = given == 0 ? "" : "given to " + given;
        return kind.isEmpty() || hand.isEmpty() ? kind + hand : kind + ", " + hand;
    }

    /** Names of the shop's recipes. */
    public List<String> toGive() {
        return shop.stream().map(ShopWireRecipe::name).toList();
    }

    public String error() {
        return error.field().equals("recipe") ? error.sentence() : "";
    }
}
