package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.work.router.operation.Depth;
import dev.oleander.work.router.operation.On;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.operation.Operation.Chamfer;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Follow;
import dev.oleander.work.router.operation.Operation.Groove;
import dev.oleander.work.router.operation.Operation.Hole;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Operation.Slot;
import dev.oleander.work.router.operation.Operation.Steps;
import dev.oleander.work.router.operation.Operation.What;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.ContourWay;
import dev.oleander.work.router.way.ToolWay.Heights;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Tasks of the files with known results. */
public final class RouterRequests {

    private RouterRequests() {}

    public static RouterTask task(Reading reading, JsonNode request) {
        List<Tool> tools = new ArrayList<>();
        request.get("tools").forEach(t -> tools.add(tool(t)));
        List<Operation> operations = new ArrayList<>();
        request.get("operations").forEach(o -> operations.add(operation(o)));
        JsonNode stock = request.get("stock");
        return new RouterTask(
                reading,
                box(reading, stock),
                stock.path("thickness").asDouble(stock.path("diameter").asDouble()),
                RouterTask.USUAL_OVER_CUT,
                Heights.USUAL,
                tools,
                CutSteps::usual,
                operations);
    }

    private static Box box(Reading reading, JsonNode stock) {
        return stock.has("width")
                ? Box.of(
                        Point.ORIGIN,
                        new Point(stock.get("length").asDouble(), stock.get("width").asDouble()))
                : reading.workBox().grown(20);
    }

    private static Tool tool(JsonNode t) {
        ToolKind kind =
                Arrays.stream(ToolKind.values())
                        .filter(k -> k.word().equals(t.get("kind").asString()))
                        .findFirst()
                        .orElseThrow();
        return new Tool(
                t.get("number").asInt(),
                "",
                new Tool.Form(
                        kind,
                        t.get("diameter").asDouble(),
                        t.path("tipDiameter").asDouble(0),
                        t.path("angle").asDouble(0),
                        t.path("cornerRadius").asDouble(0),
                        t.path("bladeWidth").asDouble(0)),
                new Tool.Edges(
                        t.get("flutes").asInt(),
                        t.get("fluteLength").asDouble(),
                        t.path("hand").asString("right").equals("left"),
                        t.path("deadDiameter").asDouble(0),
                        t.path("rampAngle").asDouble(5),
                        t.path("upCut").asDouble(0),
                        t.path("passDepth").asDouble(1)),
                new Tool.Shank(
                        t.get("shankDiameter").asDouble(), t.get("stickOut").asDouble(), true),
                new Tool.Limits(t.get("minSpeed").asDouble(), t.get("maxSpeed").asDouble(), 0));
    }

    static Operation operation(JsonNode o) {
        return new Operation(
                o.get("id").asString(),
                on(o.get("on")),
                o.has("tool") ? Optional.of(o.get("tool").asInt()) : Optional.empty(),
                Optional.ofNullable(o.at("/from/floorOf").asString(null)),
                turned(o.path("copies")),
                what(o));
    }

    private static Optional<Operation.Turned> turned(JsonNode copies) {
        return copies.has("rotary")
                ? Optional.of(
                        new Operation.Turned(
                                copies.get("rotary").asInt(), copies.path("start").asDouble(0)))
                : Optional.empty();
    }

    private static On on(JsonNode on) {
        List<String> contours = new ArrayList<>();
        on.path("contours").forEach(c -> contours.add(c.asString()));
        return new On(
                Optional.ofNullable(on.path("layer").asString(null)),
                contours,
                number(on.path("diameter")));
    }

    private static Optional<Double> number(JsonNode node) {
        return node.isNumber() ? Optional.of(node.asDouble()) : Optional.empty();
    }

    private static Depth depth(JsonNode depth) {
        return depth.asString("").equals("through")
                ? Depth.THROUGH
                : Depth.of(Double.parseDouble(depth.asString("0")));
    }

    private static Steps steps(JsonNode o) {
        return new Steps(number(o.path("stepDown")), 0);
    }

    private static What what(JsonNode o) {
        return switch (o.get("kind").asString()) {
            case "contour" ->
                    new Round(
                            depth(o.get("depth")),
                            Optional.ofNullable(o.path("side").asString(null))
                                    .map(s -> ContourWay.Side.valueOf(s.toUpperCase(Locale.ROOT))),
                            steps(o),
                            o.path("allowance").asDouble(0),
                            o.has("tabs") ? Optional.of(tabs(o.get("tabs"))) : Optional.empty(),
                            true);
            case "pocket", "rest" ->
                    new Clear(
                            depth(o.get("depth")),
                            steps(o),
                            number(o.path("stepOver")),
                            o.path("allowance").asDouble(0),
                            o.has("islands") ? Optional.of(on(o.get("islands"))) : Optional.empty(),
                            Optional.ofNullable(o.path("restOf").asString(null)),
                            true);
            case "drill" -> new Drill(depth(o.path("depth")), holes(o), number(o.path("peck")));
            case "bore" -> new Bore(depth(o.get("depth")), steps(o));
            case "follow" -> new Follow(depths(o), steps(o));
            case "slot" -> new Slot(depth(o.get("depth")), steps(o), true);
            case "groove" ->
                    new Groove(
                            depth(o.get("depth")),
                            number(o.path("width")),
                            o.path("ends").asString("open").equals("open"));
            case "carve" ->
                    new Carve(
                            number(o.path("floor")),
                            o.has("flatTool")
                                    ? Optional.of(o.get("flatTool").asInt())
                                    : Optional.empty());
            case "chamfer" -> new Chamfer(On.layer(o.at("/pair/rim").asString()), steps(o));
            case "face" -> new Face(depth(o.get("depth")), number(o.path("stepOver")), 0);
            default -> throw new IllegalArgumentException("kind of " + o);
        };
    }

    private static ContourWay.Tabs tabs(JsonNode t) {
        double width = t.get("width").asDouble();
        double height = t.get("height").asDouble();
        return t.has("count")
                ? ContourWay.Tabs.ofCount(t.get("count").asInt(), width, height)
                : ContourWay.Tabs.every(t.get("spacing").asDouble(), width, height);
    }

    private static List<Hole> holes(JsonNode o) {
        List<Hole> holes = new ArrayList<>();
        o.path("diameters")
                .forEach(
                        h ->
                                holes.add(
                                        new Hole(
                                                h.get("diameter").asDouble(),
                                                depth(h.get("depth")))));
        return holes;
    }

    private static List<Depth> depths(JsonNode o) {
        List<Depth> depths = new ArrayList<>();
        o.path("depths").forEach(d -> depths.add(Depth.of(d.asDouble())));
        if (depths.isEmpty()) {
            depths.add(depth(o.get("depth")));
        }
        return depths;
    }
}
