package dev.oleander.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FormulaTest {

    @ParameterizedTest
    @CsvSource({
        "12.5, 12.5",
        "'12,5', 12.5",
        "3*12.5, 37.5",
        "1/2 in, 12.7",
        "1/2 in + 0.4, 13.1",
        "0.4 + 1/8 in, 3.575",
        "2 cm, 20",
        "1/4\", 6.35",
        "90°, 90",
        "r/2, 4.5",
        "(r+1)*2, 20",
        "-5, -5",
        "2^3, 8",
        "-2^2, 4",
        "2^-2, 0.25",
        "20*SIN(30), 10",
        "sqrt(r), 3",
        "ABS(-4) + FLOOR(2.7) + CEILING(2.2), 9",
        "2*PI, 6.283185307179586",
        "1e2, 100"
    })
    void understandsWhatPeopleType(String text, double expected) {
        assertThat(Formula.evaluate(text, Map.of("r", 9.0))).isCloseTo(expected, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "abc", "1/0", "3*", "1;2", "sqrt", "#", "1 2"})
    void refusesTheRestWithASentence(String text) {
        assertThatThrownBy(() -> Formula.evaluate(text, Map.of()))
                .isInstanceOf(FormulaException.class)
                .message()
                .endsWith(".");
    }

    @Test
    void staysWithinItsLimits() {
        assertThat(Typed.parse("1/2 in", Map.of()).within("The radius", 0, 20).value())
                .isCloseTo(12.7, within(1e-12));
        assertThatThrownBy(() -> Typed.parse("-3", Map.of()).within("The radius", 0.05, 500))
                .hasMessage("The radius is -3; it must lie between 0.05 and 500.");
    }

    @Test
    void veryLongTextIsRefused() {
        assertThatThrownBy(() -> Formula.evaluate("1+".repeat(200) + "1", Map.of()))
                .hasMessageContaining("longer than 200");
    }

    @Test
    void numbersAreWrittenForReading() {
        assertThat(Numbers.plain(12.5000, 3)).isEqualTo("12.5");
        assertThat(Numbers.plain(-0.00001, 3)).isEqualTo("0");
        assertThat(Numbers.length(0.02)).isEqualTo("0.02 mm");
        assertThat(Numbers.duration(4.2)).isEqualTo("4.2 s");
        assertThat(Numbers.duration(727)).isEqualTo("12:07");
        assertThat(Numbers.duration(3727)).isEqualTo("1:02:07");
    }

    /** Each was refused or ended in far less than the second it is given here. */
    @ParameterizedTest
    @Timeout(1)
    @ValueSource(
            strings = {
                "4+RANDOM()*6",
                "FACT(10000000)",
                "2^-999999999",
                "2^999999999",
                "9^9^9^9",
                "1e999999999+1",
                "1e-999999999*3",
                "0.1^(1/0)",
                "IF(1 > 0)",
                "DT_NOW()"
            })
    void isPureAndBounded(String text) {
        assertThatThrownBy(() -> Formula.evaluate(text, Map.of()))
                .isInstanceOf(FormulaException.class);
    }
}
