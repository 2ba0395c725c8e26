package dev.oleander.geometry.fit;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Shapes;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ArcFitterTest {

    private static final double TOLERANCE = 0.01;

    private final ArcFitter fitter = new ArcFitter(FitOptions.within(TOLERANCE));

    /** A smooth curve of a few waves. */
    private static List<Point> wave(long seed, int n) {
        SplittableRandom random = new SplittableRandom(seed);
        double[] a = random.doubles(24).map(d -> 2 * d - 1).toArray();
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double t = 4.5 * i / (n - 1);
            double x = 0;
            double y = 0;
            for (int k = 1; k <= 6; k++) {
                x += 60 * a[4 * k - 4] / k / k * Math.cos(k * t + 6 * a[4 * k - 3]);
                y += 60 * a[4 * k - 2] / k / k * Math.sin(k * t + 6 * a[4 * k - 1]);
            }
            points.add(new Point(x, y));
        }
        return points;
    }

    private static double worst(Chain chain, List<Point> points) {
        return points.stream()
                .mapToDouble(p -> chain.nearest(p).point().distance(p))
                .max()
                .orElse(0);
    }

    private static double sharpestKink(Chain chain) {
        List<Segment> segments = chain.segments();
        double most = 0;
        for (int i = 1; i < segments.size(); i++) {
            Point in = segments.get(i - 1).direction(1);
            Point out = segments.get(i).direction(0);
            most = Math.max(most, Math.abs(Math.atan2(in.cross(out), in.dot(out))));
        }
        return most;
    }

    /** Fewest arcs with joints among the points, tangent or not, by dynamic programming. */
    private static int fewest(List<Point> points) {
        Polyline line = Polyline.of(points, 1e-9);
        ArcReach reach = new ArcReach(line, TOLERANCE);
        int[] best = new int[line.size];
        Arrays.fill(best, Integer.MAX_VALUE / 2);
        best[0] = 0;
        for (int j = 1; j < line.size; j++) {
            for (int i = j - 1; i >= 0; i--) {
                if (best[i] + 1 < best[j] && reach.fits(i, j)) {
                    best[j] = best[i] + 1;
                }
            }
        }
        return best[line.size - 1];
    }

    @Property(tries = 60)
    void staysWithinTheToleranceTangentAndNearlyAsShortAsCanBe(@ForAll long seed) {
        List<Point> points = wave(seed, 600);
        // some waves have cusps, which stay sharp
        Assume.that(sharpestKink(new Path(lines(points))) < Math.toRadians(10));
        Path path = fitter.fit(points);
        assertThat(worst(path, points)).isLessThanOrEqualTo(TOLERANCE);
        assertThat(path.start()).isEqualTo(points.get(0));
        assertThat(path.end().distance(points.get(599))).isLessThan(1e-9);
        assertThat(sharpestKink(path)).isLessThan(1e-9);
        int fewest = fewest(points);
        assertThat(path.segments().size()).isLessThanOrEqualTo((int) Math.ceil(1.3 * fewest) + 1);
    }

    @Test
    void onTheMeanOneSeventhMoreThanTheFewestAtMost() {
        int ours = 0;
        int fewest = 0;
        for (long seed = 1; seed <= 12; seed++) {
            List<Point> points = wave(seed, 900);
            ours += fitter.fit(points).segments().size();
            fewest += fewest(points);
        }
        assertThat((double) ours / fewest).isLessThan(1.15);
    }

    @Test
    void aChoppedCircleBecomesTwoArcs() {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < 360; i++) {
            points.add(Point.polar(20, 2 * Math.PI * i / 360));
        }
        Contour circle = fitter.fitClosed(points);
        assertThat(circle.segments()).hasSizeLessThanOrEqualTo(3).allMatch(Arc.class::isInstance);
        assertThat(circle.area()).isCloseTo(400 * Math.PI, within(20 * Math.PI * 2 * TOLERANCE));
    }

    @Test
    void aChoppedRoundedPlateGetsItsEdgesBack() {
        Contour plate = Shapes.rounded(100, 60, 10);
        List<Point> points = new Flattener(1e-3).flatten(plate);
        Contour fitted = fitter.fitClosed(points);
        assertThat(worst(fitted, points)).isLessThanOrEqualTo(TOLERANCE);
        assertThat(fitted.segments().stream().filter(s -> s instanceof Line && s.length() > 30))
                .hasSize(4);
        assertThat(fitted.segments().size()).isLessThanOrEqualTo(12);
    }

    @Test
    void cornersStaySharp() {
        List<Point> points = List.of(p(0, 0), p(10, 0), p(10, 10), p(20, 10));
        Path path = fitter.fit(points);
        assertThat(path.segments()).hasSize(3).allMatch(Line.class::isInstance);
        assertThat(path.segments().get(0).end()).isEqualTo(p(10, 0));
    }

    @Test
    void aSquareIsNoCircle() {
        Contour square = fitter.fitClosed(List.of(p(0, 0), p(10, 0), p(10, 10), p(0, 10)));
        assertThat(square.segments()).hasSize(4).allMatch(Line.class::isInstance);
        assertThat(square.area()).isCloseTo(100, within(1e-9));
    }

    @Test
    void manyPointsOnALineAreOneLine() {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= 1000; i++) {
            points.add(p(0.1 * i, 0.05 * i));
        }
        assertThat(fitter.fit(points).segments()).hasSize(1);
    }

    @Test
    void pointsOfOnePlaceAreNoCurve() {
        assertThatThrownBy(() -> fitter.fit(List.of(p(1, 1), p(1, 1))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("two different points");
        assertThatThrownBy(() -> fitter.fitClosed(List.of(p(0, 0), p(1, 1), p(0, 0))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> FitOptions.within(0)).hasMessageContaining("tolerance");
    }

    @Property(tries = 100)
    void flatteningKeepsToTheGap(@ForAll long seed) {
        Contour contour = new RandomShapes(seed).contour(0);
        double gap = 1e-3;
        List<Point> points = new Flattener(gap).flatten(contour);
        Path chords = new Path(lines(points));
        for (Segment segment : contour.segments()) {
            for (double t = 0; t < 1; t += 0.01) {
                Point on = segment.at(t);
                assertThat(chords.nearest(on).point().distance(on)).isLessThan(gap * (1 + 1e-6));
            }
        }
    }

    private static List<Segment> lines(List<Point> points) {
        List<Segment> lines = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            lines.add(new Line(points.get(i - 1), points.get(i)));
        }
        return lines;
    }

    @Test
    void aNearlyStraightArcNeedsOneChord() {
        Path flat = new Path(List.of(new Arc(p(0, 0), p(10, 0), 1e-11)));
        assertThat(new Flattener(1e-6).flatten(flat)).hasSize(2);
    }

    @Test
    void aSquashedCircleBecomesATangentEllipse() {
        Transform squash = new Transform(1, 0, 0, 0.4, 3, 4);
        Contour ellipse = new Mapper(squash, TOLERANCE).map(Contour.circle(p(0, 0), 30));
        // pi a b, within the tolerance all round
        assertThat(ellipse.area())
                .isCloseTo(Math.PI * 30 * 12, within(TOLERANCE * ellipse.length()));
        assertThat(sharpestKink(ellipse)).isLessThan(1e-6);
        for (int i = 0; i < 400; i++) {
            Point on = squash.apply(Point.polar(30, 2 * Math.PI * i / 400));
            assertThat(ellipse.nearest(on).point().distance(on)).isLessThan(TOLERANCE);
        }
    }

    /** A cubic through (0, 0) and (40, 0) with handles: P. Bezier, 1966. */
    private static Point cubic(double t) {
        double u = 1 - t;
        return p(0, 0).plus(p(10, 40).times(3 * u * u * t))
                .plus(p(30, -30).times(3 * u * t * t))
                .plus(p(40, 0).times(t * t * t));
    }

    @Test
    void aSplineIsSampledAndFitted() {
        List<Point> points = new CurveSampler(1e-4).points(ArcFitterTest::cubic, 0, 1);
        Path path = fitter.fit(points);
        for (double t = 0; t <= 1; t += 1e-3) {
            Point on = cubic(t);
            assertThat(path.nearest(on).point().distance(on)).isLessThan(TOLERANCE + 1e-4);
        }
        assertThat(sharpestKink(path)).isLessThan(1e-9);
        assertThat(path.segments().size()).isLessThan(points.size() / 8);
        assertThatThrownBy(() -> new CurveSampler(1e-3).points(t -> p(1 / t, 0), 0, 1))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("not finite");
    }

    @Test
    void similaritiesNeedNoFit() {
        Contour circle = Contour.circle(p(0, 0), 30);
        Contour mirrored = new Mapper(Transform.mirror(), TOLERANCE).map(circle);
        assertThat(mirrored.segments()).hasSize(2);
        assertThat(mirrored.isAnticlockwise()).isFalse();
    }
}
