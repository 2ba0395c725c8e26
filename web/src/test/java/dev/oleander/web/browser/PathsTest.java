package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.JavascriptExecutor;

/** The browser's geometry against that of the core. */
class PathsTest extends BrowserTest {

    private final SplittableRandom random = new SplittableRandom(11);

    @BeforeAll
    void openPage() {
        browser.open("/sign-in");
    }

    /** Result of an expression that may use the module as p and the arguments as a. */
    private Object evaluate(String expression, Object... arguments) {
        String script =
                "const done = arguments[arguments.length - 1]; const a = [...arguments];"
                        + "import('/js/paths.js').then((p) => done("
                        + expression
                        + ")).catch((e) => done('' + e));";
        return ((JavascriptExecutor) browser.driver()).executeAsyncScript(script, arguments);
    }

    private double number(String expression, Object... arguments) {
        return ((Number) evaluate(expression, arguments)).doubleValue();
    }

    private Contour star() {
        int n = 6 + random.nextInt(8);
        double[] radii = random.doubles(n, 30, 60).toArray();
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Point a = Point.polar(radii[i], 2 * Math.PI * i / n);
            Point b = Point.polar(radii[(i + 1) % n], 2 * Math.PI * ((i + 1) % n) / n);
            double bulge = random.nextDouble(-0.4, 0.4);
            segments.add(i % 3 == 0 ? new Line(a, b) : new Arc(a, b, bulge));
        }
        return new Contour(segments);
    }

    private static List<Double> flat(Chain chain) {
        List<Double> flat = new ArrayList<>(List.of(chain.start().x(), chain.start().y()));
        for (Segment segment : chain.segments()) {
            flat.add(segment.end().x());
            flat.add(segment.end().y());
            flat.add(segment instanceof Arc arc ? arc.bulge() : 0.0);
        }
        return flat;
    }

    @Test
    void lengthAndAreaAgree() {
        for (int i = 0; i < 20; i++) {
            Contour star = star();
            assertThat(number("p.length(a[0])", flat(star))).isCloseTo(star.length(), within(1e-9));
            assertThat(number("p.area(a[0])", flat(star))).isCloseTo(star.area(), within(1e-8));
        }
    }

    @Test
    void boxesAgree() {
        for (int i = 0; i < 20; i++) {
            Contour star = star();
            List<?> found = (List<?>) evaluate("p.box(a[0])", flat(star));
            Box box = star.box();
            assertThat(((Number) found.get(0)).doubleValue())
                    .isCloseTo(box.min().x(), within(1e-9));
            assertThat(((Number) found.get(3)).doubleValue())
                    .isCloseTo(box.max().y(), within(1e-9));
        }
    }

    @Test
    void nearestPlacesAgree() {
        for (int i = 0; i < 20; i++) {
            Contour star = star();
            Point p = new Point(random.nextDouble(-80, 80), random.nextDouble(-80, 80));
            double distance = star.nearest(p).point().distance(p);
            assertThat(number("p.nearest(a[0], a[1], a[2]).distance", flat(star), p.x(), p.y()))
                    .isCloseTo(distance, within(1e-9));
            double along = number("p.nearest(a[0], a[1], a[2]).along", flat(star), p.x(), p.y());
            assertThat(star.stationAt(along).point().distance(p)).isCloseTo(distance, within(1e-6));
        }
    }

    @Test
    void placingAndComingBackAgree() {
        Transform there =
                Transform.rotation(0.4)
                        .then(Transform.mirror())
                        .then(Transform.translation(new Point(120, -30)));
        List<Double> numbers =
                List.of(there.a(), there.b(), there.c(), there.d(), there.e(), there.f());
        Contour star = star();
        List<?> placed = (List<?>) evaluate("p.placed(a[0], a[1])", flat(star), numbers);
        List<Double> expected = flat(star.transformed(there));
        for (int i = 0; i < expected.size(); i++) {
            assertThat(((Number) placed.get(i)).doubleValue())
                    .isCloseTo(expected.get(i), within(1e-9));
        }
        List<?> home =
                (List<?>) evaluate("p.apply(p.inverse(a[0]), ...p.apply(a[0], 7, -3))", numbers);
        assertThat(((Number) home.get(0)).doubleValue()).isCloseTo(7, within(1e-9));
        assertThat(((Number) home.get(1)).doubleValue()).isCloseTo(-3, within(1e-9));
    }

    @Test
    void theViewKeepsThePlaceUnderThePointer() {
        String script =
                "const done = arguments[0]; import('/js/view.js').then(({View}) => {"
                        + "const v = new View(); v.width = 600; v.height = 500;"
                        + "v.fit([0, 0, 200, 100], 24);"
                        + "const before = v.toWorld(311, 222); v.zoomAt(311, 222, 3.7);"
                        + "const after = v.toWorld(311, 222); const [x, y] = v.toScreen(...after);"
                        + "done([before[0] - after[0], before[1] - after[1], x - 311, y - 222]);});";
        List<?> differences =
                (List<?>) ((JavascriptExecutor) browser.driver()).executeAsyncScript(script);
        assertThat(differences)
                .allSatisfy(d -> assertThat(Math.abs(((Number) d).doubleValue())).isLessThan(1e-9));
    }

    @Test
    void whatIsShownIsFittedWithAsMuchOfTheStockAsCanBe() {
        String script =
                "const done = arguments[0]; import('/js/view.js').then(({View}) => {"
                        + "const v = new View(); v.width = 624 + 72; v.height = 424 + 72;"
                        + "const shown = (box, stock) => { v.fit(box, 24, stock);"
                        + "const [l, t] = v.toScreen(stock[0], stock[3]);"
                        + "const [r, b] = v.toScreen(stock[2], stock[1]); return [l, t, r, b]; };"
                        + "done([shown([0, 0, 600, 40], [0, 0, 600, 300]),"
                        + "shown([0, 0, 600, 40], [0, 0, 600, 1000])]);});";
        List<?> boxes =
                (List<?>) ((JavascriptExecutor) browser.driver()).executeAsyncScript(script);
        assertThat(numbers(boxes.get(0)))
                .as("all of a low stock")
                .containsExactly(60, 60, 660, 360);
        assertThat(numbers(boxes.get(1)))
                .as("of a high one the lower part, down to its edge")
                .containsExactly(60, -540, 660, 460);
    }

    private static List<Integer> numbers(Object box) {
        return ((List<?>) box).stream().map(n -> ((Number) n).intValue()).toList();
    }
}
