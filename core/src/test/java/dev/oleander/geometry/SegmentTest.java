package dev.oleander.geometry;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class SegmentTest {

    private static final Arc QUARTER = Arc.about(p(10, 20), 5, 0, Math.PI / 2);

    @Test
    void arcKnowsItsCircle() {
        assertThat(QUARTER.radius()).isCloseTo(5, within(1e-12));
        assertThat(QUARTER.centre().distance(p(10, 20))).isLessThan(1e-12);
        assertThat(QUARTER.sweep()).isCloseTo(Math.PI / 2, within(1e-12));
        assertThat(QUARTER.length()).isCloseTo(2.5 * Math.PI, within(1e-12));
        assertThat(QUARTER.middle().distance(p(10 + 5 / Math.sqrt(2), 20 + 5 / Math.sqrt(2))))
                .isLessThan(1e-12);
    }

    @Test
    void arcBoxReachesItsQuadrants() {
        Box box = Arc.about(p(0, 0), 1, Math.PI / 4, Math.PI).box();
        assertThat(box.max().y()).isCloseTo(1, within(1e-12));
        assertThat(box.min().x()).isCloseTo(-1, within(1e-12));
        assertThat(box.min().y()).isCloseTo(-Math.sqrt(0.5), within(1e-12));
        assertThat(box.max().x()).isCloseTo(Math.sqrt(0.5), within(1e-12));
    }

    @Test
    void parallelOfAnArcKeepsItsCentreAndSweep() {
        Arc inner = (Arc) QUARTER.parallel(2).orElseThrow();
        assertThat(inner.radius()).isCloseTo(3, within(1e-12));
        assertThat(inner.centre().distance(QUARTER.centre())).isLessThan(1e-12);
        assertThat(inner.bulge()).isEqualTo(QUARTER.bulge());
        assertThat(QUARTER.parallel(5)).isEmpty();
    }

    @Test
    void reversingTwiceIsTheIdentity() {
        assertThat(QUARTER.reversed().reversed()).isEqualTo(QUARTER);
        assertThat(QUARTER.reversed().direction(0).dot(QUARTER.direction(1)))
                .isCloseTo(-1, within(1e-12));
    }

    @Test
    void nearestPointBeyondAnEndIsThatEnd() {
        assertThat(QUARTER.nearest(p(20, 10))).isZero();
        assertThat(QUARTER.nearest(p(0, 30))).isEqualTo(1);
        assertThat(QUARTER.distance(p(10, 20))).isCloseTo(5, within(1e-12));
        assertThat(new Line(p(0, 0), p(10, 0)).distance(p(13, 4))).isCloseTo(5, within(1e-12));
    }

    @Test
    void mirroringTurnsAnArcRound() {
        Arc mirrored = QUARTER.transformed(Transform.mirror());
        assertThat(mirrored.isLeft()).isFalse();
        assertThat(mirrored.centre().distance(p(-10, 20))).isLessThan(1e-12);
    }

    @Test
    void anArcIsRefusedByAMapThatIsNoSimilarity() {
        assertThatThrownBy(() -> QUARTER.transformed(new Transform(2, 0, 0, 1, 0, 0)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("similarity");
    }

    @Test
    void refusesWhatIsNoSegment() {
        assertThatThrownBy(() -> new Arc(p(0, 0), p(0, 0), 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Arc(p(0, 0), p(1, 0), Double.NaN))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Arc.about(p(0, 0), -1, 0, 1))
                .hasMessageContaining("radius must be > 0: -1.0");
    }

    @Test
    void inverseMapsBack() {
        Transform there =
                Transform.rotation(0.7)
                        .then(Transform.mirror())
                        .then(Transform.translation(p(30, -4)));
        Point home = there.inverse().apply(there.apply(p(12, 5)));
        assertThat(home.distance(p(12, 5))).isLessThan(1e-12);
        assertThat(Transform.rotation(Math.PI / 2).apply(p(3, 0))).isEqualTo(p(0, 3));
    }
}
