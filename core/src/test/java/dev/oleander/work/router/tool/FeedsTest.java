package dev.oleander.work.router.tool;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Figures that were worked out by other code. */
class FeedsTest {

    private final JsonNode truth =
            JsonMapper.shared()
                    .readTree(
                            new String(
                                    Samples.bytes("router/feeds.truth.json"),
                                    StandardCharsets.UTF_8));

    @TestFactory
    List<DynamicTest> figuresAreThoseOfOtherCode() {
        return truth.get("cases")
                .valueStream()
                .map(
                        c ->
                                DynamicTest.dynamicTest(
                                        c.get("given").toString(),
                                        () -> compare(c.get("given"), c.get("expected"))))
                .toList();
    }

    private static void compare(JsonNode given, JsonNode expected) {
        Tool tool = tool(given);
        Feeds feeds =
                Feeds.of(
                        tool,
                        new Feeds.Data(
                                given.get("cuttingSpeed").asDouble(),
                                given.get("chip").asDouble(),
                                given.path("chipLeast").asDouble(0),
                                given.get("chipMost").asDouble(),
                                given.get("plungeChip").asDouble(),
                                given.get("kc").asDouble()),
                        new Feeds.Cut(given.get("ap").asDouble(), given.get("ae").asDouble()),
                        0,
                        Double.POSITIVE_INFINITY);
        check(expected, "effectiveDiameter", feeds.effectiveDiameter());
        check(expected, "speed", feeds.speed());
        assertThat(feeds.clipped()).isEqualTo(expected.at("/speed/clipped").asBoolean());
        check(expected, "chipUsed", feeds.chip());
        check(expected, "feed", feeds.feed());
        check(expected, "plunge", feeds.plunge());
        check(expected, "ramp", feeds.ramp());
        check(expected, "force", feeds.force());
        check(expected, "power", feeds.power());
        if (expected.has("feedInRound")) {
            double inRound = feeds.inRound(given.get("innerRadius").asDouble(), tool.diameter());
            check(expected, "feedInRound", inRound);
        }
        if (expected.has("bending")) {
            check(expected, "bending", feeds.bending(tool));
        }
        if (expected.has("holds")) {
            double area = given.get("partArea").asDouble();
            double vacuum = given.get("vacuum").asDouble();
            var held = feeds.held(area, vacuum, given.get("friction").asDouble());
            assertThat(held.isPresent()).isEqualTo(expected.at("/holds/held").asBoolean());
            held.ifPresent(
                    force ->
                            assertThat(force)
                                    .isCloseTo(
                                            expected.at("/holds/force/value").asDouble(),
                                            within(0.5)));
        }
        double depth = given.get("depth").asDouble();
        double most = Math.min(given.get("stepDown").asDouble(), tool.passDepth());
        int least = expected.at("/levels/least").asInt();
        assertThat(Levels.equal(depth, most, 0)).hasSize(least);
        assertThat(Levels.full(depth, most, 0)).hasSize(least);
    }

    private static void check(JsonNode expected, String figure, double value) {
        JsonNode truth = expected.get(figure);
        assertThat(value)
                .as(figure)
                .isCloseTo(truth.get("value").asDouble(), within(truth.get("tol").asDouble()));
    }

    private static Tool tool(JsonNode given) {
        ToolKind kind =
                Arrays.stream(ToolKind.values())
                        .filter(k -> k.word().equals(given.get("kind").asString()))
                        .findFirst()
                        .orElseThrow();
        double diameter = given.get("diameter").asDouble();
        return new Tool(
                1,
                "",
                new Tool.Form(
                        kind,
                        diameter,
                        given.path("tipDiameter").asDouble(0),
                        given.path("angle").asDouble(0),
                        0,
                        0),
                new Tool.Edges(
                        given.get("flutes").asInt(),
                        3 * diameter,
                        false,
                        0,
                        given.path("rampAngle").asDouble(Tool.Edges.USUAL_RAMP),
                        0,
                        1),
                new Tool.Shank(diameter, given.path("stickOut").asDouble(4 * diameter), true),
                new Tool.Limits(
                        given.get("minSpeed").asDouble(), given.get("maxSpeed").asDouble(), 0));
    }
}
