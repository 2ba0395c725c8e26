package dev.oleander.work.router.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.book.CutDataException;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.progress.Progress;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.way.Leg;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Operations on made-up parts of the yard against figures that were worked out by other code. */
class RouterPlannerTest {

    private static JsonNode truth(String name) {
        byte[] bytes = Samples.bytes("router/" + name + ".truth.json");
        return JsonMapper.shared().readTree(new String(bytes, StandardCharsets.UTF_8));
    }

    private static List<RouterStop> plan(RouterTask task) {
        return RouterPlanner.plan(task, Progress.NONE);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "instrument_panel",
                "hatch_boards",
                "sole_board",
                "jar_rack",
                "drain_board",
                "hatch_bevel",
                "name_board_star",
                "capstan_rim"
            })
    void figuresAreThoseOfOtherCode(String name) {
        JsonNode truth = truth(name);
        Reading reading = Samples.reading("router/" + name);
        RouterTask task = RouterRequests.task(reading, truth.get("request"));
        List<RouterStop> stops = plan(task);
        assertThat(stops).allSatisfy(s -> assertThat(s.refusal()).as(s.id()).isEmpty());
        Map<String, List<RouterStop>> byOperation =
                stops.stream()
                        .collect(
                                Collectors.groupingBy(
                                        RouterStop::operation,
                                        LinkedHashMap::new,
                                        Collectors.toList()));
        byOperation.forEach(
                (id, of) -> new Figures(task, id, of, truth.at("/figures/" + id)).check());
        JsonNode least = truth.at("/totals/leastToolChanges");
        if (least.isNumber()) {
            assertThat(RouterOrder.toolChanges(stops)).isLessThanOrEqualTo(least.asInt());
        }
        points(task, stops, truth);
    }

    private static void points(RouterTask task, List<RouterStop> stops, JsonNode truth) {
        Depths depths = new Depths(stops.stream().map(RouterStop::cutting).toList());
        for (JsonNode point : truth.get("points")) {
            String of = point.path("operation").asString("");
            if (!of.isEmpty() && stops.stream().noneMatch(s -> s.operation().equals(of))) {
                continue;
            }
            Point at = new Point(point.at("/at/0").asDouble(), point.at("/at/1").asDouble());
            double depth = Math.min(task.thickness(), depths.at(at).depth());
            assertThat(depth)
                    .as("%s, %s", point, of)
                    .isCloseTo(
                            Math.min(task.thickness(), point.get("depth").asDouble()),
                            within(point.get("tol").asDouble()));
        }
    }

    /** What is told of the stops of one operation. */
    private record Figures(RouterTask task, String id, List<RouterStop> stops, JsonNode truth) {

        void check() {
            double n = truth.at("/features/value").asDouble(1);
            near("area", n, stops.stream().mapToDouble(s -> s.figures().area()).sum());
            near(
                    "reachableArea",
                    n,
                    stops.stream().mapToDouble(s -> s.figures().reachable()).sum());
            near("restArea", n, stops.stream().mapToDouble(s -> s.figures().rest()).sum());
            assertThat(stops.stream().mapToDouble(s -> s.figures().between()).sum())
                    .isLessThan(0.02);
            if (truth.has("tabs")) {
                assertThat(stops.stream().mapToInt(s -> s.figures().tabs()).sum())
                        .as(id + " tabs")
                        .isEqualTo(truth.at("/tabs/value").asInt());
            }
            levels();
            holes();
            if (truth.has("lowestTip")) {
                double lowest =
                        stops.stream()
                                .flatMap(s -> s.legs().stream())
                                .mapToDouble(Leg::lowest)
                                .min()
                                .orElseThrow();
                near("lowestTip", 1, lowest);
            }
            if (truth.has("turns")) {
                assertThat(stops).hasSize(1);
                List<Double> turns = stops.get(0).turns();
                assertThat(turns).hasSize(truth.get("turns").size());
                for (int i = 0; i < turns.size(); i++) {
                    assertThat(turns.get(i))
                            .isCloseTo(truth.get("turns").get(i).asDouble(), within(0.001));
                }
                return;
            }
            ways();
            boolean flat = stops.stream().allMatch(s -> s.tool().orElseThrow().kind().isFlat());
            if (flat) {
                near("removedVolume", n, volume());
            }
        }

        /** Of grooves, and of the tip along a slope. */
        private void ways() {
            int each = truth.at("/ways/value").asInt(0);
            if (each > 0) {
                assertThat(stops).hasSize(truth.at("/count/value").asInt());
                for (RouterStop stop : stops) {
                    assertThat(stop.legs().stream().filter(l -> l.pace() == Leg.Pace.CUT))
                            .hasSize(each);
                    assertThat(stop.legs().stream().filter(l -> l.pace() == Leg.Pace.CUT))
                            .allSatisfy(
                                    l ->
                                            assertThat(l.length())
                                                    .isCloseTo(
                                                            truth.at("/fullDepthLength/value")
                                                                    .asDouble(),
                                                            within(0.01)));
                }
            }
            for (JsonNode tip : truth.path("tipDepths")) {
                Point at = new Point(tip.at("/at/0").asDouble(), tip.at("/at/1").asDouble());
                assertThat(tip(at))
                        .as("%s %s", id, tip)
                        .isCloseTo(tip.get("depth").asDouble(), within(0.01));
            }
        }

        /** Depth of the tip where it passes a place. */
        private double tip(Point at) {
            double depth = 0;
            double least = Double.POSITIVE_INFINITY;
            for (RouterStop stop : stops) {
                for (Leg leg : stop.cutting().legs()) {
                    if (leg.segment().isEmpty()) {
                        continue;
                    }
                    double t = leg.segment().get().nearest(at);
                    double off = leg.segment().get().at(t).distance(at);
                    if (off < least) {
                        least = off;
                        depth = -leg.fromZ() - t * (leg.toZ() - leg.fromZ());
                    }
                }
            }
            assertThat(least).isLessThan(0.01);
            return depth;
        }

        private void near(String field, double times, double value) {
            JsonNode figure = truth.path(field);
            if (figure.has("value")) {
                double each = figure.path("each").asBoolean(false) ? times : 1;
                assertThat(value)
                        .as("%s %s", id, field)
                        .isCloseTo(
                                each * figure.get("value").asDouble(),
                                within(each * figure.get("tol").asDouble()));
            }
        }

        private void levels() {
            JsonNode least = truth.at("/levels/least");
            if (least.isNumber()) {
                int most = stops.stream().mapToInt(s -> s.levels().size()).max().orElseThrow();
                assertThat(most).as(id + " levels").isEqualTo(least.asInt());
            }
            JsonNode first = truth.at("/levels/first/least");
            if (first.isNumber()) {
                assertThat(stops.get(0).levels().get(0))
                        .isGreaterThanOrEqualTo(first.asDouble() - 1e-6);
            }
        }

        private void holes() {
            for (JsonNode hole : truth.path("holes")) {
                int count = hole.get("count").asInt();
                boolean together =
                        stops.stream().anyMatch(s -> s.figures().visits().size() == count);
                assertThat(together || stops.size() == count).as("%s %s", id, hole).isTrue();
            }
            if (truth.has("stops")) {
                assertThat(stops).hasSize(truth.at("/stops/value").asInt());
            }
            if (truth.has("leastTravel")) {
                for (RouterStop stop : stops) {
                    List<Point> visits = stop.figures().visits();
                    double way = 0;
                    for (int i = 1; i < visits.size(); i++) {
                        way += visits.get(i - 1).distance(visits.get(i));
                    }
                    assertThat(way)
                            .isLessThanOrEqualTo(1.02 * truth.at("/leastTravel/value").asDouble());
                }
            }
        }

        /** Within the stock. */
        private double volume() {
            List<Cutting> cuttings = stops.stream().map(RouterStop::cutting).toList();
            Region stock = new Region(Contour.rectangle(task.stock()), List.of());
            return new Removed(cuttings).volume(stock, task.thickness());
        }
    }

    @Test
    void whatCannotBeIsSaidWithItsFigures() {
        Reading reading = Samples.reading("router/instrument_panel");
        JsonNode all = truth("refusals");
        int told = 0;
        for (JsonNode one : all.get("cases")) {
            ObjectNode request = JsonMapper.shared().createObjectNode();
            request.putObject("stock").put("thickness", 12);
            request.set("tools", one.get("tools"));
            request.set("operations", one.get("operations"));
            if (one.get("refused").asString().equals("request")) {
                assertThatThrownBy(() -> RouterRequests.task(reading, request))
                        .isInstanceOf(CutDataException.class)
                        .hasMessageContaining(one.at("/sentenceNames/0").asString());
                told++;
                continue;
            }
            List<RouterStop> stops = plan(RouterRequests.task(reading, request));
            assertThat(stops).isNotEmpty();
            for (RouterStop stop : stops) {
                assertThat(stop.refusal()).as("%s", one).isPresent();
                for (JsonNode word : one.get("sentenceNames")) {
                    assertThat(stop.refusal().get()).contains(word.asString());
                }
            }
            told++;
        }
        assertThat(told).isEqualTo(9);
    }
}
