package dev.oleander.web.api;

import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.wire.WireChoices;
import dev.oleander.web.job.JobDocument;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.web.job.OrderField;
import dev.oleander.web.job.RefusedEditException;
import dev.oleander.web.job.ShopRecipes;
import dev.oleander.web.job.WireJobField;
import dev.oleander.web.job.WireRecipes;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Planning anew as a program asks for it: everything that is given holds, or is refused. */
@Component
class PlanPatch {

    private final ShopRecipes recipes;
    private final WireRecipes wireRecipes;

    PlanPatch(ShopRecipes recipes, WireRecipes wireRecipes) {
        this.recipes = recipes;
        this.wireRecipes = wireRecipes;
    }

    /**
     * @param request may be null: only forgets
     * @throws RefusedEditException naming what is not understood
     */
    JobDocument fresh(JobResult before, JsonNode request) {
        boolean wire = before.wireTask().isPresent();
        JobDocument fresh = forgotten(before.document(), wire);
        if (request == null || request.isNull()) {
            return fresh;
        }
        if (!request.isObject()) {
            throw new RefusedEditException("The body must be a JSON object.");
        }
        for (Map.Entry<String, JsonNode> entry : request.properties()) {
            if (!entry.getValue().isNull()) {
                fresh = given(fresh, wire, entry.getKey(), entry.getValue());
            }
        }
        return fresh;
    }

    /**
     * What belongs to the work as a whole stays: wire and sets, quality, recipes that came by rule.
     */
    private static JobDocument forgotten(JobDocument document, boolean wire) {
        if (wire) {
            WireChoices w = document.wire();
            return document.withWire(
                    WireChoices.NOTHING
                            .withWire(w.wire())
                            .withSets(w.clearance(), w.sets())
                            .withRound(w.round())
                            .withCalls(w.calls()));
        }
        return document.withPlan(PlanChoices.defaults());
    }

    private JobDocument given(JobDocument document, boolean wire, String name, JsonNode value) {
        if (!value.isValueNode()) {
            throw new RefusedEditException("%s must be a single value.".formatted(name));
        }
        String word = value.asString();
        return switch (name) {
            case "order" -> SheetPatch.ordered(document, wire, word);
            case "quality" ->
                    wire
                            ? document.withWire(WireJobField.FINISH.set(document.wire(), word))
                            : OrderField.QUALITY.set(document, word);
            case "recipe" -> withRecipe(document, wire, word);
            default ->
                    throw new RefusedEditException(
                            "A plan has no \"%s\" that can be given: order, quality and recipe."
                                    .formatted(name));
        };
    }

    private JobDocument withRecipe(JobDocument document, boolean wire, String name) {
        try {
            return wire
                    ? document.withWire(
                            WireRecipes.given(
                                    document.wire(), wireRecipes.require(name), List.of()))
                    : document.withPlan(document.plan().given(recipes.require(name), List.of()));
        } catch (NotFoundException unknown) {
            throw new RefusedEditException(unknown.getMessage());
        }
    }
}
