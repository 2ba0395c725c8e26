package dev.oleander.nesting.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestBudget;
import dev.oleander.nesting.NestProgress;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestTasks;
import dev.oleander.nesting.NestedSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Bodies that are told lie apart where the parts keep their distances. */
class SheetBodiesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    @Property(tries = 25)
    void bodiesOfALegalNestLieApartAndWithinTheRoom(@ForAll @LongRange(max = 1_000) long seed) {
        NestTask task = NestTasks.random(new SplittableRandom(seed));
        Nest nest = Nester.nest(task, NestBudget.ofRounds(1, 1, seed), NestProgress.NONE);
        for (NestedSheet sheet : nest.sheets()) {
            SheetBodies bodies = SheetBodies.of(task, sheet);
            assertThat(bodies.parts()).hasSameSizeAs(sheet.placements());
            List<Geometry> all =
                    new ArrayList<>(bodies.parts().stream().map(this::geometry).toList());
            for (Geometry part : all) {
                var box = part.getEnvelopeInternal();
                assertThat(box.getMinX()).isGreaterThan(bodies.room().min().x() - 1e-3);
                assertThat(box.getMaxY()).isLessThan(bodies.room().max().y() + 1e-3);
            }
            all.addAll(bodies.fixed().stream().map(this::geometry).toList());
            for (int i = 0; i < all.size(); i++) {
                for (int j = 0; j < Math.min(i, sheet.placements().size()); j++) {
                    double shared = all.get(i).intersection(all.get(j)).getArea();
                    assertThat(shared).isCloseTo(0, within(0.05));
                }
            }
        }
    }

    private Geometry geometry(List<double[]> loops) {
        Geometry area = FACTORY.createPolygon();
        for (double[] loop : loops) {
            Coordinate[] corners = new Coordinate[loop.length / 2 + 1];
            for (int i = 0; i < corners.length; i++) {
                int k = i % (corners.length - 1);
                corners[i] = new Coordinate(loop[2 * k], loop[2 * k + 1]);
            }
            area = area.symDifference(FACTORY.createPolygon(corners).buffer(0));
        }
        return area;
    }
}
