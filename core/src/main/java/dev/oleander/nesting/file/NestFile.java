package dev.oleander.nesting.file;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.Heads;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.nesting.choice.Loops;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads nesting tasks and writes results; mm and degrees, loops as x, y and bulge. */
public final class NestFile {

    private static final JsonMapper MAPPER = JsonMapper.shared();

    private NestFile() {}

    /**
     * @throws NestException when the text is no task
     */
    public static NestTask task(String text) {
        try {
            return task(MAPPER.readTree(text));
        } catch (JacksonException broken) {
            throw new NestException("The file is not JSON: " + broken.getOriginalMessage());
        }
    }

    private static NestTask task(JsonNode file) {
        Map<String, Region> shapes = new HashMap<>();
        for (JsonNode shape : file.path("shapes")) {
            String id = text(shape, "id");
            shapes.put(id, region(shape.path("outer"), shape.path("openings"), "shape " + id));
        }
        List<OrderLine> lines = new ArrayList<>();
        for (JsonNode line : file.path("lines")) {
            lines.add(line(line, shapes));
        }
        List<SheetStock> stock = new ArrayList<>();
        for (JsonNode sheet : file.path("sheets")) {
            stock.add(sheet(sheet));
        }
        return new NestTask(lines, stock, rules(file), locked(file.path("locked")));
    }

    private static NestRules rules(JsonNode file) {
        JsonNode remnant = file.path("remnant");
        Optional<NestRules.RemnantRule> rule =
                remnant.isObject()
                        ? Optional.of(
                                new NestRules.RemnantRule(
                                        number(remnant, "least"), number(remnant, "share")))
                        : Optional.empty();
        return new NestRules(
                number(file, "gap"),
                number(file, "margin"),
                file.path("partsInOpenings").asBoolean(true),
                rule,
                file.path("commonLines").isMissingNode()
                        ? Optional.empty()
                        : Optional.of(number(file, "commonLines")),
                heads(file.path("heads")));
    }

    private static Optional<Heads> heads(JsonNode heads) {
        return heads.isObject()
                ? Optional.of(
                        new Heads(
                                (int) number(heads, "count"),
                                heads.path("pitch").isNumber()
                                        ? Optional.of(number(heads, "pitch"))
                                        : Optional.empty(),
                                heads.path("least").asDouble(0),
                                heads.path("most").asDouble(Double.MAX_VALUE)))
                : Optional.empty();
    }

    private static OrderLine line(JsonNode line, Map<String, Region> shapes) {
        String id = text(line, "id");
        Region shape = shapes.get(text(line, "shape"));
        if (shape == null) {
            throw new NestException(
                    "Line %s: there is no shape %s.".formatted(id, line.get("shape")));
        }
        return new OrderLine(
                id,
                line.path("job").asString(""),
                shape,
                (int) number(line, "quantity"),
                line.path("priority").asInt(1),
                Optional.ofNullable(line.path("due").asString(null)).map(LocalDate::parse),
                line.path("fill").asBoolean(false),
                turns(line.path("turns"), id),
                line.path("mirror").asBoolean(false),
                line.path("gap").asDouble(0));
    }

    private static AllowedTurns turns(JsonNode turns, String line) {
        if (turns.isNumber()) {
            return new AllowedTurns(turns.asDouble());
        }
        return switch (turns.asString("any")) {
            case "fixed" -> AllowedTurns.FIXED;
            case "half" -> AllowedTurns.HALF;
            case "quarter" -> AllowedTurns.QUARTER;
            case "any" -> AllowedTurns.ANY;
            default ->
                    throw new NestException(
                            "Line %s: turns %s; known are fixed, half, quarter, any and a step in degrees."
                                    .formatted(line, turns));
        };
    }

    private static SheetStock sheet(JsonNode sheet) {
        String id = text(sheet, "id");
        Region region = region(sheet.path("outline"), sheet.path("holes"), "sheet " + id);
        JsonNode count = sheet.path("count");
        JsonNode grain = sheet.path("grain");
        return new SheetStock(
                id,
                region,
                count.isNumber() ? Optional.of(count.asInt()) : Optional.empty(),
                sheet.path("price").isNumber() ? sheet.get("price").asDouble() : region.area(),
                grain.isNumber() ? Optional.of(grain.asDouble()) : Optional.empty(),
                sheet.path("remnant").asBoolean(false));
    }

    private static List<NestedSheet> locked(JsonNode placements) {
        Map<String, List<NestPlacement>> sheets = new LinkedHashMap<>();
        for (JsonNode p : placements) {
            sheets.computeIfAbsent(text(p, "stock"), s -> new ArrayList<>())
                    .add(
                            new NestPlacement(
                                    text(p, "line"),
                                    new Point(number(p, "x"), number(p, "y")),
                                    p.path("angle").asDouble(0),
                                    p.path("mirrored").asBoolean(false),
                                    true));
        }
        List<NestedSheet> all = new ArrayList<>();
        sheets.forEach((stock, on) -> all.add(new NestedSheet(stock, on)));
        return all;
    }

    private static Region region(JsonNode outer, JsonNode holes, String what) {
        List<Loop> loops = new ArrayList<>();
        loops.add(loop(outer, what));
        for (JsonNode hole : holes) {
            loops.add(loop(hole, what));
        }
        return Loops.region(loops, what);
    }

    private static Loop loop(JsonNode loop, String what) {
        List<Double> numbers = new ArrayList<>();
        for (JsonNode vertex : loop) {
            for (int i = 0; i < 3; i++) {
                numbers.add(coordinate(vertex, i, what));
            }
        }
        return new Loop(numbers);
    }

    private static double coordinate(JsonNode vertex, int i, String what) {
        double value = vertex.path(i).asDouble(Double.NaN);
        if (!Double.isFinite(value)) {
            throw new NestException(
                    "The %s has a vertex that is not three numbers: %s.".formatted(what, vertex));
        }
        return value;
    }

    private static double number(JsonNode node, String field) {
        JsonNode value = node.path(field);
        if (!value.isNumber()) {
            throw new NestException("%s must be a number, not %s.".formatted(field, value));
        }
        return value.asDouble();
    }

    private static String text(JsonNode node, String field) {
        JsonNode value = node.path(field);
        if (!value.isString()) {
            throw new NestException("%s must be a text, not %s.".formatted(field, value));
        }
        return value.asString();
    }

    /**
     * @param name of the task
     */
    public static String result(Nest nest, String name, double seconds, long seed) {
        ObjectNode file = MAPPER.createObjectNode();
        file.put("case", name).put("seconds", seconds).put("seed", seed);
        file.put("rounds", nest.rounds()).put("explored", nest.explored());
        ArrayNode sheets = file.putArray("sheets");
        for (NestedSheet sheet : nest.sheets()) {
            ObjectNode one = sheets.addObject().put("stock", sheet.stock());
            if (sheet.stretch() != null) {
                one.putPOJO("stretch", sheet.stretch());
            }
            ArrayNode placements = one.putArray("placements");
            for (NestPlacement p : sheet.placements()) {
                placements
                        .addObject()
                        .put("line", p.line())
                        .put("x", p.at().x())
                        .put("y", p.at().y())
                        .put("angle", p.angle())
                        .put("mirrored", p.mirrored());
            }
        }
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }
}
