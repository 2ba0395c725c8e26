package dev.oleander.geometry;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class DistancesTest {

    @Test
    void closedForms() {
        Arc arc = Arc.about(p(0, 0), 5, 0, Math.PI);
        assertDistance(arc, new Line(p(-10, 8), p(10, 8)), 3);
        assertDistance(arc, Arc.about(p(0, 20), 4, Math.PI, Math.PI), 11);
        assertDistance(arc, new Line(p(-4, 1), p(4, 1)), 5 - Math.sqrt(17));
        assertDistance(new Line(p(0, 0), p(10, 0)), new Line(p(2, 3), p(8, 3)), 3);
        assertDistance(new Line(p(0, 0), p(10, 10)), new Line(p(0, 10), p(10, 0)), 0);
    }

    private static void assertDistance(Segment a, Segment b, double expected) {
        assertThat(Distances.between(a, b).distance()).isCloseTo(expected, within(1e-4));
        assertThat(Distances.between(b, a).distance()).isCloseTo(expected, within(1e-4));
    }

    /** No sampled pair is nearer, and some is hardly farther. */
    @Property(tries = 400)
    void agreesWithSampling(
            @ForAll @DoubleRange(min = -20, max = 20) double x,
            @ForAll @DoubleRange(min = -20, max = 20) double y,
            @ForAll @DoubleRange(min = -3, max = 3) double bulge,
            @ForAll @DoubleRange(min = -3, max = 3) double otherBulge) {
        Segment a = segment(p(0, 0), p(10, 2), bulge);
        Segment b = segment(p(x, y), p(x + 4, y + 7), otherBulge);
        double found = Distances.between(a, b).distance();
        double sampled = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= 400; i++) {
            Point at = a.at(i / 400.0);
            sampled = Math.min(sampled, b.distance(at));
        }
        assertThat(found).isLessThanOrEqualTo(sampled + 1e-9);
        assertThat(found).isGreaterThan(sampled - a.length() / 400);
    }

    private static Segment segment(Point from, Point to, double bulge) {
        return Math.abs(bulge) < 1e-3 ? new Line(from, to) : new Arc(from, to, bulge);
    }
}
