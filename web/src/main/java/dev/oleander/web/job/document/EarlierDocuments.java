package dev.oleander.web.job.document;

import dev.oleander.plan.Recipe;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Documents as earlier versions kept them. Steps and releases are never changed, so they are
 * carried over whenever they are read.
 */
final class EarlierDocuments {

    private static final List<String> OF_THE_RUN = List.of("sequence", "pins", "events");

    private EarlierDocuments() {}

    /** The same document in the present form. */
    static ObjectNode presentForm(ObjectNode document) {
        ObjectNode byKind = isSideBySide(document) ? byKind(document) : document;
        return hasRecipes(byKind) ? withRecipes(byKind) : byKind;
    }

    /** Whether the choices for sheets and those for the wire stood side by side. */
    static boolean isSideBySide(JsonNode document) {
        return document.has("order") && document.has("plan");
    }

    /** Whether there are recipes of before those of all kinds of work were alike. */
    static boolean hasRecipes(JsonNode document) {
        for (JsonNode choices : document.path("work")) {
            for (JsonNode recipe : choices.path("recipes")) {
                if (recipe.has("kind") || !recipe.has("order")) {
                    return true;
                }
            }
        }
        return false;
    }

    /**
     * Recipes for the wire had a kind where all have a rule now; kinds had the names of constants.
     */
    private static ObjectNode withRecipes(ObjectNode document) {
        ObjectNode present = document.deepCopy();
        for (JsonNode choices : present.path("work")) {
            for (JsonNode recipe : choices.path("recipes")) {
                if (recipe.has("kind")) {
                    ruleOfKind((ObjectNode) recipe);
                } else if (recipe.path("rule").isObject()) {
                    ObjectNode rule = (ObjectNode) recipe.get("rule");
                    rule.put("kind", kind(rule.path("kind").asString("")));
                }
            }
        }
        return present;
    }

    private static void ruleOfKind(ObjectNode recipe) {
        String kind = recipe.remove("kind").asString("");
        recipe.putObject("rule").put("kind", kind(kind));
        recipe.put("order", camelCase(recipe.path("order").asString("")));
    }

    private static String kind(String name) {
        return name.equals("ANY") ? Recipe.Rule.ANYTHING : name.toLowerCase(Locale.ROOT);
    }

    /**
     * The plan of sheets and the wire stood side by side; pins and events were those of the plan
     * for both, each had its own order.
     */
    private static ObjectNode byKind(ObjectNode document) {
        ObjectNode present = document.deepCopy();
        JsonNode plan = present.remove("plan");
        JsonNode wire = present.remove("wire");
        ObjectNode work = present.putObject("work");
        ObjectNode sheet = (ObjectNode) plan.deepCopy();
        sheet.set("run", run(plan, plan));
        // what was usual is not said any more
        if (sheet.path("run").path("rule").asString("").equals("partByPart")) {
            ((ObjectNode) sheet.get("run")).put("rule", "");
        }
        OF_THE_RUN.forEach(sheet::remove);
        sheet.remove("order");
        work.set("sheet", sheet);
        boolean decided = wire != null && wire.isObject();
        if (decided || hasOwn(plan)) {
            ObjectNode ofWire =
                    decided ? (ObjectNode) wire.deepCopy() : JsonMapper.shared().createObjectNode();
            ofWire.set("run", run(ofWire, plan));
            ofWire.remove("order");
            ofWire.remove("sequence");
            work.set("wire", ofWire);
        }
        return present;
    }

    private static boolean hasOwn(JsonNode plan) {
        return !plan.path("pins").isEmpty() || !plan.path("events").isEmpty();
    }

    private static ObjectNode run(JsonNode order, JsonNode shared) {
        ObjectNode run = JsonMapper.shared().createObjectNode();
        String rule = order.path("order").asString("");
        // an order by hand is one with a sequence
        run.put("rule", rule.equals("BY_HAND") ? "" : camelCase(rule));
        copy(order, "sequence", run);
        copy(shared, "pins", run);
        copy(shared, "events", run);
        return run;
    }

    private static void copy(JsonNode from, String name, ObjectNode to) {
        if (from.hasNonNull(name)) {
            to.set(name, from.get(name).deepCopy());
        }
    }

    /** PART_BY_PART is partByPart. */
    private static String camelCase(String name) {
        StringBuilder word = new StringBuilder();
        for (String part : name.toLowerCase(Locale.ROOT).split("_")) {
            word.append(
                    word.isEmpty() || part.isEmpty()
                            ? part
                            : part.substring(0, 1).toUpperCase(Locale.ROOT) + part.substring(1));
        }
        return word.toString();
    }
}
