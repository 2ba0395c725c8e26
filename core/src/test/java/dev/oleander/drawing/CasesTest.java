package dev.oleander.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.HoleGroup;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads drawings whose counts, lengths and areas were worked out independently. */
class CasesTest {

    /** Height of the pages, mm. */
    private static final Map<String, Double> PAGES =
            Map.of("name_board_lettering.svg", 250.0, "vent_louvre_panel.svg", 203.2);

    @ParameterizedTest
    @ValueSource(
            strings = {
                "bulkhead_penetration_plate",
                "cleat_backing_plate",
                "chain_stopper_pawl",
                "deck_hatch_panel",
                "fairlead_base_gaps",
                "flag_socket_islands",
                "name_board_lettering",
                "nav_light_bracket_blank",
                "porthole_trim_ring",
                "ramp_tread_plates",
                "rudder_hinge_plate",
                "sheave_cheek_plate",
                "vent_louvre_panel",
                "winch_drum_cheek"
            })
    void givesTheStatedFigures(String name) {
        JsonNode truth = JsonMapper.shared().readTree(Samples.bytes(name + ".truth.json"));
        Reading reading = read(name, truth);
        List<Feature> closed = reading.cut().filter(Feature::isClosed).toList();

        assertFigure(truth, "closed_contours", closed.size());
        assertFigure(truth, "outer_contours", count(closed, Feature.Kind.OUTLINE));
        assertFigure(truth, "holes", count(closed, Feature.Kind.OPENING));
        assertFigure(truth, "cut_length_mm", length(closed));
        assertFigure(truth, "kept_area_mm2", reading.keptArea());
        assertThat(reading.parts()).hasSize((int) count(closed, Feature.Kind.OUTLINE));
        assertDepths(truth, closed);
        assertBox(truth, reading);
        assertHoles(truth, reading);
        assertOpen(truth.get("open_chains"), reading);
        assertMarks(truth.get("etch"), reading);
    }

    private static Reading read(String name, JsonNode truth) {
        Drawing drawing = Samples.drawing(name);
        Map<String, Purpose> purposes = new HashMap<>();
        truth.get("layers")
                .properties()
                .forEach(
                        e -> {
                            String purpose = e.getValue().get("purpose").asString();
                            purposes.put(e.getKey(), purposeOf(purpose));
                        });
        return new DrawingReading(ReadOptions.defaults().withRules(PurposeRules.ofLayers(purposes)))
                .read(drawing);
    }

    private static Purpose purposeOf(String text) {
        return text.equals("etch") ? Purpose.MARK : Purpose.valueOf(text.toUpperCase());
    }

    private static double count(List<Feature> features, Feature.Kind kind) {
        return features.stream().filter(f -> f.kind() == kind).count();
    }

    private static double length(List<Feature> features) {
        return features.stream().mapToDouble(f -> f.chain().length()).sum();
    }

    private static void assertFigure(JsonNode truth, String field, double found) {
        JsonNode figure = truth.get(field);
        double tolerance = figure.get("tol").asDouble() + 1e-9;
        List<Double> right = new ArrayList<>();
        right.add(figure.get("value").asDouble());
        figure.path("also").forEach(n -> right.add(n.asDouble()));
        assertThat(right)
                .as("%s: %s", field, found)
                .anyMatch(r -> Math.abs(r - found) <= tolerance);
    }

    private static void assertDepths(JsonNode truth, List<Feature> closed) {
        JsonNode counts = truth.get("depth_counts");
        for (int depth = 0; depth < counts.size(); depth++) {
            int wanted = depth;
            assertThat(closed.stream().filter(f -> f.depth() == wanted))
                    .as("contours at depth %d", depth)
                    .hasSize(counts.get(depth).asInt());
        }
    }

    /** Figures of pages count y down from the top; here it counts up from the bottom. */
    private static void assertBox(JsonNode truth, Reading reading) {
        JsonNode box = truth.get("bbox_mm");
        double tolerance = box.get("tol").asDouble();
        double[] found = {
            reading.box().min().x(),
            reading.box().min().y(),
            reading.box().max().x(),
            reading.box().max().y()
        };
        double low = box.get("min").get(1).asDouble();
        double high = box.get("max").get(1).asDouble();
        Double page = PAGES.get(reading.drawing().name());
        double[] right = {
            box.get("min").get(0).asDouble(),
            page == null ? low : page - high,
            box.get("max").get(0).asDouble(),
            page == null ? high : page - low
        };
        assertThat(found).containsExactly(right, org.assertj.core.data.Offset.offset(tolerance));
    }

    private static void assertHoles(JsonNode truth, Reading reading) {
        JsonNode circles = truth.get("hole_circles");
        double tolerance = circles.get("tol").asDouble();
        int optional = 0;
        for (JsonNode circle : truth.path("optional_circles").path("list")) {
            optional += circle.get("count").asInt();
        }
        int missing = 0;
        for (JsonNode circle : circles.get("list")) {
            double diameter = circle.get("d_mm").asDouble();
            int found =
                    reading.holes().stream()
                            .filter(h -> Math.abs(h.diameter() - diameter) <= tolerance)
                            .mapToInt(HoleGroup::count)
                            .sum();
            assertThat(found)
                    .as("holes of %s", diameter)
                    .isLessThanOrEqualTo(circle.get("count").asInt());
            missing += circle.get("count").asInt() - found;
        }
        assertThat(missing).as("holes not found").isLessThanOrEqualTo(optional);
    }

    private static void assertOpen(JsonNode open, Reading reading) {
        List<Feature> found = reading.cut().filter(f -> !f.isClosed()).toList();
        assertThat(found).hasSize(open.get("value").asInt());
        assertThat(length(found))
                .isCloseTo(
                        open.get("length_mm").asDouble(),
                        org.assertj.core.data.Offset.offset(open.get("length_tol").asDouble()));
    }

    private static void assertMarks(JsonNode etch, Reading reading) {
        List<Feature> found =
                reading.features().stream().filter(f -> f.purpose() == Purpose.MARK).toList();
        assertThat(found).hasSize(etch.get("chains").asInt());
        assertThat(found.stream().filter(Feature::isClosed)).hasSize(etch.get("closed").asInt());
        assertThat(length(found))
                .isCloseTo(
                        etch.get("length_mm").asDouble(),
                        org.assertj.core.data.Offset.offset(etch.get("tol").asDouble()));
    }
}
