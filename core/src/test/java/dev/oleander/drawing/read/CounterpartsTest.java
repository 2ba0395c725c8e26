package dev.oleander.drawing.read;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.Map;
import org.junit.jupiter.api.Test;

class CounterpartsTest {

    /** An angle with a hole, the same turned by a right angle, the same turned over, a plate. */
    private static final Reading PARTS =
            new Drawn()
                    .closed(0, 0, 60, 0, 60, 20, 20, 20, 20, 40, 0, 40)
                    .circle(50, 10, 4)
                    .closed(200, 0, 200, 60, 180, 60, 180, 20, 160, 20, 160, 0)
                    .circle(190, 50, 4)
                    .closed(300, 0, 240, 0, 240, 20, 280, 20, 280, 40, 300, 40)
                    .circle(250, 10, 4)
                    .rectangle(400, 0, 60, 40)
                    .reading();

    private static Feature round(Reading reading, double x, double y) {
        return reading.features().stream()
                .filter(f -> f.circleDiameter().isPresent())
                .filter(f -> f.contour().centroid().distance(new Point(x, y)) < 1e-6)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void everyEqualPartHasTheContourTurnedOrTurnedOver() {
        Feature hole = round(PARTS, 50, 10);
        Map<String, Transform> found = new Counterparts(PARTS, 0.01).of(hole);
        assertThat(found).hasSize(2);
        assertThat(Counterparts.count(PARTS, hole.part().orElseThrow())).isEqualTo(2);
        assertThat(Counterparts.count(PARTS, "p99")).isZero();
        Feature turned = round(PARTS, 190, 50);
        Feature over = round(PARTS, 250, 10);
        assertThat(found).containsOnlyKeys(turned.id(), over.id());
        Point corner = new Point(60, 0);
        assertThat(found.get(turned.id()).apply(corner).distance(new Point(200, 60)))
                .isLessThan(1e-6);
        assertThat(found.get(over.id()).isMirrored()).isTrue();
        assertThat(found.get(over.id()).apply(corner).distance(new Point(240, 0))).isLessThan(1e-6);
    }

    @Test
    void aPartOfItsOwnHasNone() {
        Feature alone =
                PARTS.features().stream()
                        .filter(f -> f.chain().box().min().x() > 399)
                        .findFirst()
                        .orElseThrow();
        assertThat(new Counterparts(PARTS, 0.01).of(alone)).isEmpty();
    }
}
