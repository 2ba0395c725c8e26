package dev.oleander.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class BoxTest {

    private static final Box UNIT = Box.of(new Point(0, 0), new Point(10, 5));

    @Test
    void howFarItReachesBeyondIsTheGreatestOfAllSides() {
        assertThat(UNIT.beyond(UNIT)).isZero();
        assertThat(UNIT.beyond(UNIT.grown(1))).isZero();
        assertThat(UNIT.grown(2).beyond(UNIT)).isEqualTo(2);
        assertThat(Box.of(new Point(-3, 1), new Point(4, 6)).beyond(UNIT)).isEqualTo(3);
        assertThat(Box.of(new Point(1, 1), new Point(4, 9)).beyond(UNIT)).isEqualTo(4);
    }

    @Property
    void whatReachesNowhereBeyondIsContained(
            @ForAll @DoubleRange(min = -20, max = 20) double x0,
            @ForAll @DoubleRange(min = -20, max = 20) double y0,
            @ForAll @DoubleRange(min = -20, max = 20) double x1,
            @ForAll @DoubleRange(min = -20, max = 20) double y1) {
        Box box = Box.of(new Point(x0, y0), new Point(x1, y1));
        assertThat(box.beyond(UNIT) == 0).isEqualTo(UNIT.contains(box));
        Box grown = UNIT.grown(box.beyond(UNIT));
        assertThat(box.beyond(grown)).isLessThan(1e-9);
        assertThat(Box.around(List.of(box, UNIT)).contains(box)).isTrue();
    }

    @Test
    void growingKeepsTheMiddle() {
        Box grown = UNIT.grown(3);
        assertThat(grown.centre()).isEqualTo(UNIT.centre());
        assertThat(grown.width()).isEqualTo(16);
        assertThat(grown.height()).isEqualTo(11);
    }
}
