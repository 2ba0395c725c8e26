package dev.oleander.web.job;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Value;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.store.Stage;
import dev.oleander.work.sheet.choice.OrderRule;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What people type becomes decisions, or a sentence. */
class EditFieldsTest {

    private static final JobDocument DOCUMENT =
            new JobDocument(
                    new JobDocument.Order("Job", "teasel", "mild steel", Typed.of(6), 1),
                    ShapeChoices.of(List.of(1L)),
                    SheetChoices.defaults(),
                    Map.of());

    static Stream<Arguments> valuesOfTheSheet() {
        Map<Value<SheetChoices>, String> texts = new HashMap<>();
        texts.put(BedValues.STOCK, "around");
        texts.put(BedValues.REST, "around");
        texts.put(BedValues.HEIGHT, "2 in");
        texts.put(BedValues.ZERO_OF, "part");
        texts.put(BedValues.ANCHOR, "top_right");
        texts.put(BedValues.MIRRORED, "true");
        texts.put(BedValues.COMMON_LINES, "true");
        texts.put(BedValues.HELD_AT, "left");
        texts.put(BedValues.KEEP_OUT, "0, 0, 100, 50, 20");
        return BedValues.ALL.stream().map(v -> Arguments.of(v, texts.getOrDefault(v, "7")));
    }

    @ParameterizedTest
    @MethodSource("valuesOfTheSheet")
    void everyValueOfTheSheetIsAsUsualWhenItsFieldIsEmptied(
            Value<SheetChoices> value, String text) {
        SheetChoices usual = SheetChoices.usual();
        SheetChoices set = value.put(usual, text);
        assertThat(set).isNotEqualTo(usual);
        assertThat(value.put(set, " ")).isEqualTo(usual);
        for (Value<SheetChoices> other : BedValues.ALL) {
            assertThat(other.get(set).equals(other.get(usual)))
                    .as("%s after %s was set", other.word(), value.word())
                    .isEqualTo(!other.word().equals(value.word()));
        }
    }

    @ParameterizedTest
    @MethodSource("valuesOfTheSheet")
    void whatIsSetIsReadAgainAsItWasTyped(Value<SheetChoices> value, String text) {
        SheetChoices set = value.put(SheetChoices.usual(), text);
        assertThat(value.get(set)).contains(text);
        assertThat(Value.find(BedValues.ALL, value.word())).containsSame(value);
    }

    @Test
    void aToleranceIsAsUsualWhenItsFieldIsEmptied() {
        JobDocument set = OrderValues.FIT.put(DOCUMENT, "0.05");
        assertThat(set).isNotEqualTo(DOCUMENT);
        assertThat(OrderValues.FIT.put(set, "")).isEqualTo(DOCUMENT);
    }

    @Test
    void emptyTextFindsRowsAndGapsAgain() {
        SheetChoices set = BedValues.ROWS.put(SheetChoices.defaults(), "2");
        assertThat(BedValues.ROWS.put(set, "")).isEqualTo(SheetChoices.defaults());
        assertThat(BedValues.WIDTH.put(set, "").width()).as("as is usual").isNull();
        assertThat(BedValues.TURN.put(BedValues.TURN.put(set, "90"), "")).isEqualTo(set);
        assertThatThrownBy(() -> BedValues.ANCHOR.put(set, "middle"))
                .hasMessageContaining("no zero point: bottom_left");
    }

    @Test
    void valuesOfTheJobAreSet() {
        assertThat(OrderValues.NAME.put(DOCUMENT, " New ").name()).isEqualTo("New");
        assertThat(OrderValues.UNIT.put(DOCUMENT, "in").shape().unit()).isEqualTo(LengthUnit.INCH);
        assertThat(OrderValues.UNIT.put(DOCUMENT, "").shape().unit()).isNull();
        assertThat(OrderValues.FIT.put(DOCUMENT, "0.2").shape().fit().value()).isEqualTo(0.2);
        assertThat(Orders.by(DOCUMENT, SHEET, "shortest").choices(SHEET).order())
                .isEqualTo(OrderRule.SHORTEST);
        assertThatThrownBy(() -> OrderValues.FIT.put(DOCUMENT, "5"))
                .hasMessageContaining("between 0.0005 and 1");
        assertThat(Value.find(OrderValues.ALL, "fit")).contains(OrderValues.FIT);
    }

    @Test
    void stagesHaveWordsAndLabels() {
        assertThat(Stage.ofWord("proof")).contains(Stage.PROOF);
        assertThat(Stage.ofWord("Proof")).isEmpty();
        assertThat(Stage.SHEET.label()).isEqualTo("Sheet");
    }
}
