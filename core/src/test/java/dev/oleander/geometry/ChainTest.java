package dev.oleander.geometry;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class ChainTest {

    private static final Path HOOK =
            new Path(
                    List.of(
                            new Line(p(0, 0), p(30, 0)),
                            new Arc(p(30, 0), p(30, 20), 1),
                            new Line(p(30, 20), p(10, 20))));

    @Test
    void stationsCountAlongTheChain() {
        double half = 10 * Math.PI;
        assertThat(HOOK.length()).isCloseTo(50 + half, within(1e-12));
        assertThat(HOOK.stationAt(0).point()).isEqualTo(p(0, 0));
        assertThat(HOOK.stationAt(12).point().distance(p(12, 0))).isLessThan(1e-12);
        assertThat(HOOK.stationAt(30 + half / 2).point().distance(p(40, 10))).isLessThan(1e-9);
        assertThat(HOOK.stationAt(1e9).point()).isEqualTo(p(10, 20));
        assertThat(HOOK.stationAt(-5).point()).isEqualTo(p(0, 0));
    }

    @Test
    void distanceAtIsTheWayBackFromAStation() {
        for (double along : new double[] {0, 7, 29.9, 35, 61, 80}) {
            assertThat(HOOK.distanceAt(HOOK.stationAt(along))).isCloseTo(along, within(1e-9));
        }
    }

    @Test
    void theNearestStationMayLieOnAnySegment() {
        assertThat(HOOK.nearest(p(15, -3)).index()).isZero();
        assertThat(HOOK.nearest(p(45, 10)).index()).isEqualTo(1);
        assertThat(HOOK.nearest(p(12, 26)).index()).isEqualTo(2);
        assertThat(HOOK.nearest(p(0, 21)).point()).isEqualTo(p(10, 20));
    }

    @Test
    void reversingTurnsEverySegment() {
        Chain back = HOOK.reversed();
        assertThat(back.start()).isEqualTo(HOOK.end());
        assertThat(back.length()).isCloseTo(HOOK.length(), within(1e-12));
        assertThat(((Arc) back.segments().get(1)).isLeft()).isFalse();
        assertThat(back.reversed()).isEqualTo(HOOK);
    }

    @Test
    void boxesTakeInTheArc() {
        assertThat(HOOK.box().max()).isEqualTo(p(40, 20));
        Box grown = HOOK.box().grown(2);
        assertThat(grown.contains(HOOK.box())).isTrue();
        assertThat(HOOK.box().contains(grown)).isFalse();
        assertThat(grown.width()).isEqualTo(44);
        assertThat(grown.centre()).isEqualTo(p(20, 10));
        assertThat(grown.touches(new Box(p(42, 22), p(50, 50)))).isTrue();
        assertThat(grown.touches(new Box(p(42.1, 0), p(50, 50)))).isFalse();
        assertThat(new Box(p(-7, 2), p(3, 5)).magnitude()).isEqualTo(7);
        assertThatThrownBy(() -> new Box(p(1, 0), p(0, 0))).hasMessageContaining("inside out");
        assertThatThrownBy(() -> Box.around(List.of())).hasMessageContaining("no box");
    }

    @Test
    void regionsAreOutlineLessOpenings() {
        Region region =
                new Region(
                        Shapes.rectangle(100, 50),
                        List.of(Contour.circle(p(30, 25), 10), Contour.circle(p(70, 25), 5)));
        assertThat(region.area()).isCloseTo(5000 - 125 * Math.PI, within(1e-9));
        assertThat(region.contains(p(30, 25))).isFalse();
        assertThat(region.contains(p(50, 25))).isTrue();
        assertThat(region.contains(p(101, 25))).isFalse();
        assertThat(region.contours()).hasSize(3);
        Region moved = region.transformed(Transform.translation(p(1000, 0)));
        assertThat(moved.area()).isCloseTo(region.area(), within(1e-8));
        assertThat(moved.box().min().x()).isEqualTo(1000);
    }

    @Test
    void transformsFollowEachOther() {
        Transform turnThenMove =
                Transform.rotation(Math.PI / 2).then(Transform.translation(p(10, 0)));
        assertThat(turnThenMove.apply(p(5, 0))).isEqualTo(p(10, 5));
        Transform scaled = Transform.scaling(25.4);
        assertThat(scaled.scale()).isEqualTo(25.4);
        assertThat(scaled.isMirrored()).isFalse();
        assertThat(Transform.mirror().then(Transform.mirror()).isMirrored()).isFalse();
        assertThat(scaled.inverse().apply(p(25.4, 0)).distance(p(1, 0))).isLessThan(1e-15);
        assertThatThrownBy(() -> new Transform(0, 0, 0, 0, 1, 1).inverse())
                .hasMessageContaining("no way back");
    }
}
