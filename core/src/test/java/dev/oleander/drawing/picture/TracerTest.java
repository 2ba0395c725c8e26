package dev.oleander.drawing.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.progress.CancelledException;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Outlines of made-up shapes. */
class TracerTest {

    private static final TraceSpec USUAL = TraceSpec.USUAL;

    private static Trace trace(Picture picture) {
        return Tracer.trace(picture, USUAL, Progress.NONE);
    }

    private static Contour only(Picture picture) {
        List<Contour> contours = trace(picture).contours();
        assertThat(contours).hasSize(1);
        return contours.get(0);
    }

    private static Picture disc(double x, double y, double radius, int size) {
        return Painted.of(size, size, (u, v) -> Math.hypot(u - x, v - y) <= radius);
    }

    private static Contour turned(int sides, double radius, double degrees, Point middle) {
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < sides; i++) {
            corners.add(
                    middle.plus(
                            Point.polar(
                                    radius, Math.toRadians(degrees) + 2 * Math.PI * i / sides)));
        }
        return Painted.polygon(corners);
    }

    private static double farthest(Contour of, Contour from) {
        return of.segments().stream()
                .map(Segment::start)
                .mapToDouble(p -> from.nearest(p).point().distance(p))
                .max()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(doubles = {3.3, 6, 11.7, 50, 93.4})
    void aDiscIsOneCircle(double radius) {
        Contour circle = only(disc(100.3, 99.1, radius, 200));
        assertThat(circle.circleDiameter(1e-6).orElseThrow()).isCloseTo(2 * radius, within(0.04));
        assertThat(circle.centroid().distance(new Point(100.3, 99.1))).isLessThan(0.02);
        assertThat(circle.isAnticlockwise()).isTrue();
    }

    @Test
    void aDiscInBlackAndWhiteIsOneCircleToo() {
        Contour circle = only(Painted.stepped(disc(60.2, 61.9, 50, 122)));
        assertThat(circle.circleDiameter(1e-6).orElseThrow()).isCloseTo(100, within(0.3));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 3, 17, 30, 45, 71.5})
    void polygonsKeepTheirCorners(double degrees) {
        for (int sides = 3; sides <= 8; sides++) {
            Contour drawn = turned(sides, 80, degrees, new Point(100.4, 99.7));
            Contour found = only(Painted.of(200, 200, drawn));
            assertThat(found.segments()).as("%d sides", sides).hasSize(sides);
            assertThat(farthest(found, drawn)).isLessThan(0.1);
            assertThat(farthest(drawn, found)).isLessThan(0.1);
            Contour steps = only(Painted.stepped(Painted.of(200, 200, drawn)));
            assertThat(steps.segments()).as("%d sides", sides).hasSize(sides);
            assertThat(farthest(steps, drawn)).isLessThan(0.6);
        }
    }

    /** A slot: straight sides go over into half circles without a kink. */
    @Test
    void smoothWaysAreTangent() {
        Picture slot =
                Painted.of(
                        260,
                        120,
                        (x, y) -> Math.hypot(x - Math.min(180, Math.max(80, x)), y - 60.3) <= 40);
        Contour found = only(slot);
        assertThat(found.segments()).hasSizeLessThanOrEqualTo(6);
        assertThat(found.area()).isCloseTo(8000 + Math.PI * 1600, within(3.0));
        List<Segment> all = found.segments();
        for (int i = 0; i < all.size(); i++) {
            Segment next = all.get((i + 1) % all.size());
            double kink = Math.abs(all.get(i).direction(1).cross(next.direction(0)));
            assertThat(kink).isLessThan(0.01);
        }
        assertThat(all.stream().filter(Arc.class::isInstance).map(s -> ((Arc) s).radius()))
                .allSatisfy(r -> assertThat(r).isCloseTo(40, within(0.3)));
    }

    @Test
    void edgesNearlyAlongAnAxisAreAlongIt() {
        Contour drawn = turned(4, 80, 45.5, new Point(100, 100));
        List<Segment> put = only(Painted.of(200, 200, drawn)).segments();
        // half a degree over 113 pixels is a whole one: more than the edge allows
        assertThat(put).noneMatch(s -> Math.abs(s.start().y() - s.end().y()) < 1e-9);
        Contour nearly = turned(4, 80, 45.05, new Point(100, 100));
        assertThat(only(Painted.of(200, 200, nearly)).segments())
                .allMatch(
                        s ->
                                Math.abs(s.start().y() - s.end().y()) < 1e-6
                                        || Math.abs(s.start().x() - s.end().x()) < 1e-6);
        TraceSpec asItIs =
                new TraceSpec(
                        TraceSpec.Mode.OUTLINE,
                        Optional.empty(),
                        false,
                        false,
                        0,
                        0,
                        0,
                        Optional.empty(),
                        35,
                        new TraceSpec.Polish(true, false));
        Contour kept =
                Tracer.trace(Painted.of(200, 200, nearly), asItIs, Progress.NONE).contours().get(0);
        assertThat(kept.segments()).noneMatch(s -> Math.abs(s.start().y() - s.end().y()) < 1e-6);
    }

    @Test
    void specksAndPinHolesGoAndAreCounted() {
        Picture clean = disc(60, 60, 40, 120);
        byte[] levels = clean.levels();
        levels[3 * 120 + 5] = 0;
        levels[60 * 120 + 60] = (byte) 255;
        Picture dirty = clean.with(levels);
        assertThat(trace(dirty).contours()).hasSize(3);
        TraceSpec swept =
                new TraceSpec(
                        TraceSpec.Mode.OUTLINE,
                        Optional.empty(),
                        false,
                        false,
                        0,
                        4,
                        4,
                        Optional.empty(),
                        35,
                        TraceSpec.Polish.ALL);
        Trace trace = Tracer.trace(dirty, swept, Progress.NONE);
        assertThat(trace.contours()).hasSize(1);
        assertThat(trace.counts().specks()).isEqualTo(1);
        assertThat(trace.counts().holes()).isEqualTo(1);
    }

    @Test
    void ofALightPictureTheLightIsInk() {
        Picture dark = Painted.of(120, 120, (x, y) -> Math.hypot(x - 60, y - 60) > 40);
        TraceSpec inverted =
                new TraceSpec(
                        TraceSpec.Mode.OUTLINE,
                        Optional.empty(),
                        false,
                        true,
                        0,
                        0,
                        0,
                        Optional.empty(),
                        35,
                        TraceSpec.Polish.ALL);
        List<Contour> contours = Tracer.trace(dark, inverted, Progress.NONE).contours();
        assertThat(contours).hasSize(1);
        assertThat(contours.get(0).circleDiameter(1e-6).orElseThrow()).isCloseTo(80, within(0.05));
    }

    /** Half of the picture lies in the shade: one level for all takes the paper there for ink. */
    @Test
    void theLevelIsFoundAtEachPlace() {
        Picture words =
                Painted.of(
                        400,
                        100,
                        (x, y) -> y > 30 && y < 70 && Math.floorMod((int) (x / 20), 2) == 0);
        byte[] levels = words.levels();
        for (int i = 0; i < levels.length; i++) {
            double light = 1 - 0.7 * (i % 400) / 400;
            levels[i] = (byte) Math.round((60 + 0.76 * (levels[i] & 0xff)) * light);
        }
        Picture shaded = words.with(levels);
        TraceSpec local =
                new TraceSpec(
                        TraceSpec.Mode.OUTLINE,
                        Optional.empty(),
                        true,
                        false,
                        0,
                        20,
                        20,
                        Optional.empty(),
                        35,
                        TraceSpec.Polish.ALL);
        List<Contour> bars = Tracer.trace(shaded, local, Progress.NONE).contours();
        assertThat(bars).hasSize(10);
        assertThat(bars).allSatisfy(b -> assertThat(b.area()).isCloseTo(20 * 40, within(60.0)));
    }

    @Test
    void noiseDoesNotMoveEdges() {
        Contour drawn = turned(4, 80, 17, new Point(100, 100));
        Picture noisy = Painted.noisy(Painted.of(200, 200, drawn), 8, 3);
        Contour found = only(noisy);
        assertThat(found.segments()).hasSizeLessThanOrEqualTo(6);
        assertThat(found.area()).isCloseTo(drawn.area(), within(20.0));
        assertThat(farthest(drawn, found)).isLessThan(0.6);
    }

    @Test
    void whatCannotBeTracedIsSaid() {
        byte[] even = new byte[100];
        java.util.Arrays.fill(even, (byte) 200);
        assertThatThrownBy(() -> trace(new Picture(10, 10, even)))
                .isInstanceOf(PictureException.class)
                .hasMessageContaining("Nothing is darker")
                .hasMessageContaining("between 200 and 200");
        Picture dust =
                Painted.of(
                        600,
                        600,
                        (x, y) ->
                                Math.floorMod(x.intValue(), 4) == 1
                                        && Math.floorMod(y.intValue(), 4) == 1);
        assertThatThrownBy(() -> trace(dust))
                .isInstanceOf(PictureException.class)
                .hasMessage(
                        "22,500 outlines, 22,500 under 9 pixels; 20,000 are allowed: remove specks first.");
    }

    @Test
    void itCanBeStopped() {
        assertThatThrownBy(
                        () ->
                                Tracer.trace(
                                        disc(60, 60, 40, 120),
                                        USUAL,
                                        (done, doing) -> {
                                            throw new CancelledException();
                                        }))
                .isInstanceOf(CancelledException.class);
    }

    /** Its lower border lies within a pixel of the smaller picture. */
    @Test
    void aReducedPictureHasItsLineWorkInTheSamePlace() {
        Picture disc = Painted.of(203, 151, Contour.circle(new Point(101, 70), 50));
        Reduced reduced = Reduced.of(disc, 10_000);
        assertThat(reduced.by()).isEqualTo(2);
        Contour whole = Tracer.trace(disc, USUAL, Progress.NONE).contours().get(0);
        Contour less = Tracer.trace(reduced, USUAL, Progress.NONE).contours().get(0);
        assertThat(less.centroid().distance(whole.centroid())).isLessThan(0.05);
        assertThat(less.area()).isCloseTo(whole.area(), within(5.0));
        Contour rough = Tracer.roughly(reduced, USUAL).contours().get(0);
        assertThat(rough.centroid().distance(whole.centroid())).isLessThan(0.05);
    }

    @Test
    void howFarLineWorkIsOffIsSaidOfEachElement() {
        Trace trace =
                Tracer.trace(
                        Painted.of(120, 120, Contour.circle(new Point(60, 60), 40)),
                        USUAL,
                        Progress.NONE);
        assertThat(trace.off()).hasSameSizeAs(trace.chains());
        for (int i = 0; i < trace.off().size(); i++) {
            assertThat(trace.off().get(i)).hasSameSizeAs(trace.chains().get(i).segments());
        }
        assertThat(trace.greatestDeviation()).isBetween(0.0, 0.1);
        assertThat(trace.scaled(3).greatestDeviation())
                .isCloseTo(3 * trace.greatestDeviation(), within(1e-12));
    }
}
