package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ToolWay.Heights;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tasks of the files with known results. */
public final class RouterRequests {

    private static final JsonMapper MAPPER = JsonMapper.shared();

    private RouterRequests() {}

    public static RouterTask task(Reading reading, JsonNode request) {
        JsonNode stock = request.get("stock");
        double thickness = stock.path("thickness").asDouble(stock.path("diameter").asDouble());
        Box box = box(reading, stock);
        List<Tool> tools = new ArrayList<>();
        request.get("tools").forEach(t -> tools.add(MAPPER.treeToValue(t, FlatTool.class).tool()));
        List<Operation> operations = new ArrayList<>();
        for (JsonNode o : request.get("operations")) {
            Wish wish = MAPPER.treeToValue(o, Wish.class);
            Optional<Tool> tool =
                    tools.stream()
                            .filter(t -> Integer.valueOf(t.number()).equals(wish.tool()))
                            .findFirst();
            operations.add(wish.operation(Wish.names(thickness, box.width(), box.height(), tool)));
        }
        return new RouterTask(
                reading,
                box,
                thickness,
                RouterTask.USUAL_OVER_CUT,
                Heights.USUAL,
                round(stock),
                tools,
                CutSteps::usual,
                operations);
    }

    private static Optional<RoundStock> round(JsonNode stock) {
        if (!stock.has("diameter")) {
            return Optional.empty();
        }
        JsonNode centre = stock.path("centre");
        Point middle = new Point(centre.path(0).asDouble(0), centre.path(1).asDouble(0));
        return Optional.of(new RoundStock(stock.get("diameter").asDouble() / 2, middle));
    }

    private static Box box(Reading reading, JsonNode stock) {
        return stock.has("width")
                ? Box.of(
                        Point.ORIGIN,
                        new Point(stock.get("length").asDouble(), stock.get("width").asDouble()))
                : reading.workBox().grown(20);
    }
}
