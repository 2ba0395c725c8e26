package dev.oleander.nesting.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.Sheets;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.quantity.FormulaException;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people decide about a nest, and what is said against it. */
class NestChoicesTest {

    private static final PartLine LINE = PartLine.of("l1", new PartRef("A", "p2"), 4);
    private static final StockLine SHEET = StockLine.plain("s1", 2000, 1000);

    private static <T> T put(List<Value<T>> values, T of, String word, String text) {
        return Value.find(values, word).orElseThrow().put(of, text);
    }

    private static <T> void assertKept(List<Value<T>> values, T of, String word, String text) {
        T changed = put(values, of, word, text);
        assertThat(Value.find(values, word).orElseThrow().get(changed)).contains(text);
    }

    @ParameterizedTest
    @CsvSource({
        "quantity, 12",
        "priority, 3",
        "due, 2027-03-31",
        "fill, true",
        "turns, quarter",
        "turns, 30",
        "turns, fixed",
        "mirror, true",
        "gap, 12.5"
    })
    void aValueOfALineIsKeptAsItWasTyped(String word, String text) {
        assertKept(NestValues.OF_LINES, LINE, word, text);
    }

    @ParameterizedTest
    @CsvSource({"width, 1500.5", "height, 750", "count, 3", "price, 41.3", "grain, 90"})
    void aValueOfASheetIsKeptAsItWasTyped(String word, String text) {
        assertKept(NestValues.OF_STOCK, SHEET, word, text);
    }

    @ParameterizedTest
    @CsvSource({
        "gap, 4.5",
        "margin, 12",
        "partsInOpenings, false",
        "leastRest, 300",
        "restShare, 40"
    })
    void aDistanceIsKeptAsItWasTyped(String word, String text) {
        assertKept(NestValues.OF_NESTS, DistanceChoices.USUAL, word, text);
    }

    @Test
    void whatCannotBeIsToldWithItsLimits() {
        assertThatThrownBy(() -> put(NestValues.OF_LINES, LINE, "quantity", "0"))
                .isInstanceOf(FormulaException.class)
                .hasMessageContaining("between 1 and 5000");
        assertThatThrownBy(() -> put(NestValues.OF_LINES, LINE, "quantity", ""))
                .isInstanceOf(ValueException.class)
                .hasMessage("A quantity is needed here.");
        assertThatThrownBy(() -> put(NestValues.OF_LINES, LINE, "turns", "7"))
                .isInstanceOf(NestException.class)
                .hasMessageContaining("divide 360");
        assertThatThrownBy(() -> put(NestValues.OF_LINES, LINE, "turns", "often"))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("says no turns");
        assertThatThrownBy(() -> put(NestValues.OF_LINES, LINE, "due", "soon"))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("2027-03-31");
        assertThatThrownBy(() -> StockLine.plain("s1", -1, 5))
                .isInstanceOf(NestException.class)
                .hasMessageContaining("-1 x 5 mm");
        StockLine remnant = new StockLine("r7", 500, 300, null, 1, null, null, 7L);
        assertThatThrownBy(() -> put(NestValues.OF_STOCK, remnant, "count", "3"))
                .isInstanceOf(ValueException.class)
                .hasMessageContaining("one of a remnant");
    }

    private static Loop loop(double... numbers) {
        return new Loop(Arrays.stream(numbers).boxed().toList());
    }

    @Test
    void outlinesThatCrossThemselvesAreRefusedWithThePlace() {
        Loop bow = loop(0, 0, 0, 100, 100, 0, 100, 0, 0, 0, 100, 0);
        assertThatThrownBy(() -> StockLine.outlined("s2", List.of(bow)))
                .isInstanceOf(NestException.class)
                .hasMessage("The outline of the sheet s2 crosses itself at 50, 50.");
        Loop square = loop(0, 0, 0, 100, 0, 0, 100, 100, 0, 0, 100, 0);
        Loop hole = loop(90, 40, 0, 120, 40, 0, 120, 60, 0, 90, 60, 0);
        assertThatThrownBy(() -> StockLine.outlined("s3", List.of(square, hole)))
                .hasMessageContaining("crosses itself at 100");
        assertThat(StockLine.outlined("s4", List.of(square)).region().area()).isEqualTo(10_000);
    }

    @Test
    void whatIsTakenOutTakesItsPartsAlong() {
        NestPlacement a = new NestPlacement("l1", Point.ORIGIN, 0, false, false);
        NestPlacement b = new NestPlacement("l2", Point.ORIGIN, 0, false, true);
        NestChoices choices =
                NestChoices.empty()
                        .withLines(List.of(LINE, LINE.withId("l2")))
                        .withStock(List.of(SHEET, SHEET.withId("s2")))
                        .withLaid(
                                List.of(
                                        new NestedSheet("s1", List.of(a, b)),
                                        new NestedSheet("s2", List.of(a))));
        assertThat(choices.placed()).containsEntry("l1", 2).containsEntry("l2", 1);
        assertThat(choices.withoutLine("l1").laid())
                .containsExactly(new NestedSheet("s1", List.of(b)));
        assertThat(choices.withoutStock("s1").laid())
                .containsExactly(new NestedSheet("s2", List.of(a)));
        assertThat(Sheets.locked(choices.laid()))
                .containsExactly(new NestedSheet("s1", List.of(b)));
        assertThat(choices.nextLine()).isEqualTo("l3");
        assertThat(choices.withoutLine("l1").nextLine()).isEqualTo("l3");
    }
}
