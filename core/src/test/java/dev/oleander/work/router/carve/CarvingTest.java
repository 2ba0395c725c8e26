package dev.oleander.work.router.carve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.RegionIndex;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the tip carves against depths that were worked out by other code. */
class CarvingTest {

    private static final double FLOOR = 8;
    private static final Tool.Form SIXTY = new Tool.Form(ToolKind.POINTED, 20, 0, 60, 0, 0);

    private static final List<Region> BOARD = board();
    private static final Carving CARVING = new Carving(BOARD, SIXTY, FLOOR, 0.002);
    private static final List<Stroke> STROKES = CARVING.strokes();

    private static JsonNode truth() {
        byte[] file = Samples.bytes("router/name_board_star.truth.json");
        return JsonMapper.shared().readTree(new String(file, StandardCharsets.UTF_8));
    }

    /** Contours that lie in another one are its openings. */
    private static List<Region> board() {
        Reading reading = Samples.reading("router/name_board_star");
        List<Contour> contours =
                reading.features().stream()
                        .filter(f -> f.layer().equals("CARVE"))
                        .map(f -> f.contour().turning(true))
                        .sorted(Comparator.comparingDouble(c -> -c.area()))
                        .toList();
        List<Region> regions = new ArrayList<>();
        for (Contour contour : contours) {
            Point p = contour.segments().get(0).middle();
            boolean within = regions.stream().anyMatch(r -> r.contains(p));
            if (within) {
                regions.replaceAll(
                        r ->
                                r.contains(p)
                                        ? new Region(r.outer(), List.of(contour.turning(false)))
                                        : r);
            } else {
                regions.add(new Region(contour, List.of()));
            }
        }
        return regions;
    }

    /** How deep it is at a place after the tip has gone all its ways, and the flat tool too. */
    private static double carved(Point p) {
        double deepest = 0;
        for (Region flat : CARVING.flat()) {
            deepest = flat.contains(p) ? FLOOR : deepest;
        }
        for (Stroke stroke : STROKES) {
            for (int i = 0; i + 1 < stroke.points().size(); i++) {
                deepest =
                        Math.max(
                                deepest,
                                carved(p, stroke.points().get(i), stroke.points().get(i + 1)));
            }
        }
        return deepest;
    }

    private static double carved(Point p, TipPoint a, TipPoint b) {
        int steps = (int) Math.ceil(a.distance(b) / 0.02);
        double deepest = 0;
        for (int i = 0; i <= steps; i++) {
            double t = steps == 0 ? 0 : (double) i / steps;
            double x = a.x() + t * (b.x() - a.x());
            double y = a.y() + t * (b.y() - a.y());
            double r = Math.hypot(p.x() - x, p.y() - y);
            if (r <= SIXTY.radius()) {
                double depth = a.depth() + t * (b.depth() - a.depth());
                deepest = Math.max(deepest, depth - SIXTY.rise(r));
            }
        }
        return deepest;
    }

    @Test
    void depthsAreThoseOfOtherCode() {
        truth().get("points")
                .valueStream()
                .forEach(
                        point -> {
                            JsonNode at = point.get("at");
                            Point p = new Point(at.get(0).asDouble(), at.get(1).asDouble());
                            assertThat(carved(p))
                                    .as(point.toString())
                                    .isCloseTo(
                                            point.get("depth").asDouble(),
                                            within(point.get("tol").asDouble()));
                        });
    }

    /** Nowhere deeper than the outline allows, everywhere on the axis as deep. */
    @Test
    void everyTipIsAsDeepAsTheOutlineIsAway() {
        RegionIndex index = RegionIndex.of(BOARD);
        for (Stroke stroke : STROKES) {
            for (TipPoint tip : stroke.points()) {
                double r = index.distanceToBorder(tip.x(), tip.y());
                double depth = Math.min(FLOOR, r / SIXTY.halfTangent());
                assertThat(tip.depth()).isCloseTo(depth, within(0.005));
            }
        }
    }

    @Test
    void everyOuterCornerIsReached() {
        for (Region region : BOARD) {
            List<Segment> sides = region.outer().segments();
            for (int i = 0; i < sides.size(); i++) {
                Point in = sides.get((i + sides.size() - 1) % sides.size()).direction(1);
                Point out = sides.get(i).direction(0);
                if (in.cross(out) > 1e-6) {
                    Point corner = sides.get(i).start();
                    double nearest =
                            STROKES.stream()
                                    .flatMap(s -> s.points().stream())
                                    .mapToDouble(
                                            t -> Math.hypot(t.x() - corner.x(), t.y() - corner.y()))
                                    .min()
                                    .orElseThrow();
                    assertThat(nearest).isLessThan(0.005);
                }
            }
        }
    }

    @Test
    void whatIsWiderThanTheFloorIsClearedFlat() {
        JsonNode truth = truth().at("/figures/carving/flatArea");
        double field = CARVING.flat().stream().mapToDouble(Region::area).max().orElseThrow();
        assertThat(field)
                .isCloseTo(truth.get("value").asDouble(), within(truth.get("tol").asDouble()));
        assertThat(Reach.area(CARVING.flat())).isGreaterThan(field);
        assertThat(new Carving(BOARD, SIXTY, Double.POSITIVE_INFINITY, 0.01).flat()).isEmpty();
    }
}
