package dev.oleander.drawing.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.progress.Progress;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Middle lines of strokes of a pen. */
class CentreLinesTest {

    private static final TraceSpec CENTRE =
            new TraceSpec(
                    TraceSpec.Mode.CENTRE,
                    Optional.empty(),
                    false,
                    false,
                    0,
                    0,
                    0,
                    Optional.empty(),
                    35,
                    TraceSpec.Polish.ALL);

    /** Drawn with a round pen along chains. */
    private static Trace drawn(double pen, List<? extends Chain> along) {
        Picture picture =
                Painted.of(
                        300,
                        200,
                        (x, y) -> {
                            Point p = new Point(x, y);
                            return along.stream()
                                    .anyMatch(c -> c.nearest(p).point().distance(p) <= pen / 2);
                        });
        return Tracer.trace(picture, CENTRE, Progress.NONE);
    }

    private static Path path(double... coordinates) {
        List<Segment> lines = new java.util.ArrayList<>();
        for (int i = 0; i + 3 < coordinates.length; i += 2) {
            lines.add(
                    Segment.of(
                            new Point(coordinates[i], coordinates[i + 1]),
                            new Point(coordinates[i + 2], coordinates[i + 3]),
                            0));
        }
        return new Path(lines);
    }

    private static double off(Chain chain, List<? extends Chain> from) {
        return chain.segments().stream()
                .flatMap(s -> java.util.stream.Stream.of(s.start(), s.at(0.5), s.end()))
                .mapToDouble(
                        p ->
                                from.stream()
                                        .mapToDouble(c -> c.nearest(p).point().distance(p))
                                        .min()
                                        .orElseThrow())
                .max()
                .orElseThrow();
    }

    @Test
    void aLineOfAPenIsALine() {
        List<Path> line = List.of(path(40, 50, 250, 120));
        Trace trace = drawn(9, line);
        assertThat(trace.strokes()).hasSize(1);
        Chain stroke = trace.strokes().get(0);
        assertThat(stroke.segments()).hasSize(1);
        assertThat(off(stroke, line)).isLessThan(0.5);
        assertThat(off(line.get(0), List.of(stroke))).isLessThan(0.8);
        assertThat(trace.strokeWidth().orElseThrow()).isCloseTo(9, within(0.3));
        assertThat(trace.spread()).isLessThan(0.1);
        assertThat(trace.contours()).isEmpty();
    }

    @Test
    void aCornerIsSharpAndARingIsACircle() {
        List<Chain> all =
                List.of(path(30, 40, 80, 150, 130, 40), Contour.circle(new Point(220, 100), 50));
        Trace trace = drawn(8, all);
        assertThat(trace.strokes()).hasSize(2);
        Chain corner =
                trace.strokes().stream().filter(Path.class::isInstance).findFirst().orElseThrow();
        assertThat(corner.segments()).hasSize(2);
        assertThat(off(corner, all)).as("%s", corner).isLessThan(0.8);
        Contour ring =
                (Contour)
                        trace.strokes().stream()
                                .filter(Contour.class::isInstance)
                                .findFirst()
                                .orElseThrow();
        assertThat(ring.circleDiameter(1e-6).orElseThrow()).isCloseTo(100, within(0.3));
    }

    @Test
    void aStrokeGoesOnOverWhatMeetsIt() {
        List<Path> tee = List.of(path(40, 60, 260, 60), path(150, 60, 150, 170));
        List<Chain> strokes = drawn(8, tee).strokes();
        assertThat(strokes).hasSize(2);
        assertThat(strokes).allSatisfy(s -> assertThat(s.segments()).hasSize(1));
        assertThat(strokes).allSatisfy(s -> assertThat(off(s, tee)).isLessThan(0.5));
        List<Path> cross = List.of(path(40, 60, 260, 140), path(60, 170, 240, 30));
        List<Chain> crossing = drawn(8, cross).strokes();
        assertThat(crossing).hasSize(2);
        assertThat(crossing).allSatisfy(s -> assertThat(off(s, cross)).isLessThan(0.8));
    }

    @Test
    void strokesOfManyWidthsAreTold() {
        Picture wedge =
                Painted.of(300, 200, (x, y) -> x > 20 && x < 280 && Math.abs(y - 100) < x / 5);
        Trace trace = Tracer.trace(wedge, CENTRE, Progress.NONE);
        assertThat(trace.spread()).isGreaterThan(0.25);
        assertThat(trace.told()).singleElement().asString().contains("outlines would say more");
    }
}
