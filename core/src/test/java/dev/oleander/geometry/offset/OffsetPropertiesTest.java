package dev.oleander.geometry.offset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Judge;
import dev.oleander.geometry.LongRun;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.enclose.ConvexHull;
import java.util.List;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

class OffsetPropertiesTest {

    private final Offsetter offsetter = Offsetter.round();

    @Property(tries = 1500)
    void everyPointKeepsTheDistanceAndStepsAddUp(@ForAll long seed) {
        OffsetLaws laws = new OffsetLaws(seed);
        Assume.that(laws.isSimple());
        assertThat(laws.broken()).isEmpty();
    }

    @Property(tries = 200)
    void areasAgreeWithAnotherLibrary(@ForAll long seed) {
        OffsetLaws laws = new OffsetLaws(seed);
        Assume.that(laws.isSimple());
        assertThat(laws.brokenForJudge()).isEmpty();
    }

    /** J. Steiner, 1840: A + P d + pi d^2 for a convex shape. */
    @Property(tries = 300)
    void convexShapesGrowBySteinersFormula(@ForAll long seed) {
        RandomShapes shapes = new RandomShapes(seed);
        Contour hull = ConvexHull.of(List.of(shapes.contour(seed % 2 == 0 ? 0 : 4)));
        double d = shapes.between(0.01, 20);
        double expected = hull.area() + hull.length() * d + Math.PI * d * d;
        assertThat(Judge.area(offsetter.offset(hull, d))).isCloseTo(expected, within(1e-8));
    }

    @Property(tries = 300)
    void similaritiesCommuteWithOffsets(@ForAll long seed) {
        RandomShapes shapes = new RandomShapes(seed);
        Region region = new Region(shapes.contour(1 + shapes.random().nextInt(4)), List.of());
        double d = shapes.between(-2, 2);
        Transform turn =
                Transform.mirror()
                        .then(Transform.rotation(shapes.between(0, 6)))
                        .then(Transform.scaling(shapes.between(0.5, 3)))
                        .then(Transform.translation(new Point(shapes.between(-99, 99), 5)));
        double first = Judge.area(offsetter.offset(region.transformed(turn), d * turn.scale()));
        double second = Judge.area(offsetter.offset(region, d)) * turn.scale() * turn.scale();
        assertThat(first).isCloseTo(second, within(1e-7));
    }

    /** {@code -Doleander.long=1000000} looks at so many shapes, on all processors. */
    @Test
    @EnabledIfSystemProperty(named = LongRun.SWITCH, matches = "\\d+")
    void manyShapes() {
        LongRun.of(
                seed -> {
                    OffsetLaws laws = new OffsetLaws(seed);
                    return laws.isSimple() ? laws.broken() : List.of();
                });
    }
}
