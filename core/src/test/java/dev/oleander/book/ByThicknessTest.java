package dev.oleander.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class ByThicknessTest {

    private record Row(String id, double thickness, double value) implements BookRow {

        @Override
        public String label() {
            return id;
        }

        @Override
        public String material() {
            return "plywood";
        }
    }

    private static final ByThickness<Row> ROWS =
            new ByThickness<>(
                    List.of(
                            new Row("thick", 12, 300),
                            new Row("thin", 4, 900),
                            new Row("usual", 6, 700)));

    private static Row mixed(ByThickness.Between<Row> between) {
        return new Row("mixed", between.thickness(), between.value(Row::value));
    }

    @Test
    void aThicknessThatIsThereIsThatRow() {
        assertThat(ROWS.at(6, ByThicknessTest::mixed).id()).isEqualTo("usual");
        assertThat(ROWS.at(6 + 1e-7, ByThicknessTest::mixed).id())
                .as("rounding")
                .isEqualTo("usual");
        assertThat(ROWS.at(4, ByThicknessTest::mixed).id()).isEqualTo("thin");
        assertThat(ROWS.at(12, ByThicknessTest::mixed).id()).isEqualTo("thick");
    }

    @Test
    void nothingIsReachedBeyondTheThinnestAndTheThickest() {
        assertThat(ROWS.reaches(3.99)).isFalse();
        assertThat(ROWS.reaches(12.01)).isFalse();
        assertThat(ROWS.reaches(4 - 1e-7)).isTrue();
        assertThat(ROWS.least()).isEqualTo(4);
        assertThat(ROWS.most()).isEqualTo(12);
        assertThat(new ByThickness<Row>(List.of()).reaches(5)).isFalse();
    }

    @Property
    void betweenTwoRowsAValueLiesOnTheStraightLine(
            @ForAll @DoubleRange(min = 4.01, max = 11.99) double thickness) {
        double expected =
                thickness <= 6
                        ? 900 + (700 - 900) * (thickness - 4) / 2
                        : 700 + (300 - 700) * (thickness - 6) / 6;
        assertThat(ROWS.at(thickness, ByThicknessTest::mixed).value())
                .isCloseTo(expected, within(0.001));
    }
}
