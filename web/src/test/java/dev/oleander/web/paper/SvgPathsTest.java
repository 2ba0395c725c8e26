package dev.oleander.web.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SvgPathsTest {

    private static String number(double value, int decimals) {
        StringBuilder text = new StringBuilder();
        SvgPaths.number(text, value, decimals);
        return text.toString();
    }

    @ParameterizedTest
    @CsvSource({
        "0, 2, 0",
        "-0.001, 2, 0",
        "1.5, 2, 1.5",
        "-12.345678, 3, -12.346",
        "0.05, 2, 0.05",
        "99.999, 2, 100",
        "1200, 0, 1200",
        "-0.5, 1, -0.5"
    })
    void needlessZerosAreLeftOut(double value, int decimals, String text) {
        assertThat(number(value, decimals)).isEqualTo(text);
    }

    @Test
    void readsAsTheSameNumber() {
        SplittableRandom random = new SplittableRandom(5);
        for (int k = 0; k < 2000; k++) {
            double value = (random.nextDouble() - 0.5) * 1e5;
            assertThat(Math.abs(Double.parseDouble(number(value, 3)) - value))
                    .isLessThanOrEqualTo(0.0005 + 1e-9);
        }
    }
}
