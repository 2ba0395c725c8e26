package dev.oleander.nesting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.List;
import org.junit.jupiter.api.Test;

class NestPlaceTest {

    private static final Region SQUARE =
            new Region(Contour.rectangle(new Box(Point.ORIGIN, new Point(100, 100))), List.of());

    private static final Region DISC = new Region(Contour.circle(Point.ORIGIN, 50), List.of());

    private static final Region RING =
            new Region(
                    Contour.rectangle(new Box(Point.ORIGIN, new Point(300, 300))),
                    List.of(
                            Contour.rectangle(new Box(new Point(50, 50), new Point(250, 250)))
                                    .turning(false)));

    private static NestTask task() {
        return NestTasks.task(
                List.of(
                        NestTasks.line("square", SQUARE, 3, AllowedTurns.ANY),
                        NestTasks.line("disc", DISC, 1, AllowedTurns.ANY),
                        NestTasks.line("ring", RING, 1, AllowedTurns.ANY)),
                NestTasks.sheet(1000, 500));
    }

    private static NestPlacement at(String line, double x, double y) {
        return new NestPlacement(line, new Point(x, y), 0, false, false);
    }

    @Test
    void itTellsTheFrontWithAndWithoutAPartAndItsNearestNeighbours() {
        NestedSheet sheet =
                new NestedSheet(
                        "full",
                        List.of(
                                at("square", 10, 12),
                                at("square", 120, 12),
                                at("disc", 290, 62),
                                at("square", 850, 380)));
        NestPlace place = NestPlace.of(task(), sheet, 1);
        assertThat(place.box().min().x()).isCloseTo(120, within(1e-9));
        // 10 mm to the left, 20 mm to the disc on the right, 12 mm to the lower edge
        assertThat(place.nearest())
                .extracting(NestPlace.Neighbour::line)
                .containsExactly("square", "", "disc");
        assertThat(place.nearest())
                .extracting(NestPlace.Neighbour::distance)
                .satisfiesExactly(
                        d -> assertThat(d).isCloseTo(10, within(1e-6)),
                        d -> assertThat(d).isCloseTo(12, within(1e-6)),
                        d -> assertThat(d).isCloseTo(20, within(1e-6)));
        assertThat(place.front()).isCloseTo(950, within(1e-9));
        assertThat(place.without()).isCloseTo(950, within(1e-9));
        NestPlace last = NestPlace.of(task(), sheet, 3);
        assertThat(last.without()).isCloseTo(340, within(1e-6));
    }

    @Test
    void whatLiesInAnOpeningIsNextToItsEdge() {
        NestedSheet sheet =
                new NestedSheet("full", List.of(at("ring", 20, 20), at("square", 80, 100)));
        NestPlace place = NestPlace.of(task(), sheet, 1);
        assertThat(place.nearest().get(0).line()).isEqualTo("ring");
        assertThat(place.nearest().get(0).distance()).isCloseTo(10, within(1e-6));
        NestPlace alone =
                NestPlace.of(task(), new NestedSheet("full", List.of(at("disc", 500, 250))), 0);
        assertThat(alone.nearest()).hasSize(1);
        assertThat(alone.without()).isZero();
    }
}
