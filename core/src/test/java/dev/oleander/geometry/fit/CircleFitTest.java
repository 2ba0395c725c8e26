package dev.oleander.geometry.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CircleFitTest {

    private static List<Point> round(double cx, double cy, double radius, int points, double wave) {
        List<Point> round = new ArrayList<>();
        for (int i = 0; i < points; i++) {
            double angle = 2 * Math.PI * i / points;
            double r = radius + (i % 2 == 0 ? wave : -wave);
            round.add(new Point(cx, cy).plus(Point.polar(r, angle)));
        }
        return round;
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 11, 4000})
    void pointsOfACircleGiveIt(double radius) {
        CircleFit.Circle circle =
                new CircleFit(1e-6).through(round(300, -70, radius, 24, 0)).orElseThrow();
        assertThat(circle.radius()).isCloseTo(radius, within(1e-8 * (1 + radius)));
        assertThat(circle.centre().distance(new Point(300, -70))).isLessThan(1e-7);
    }

    @Test
    void pointsBesideItCountAsTheToleranceSays() {
        List<Point> waved = round(0, 0, 50, 40, 0.008);
        assertThat(new CircleFit(0.01).through(waved)).isPresent();
        assertThat(new CircleFit(0.005).through(waved)).isEmpty();
    }

    @Test
    void linesAndTooFewPointsAreNoCircle() {
        CircleFit fit = new CircleFit(0.01);
        assertThat(fit.through(List.of(new Point(0, 0), new Point(1, 1)))).isEmpty();
        assertThat(fit.through(List.of(new Point(0, 0), new Point(1, 1), new Point(2, 2))))
                .isEmpty();
        assertThatThrownBy(() -> new CircleFit(0)).hasMessageContaining("> 0 mm");
    }
}
