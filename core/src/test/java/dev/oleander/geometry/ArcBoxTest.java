package dev.oleander.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class ArcBoxTest {

    /** Places along an arc; the box is missed by less than 1 - cos(pi / n) of the radius. */
    private static final int PLACES = 2000;

    @Property(tries = 400)
    void theBoxIsThatOfManyPlacesAlongTheArc(
            @ForAll @DoubleRange(min = -1, max = 1) double x,
            @ForAll @DoubleRange(min = -1, max = 1) double y,
            @ForAll @DoubleRange(min = -6.28, max = 6.28) double from,
            @ForAll @DoubleRange(min = 0.01, max = 6.28) double sweep,
            @ForAll boolean left) {
        Arc arc = Arc.about(new Point(1000 * x, 1000 * y), 50, from, left ? sweep : -sweep);
        Box sampled = Box.of(arc.start(), arc.end());
        for (int i = 1; i < PLACES; i++) {
            Point p = arc.at((double) i / PLACES);
            sampled = sampled.union(new Box(p, p));
        }
        Box box = arc.box();
        assertThat(box.grown(1e-9).contains(sampled)).isTrue();
        assertThat(box.width()).isCloseTo(sampled.width(), within(2e-4));
        assertThat(box.height()).isCloseTo(sampled.height(), within(2e-4));
    }

    @Property(tries = 200)
    void aNearlyStraightArcKeepsItsHeight(@ForAll @DoubleRange(min = 3, max = 9) double digits) {
        double bulge = Math.pow(10, -digits);
        Arc arc = new Arc(new Point(-10, 4), new Point(10, 4), bulge);
        // turning left it hangs below its chord by the bulge times half the chord
        assertThat(arc.box().height()).isCloseTo(10 * bulge, within(1e-12));
        assertThat(arc.box().max().y()).isEqualTo(4);
    }
}
