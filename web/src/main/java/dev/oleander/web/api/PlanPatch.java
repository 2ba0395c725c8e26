package dev.oleander.web.api;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Recipe;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.recipe.ShopRecipes;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Planning anew as a program asks for it: everything that is given holds, or is refused. */
@Component
class PlanPatch {

    private final ShopRecipes recipes;

    PlanPatch(ShopRecipes recipes) {
        this.recipes = recipes;
    }

    /**
     * @param request may be null: only forgets
     * @throws RefusedEditException naming what is not understood
     */
    JobDocument fresh(JobResult before, JsonNode request) {
        Work<?, ?> kind = before.kind();
        JobDocument fresh = forgotten(before.document(), kind);
        if (request == null || request.isNull()) {
            return fresh;
        }
        if (!request.isObject()) {
            throw new RefusedEditException("The body must be a JSON object.");
        }
        for (Map.Entry<String, JsonNode> entry : request.properties()) {
            if (!entry.getValue().isNull()) {
                fresh = given(fresh, kind, entry.getKey(), entry.getValue());
            }
        }
        return fresh;
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> JobDocument forgotten(
            JobDocument document, Work<C, S> kind) {
        return document.changed(kind, kind::forgotten);
    }

    private <C extends Choices<C, S>, S extends Choice<S>> JobDocument given(
            JobDocument document, Work<C, S> kind, String name, JsonNode value) {
        if (!value.isValueNode()) {
            throw new RefusedEditException("%s must be a single value.".formatted(name));
        }
        String word = value.asString();
        return switch (name) {
            case "order" -> Orders.by(document, kind, word);
            case "quality" -> document.changed(kind, c -> kind.withData(c, word));
            case "recipe" -> withRecipe(document, kind, word);
            default ->
                    throw new RefusedEditException(
                            "A plan has no \"%s\" that can be given: order, quality and recipe."
                                    .formatted(name));
        };
    }

    private <C extends Choices<C, S>, S extends Choice<S>> JobDocument withRecipe(
            JobDocument document, Work<C, S> kind, String name) {
        try {
            Recipe<S> recipe = recipes.require(kind, name);
            return document.changed(kind, c -> c.given(recipe, List.of()));
        } catch (NotFoundException unknown) {
            throw new RefusedEditException(unknown.getMessage());
        }
    }
}
