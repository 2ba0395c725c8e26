package dev.oleander.web.job;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.OrderField;
import dev.oleander.web.job.document.Orders;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.document.SheetField;
import dev.oleander.web.job.store.Stage;
import dev.oleander.work.sheet.choice.OrderRule;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What people type becomes decisions, or a sentence. */
class EditFieldsTest {

    private static final JobDocument DOCUMENT =
            new JobDocument(
                    new JobDocument.Order("Job", "teasel", "mild steel", Typed.of(6), 1),
                    ShapeChoices.of(List.of(1L)),
                    SheetChoices.defaults(),
                    Map.of());

    @ParameterizedTest
    @EnumSource(SheetField.class)
    void everyValueOfTheSheetIsAsUsualWhenItsFieldIsEmptied(SheetField field) {
        SheetChoices usual = SheetChoices.usual();
        String text =
                switch (field) {
                    case STOCK -> "around";
                    case ZERO_OF -> "part";
                    case ANCHOR -> "top_right";
                    case MIRRORED, COMMON_LINES -> "true";
                    case HELD_AT -> "left";
                    case KEEP_OUT -> "0, 0, 100, 50, 20";
                    default -> "7";
                };
        SheetChoices set = field.set(usual, text);
        assertThat(set).isNotEqualTo(usual);
        assertThat(field.set(set, " ")).isEqualTo(usual);
    }

    @Test
    void aToleranceIsAsUsualWhenItsFieldIsEmptied() {
        JobDocument set = OrderField.FIT.set(DOCUMENT, "0.05");
        assertThat(set).isNotEqualTo(DOCUMENT);
        assertThat(OrderField.FIT.set(set, "")).isEqualTo(DOCUMENT);
    }

    @ParameterizedTest
    @CsvSource({
        "STOCK, around",
        "WIDTH, 900",
        "HEIGHT, 2 in",
        "ALLOWANCE, 3",
        "ZERO_OF, part",
        "ANCHOR, top_right",
        "TURN, 45",
        "ROWS, 2",
        "COLUMNS, 3",
        "GAP, 4",
        "MARGIN, 5",
        "MIRRORED, true"
    })
    void everyValueOfTheSheetChangesTheSheetOnly(SheetField field, String text) {
        SheetChoices changed = field.set(SheetChoices.defaults(), text);
        assertThat(changed).isNotEqualTo(SheetChoices.defaults());
        assertThat(SheetField.ofWord(field.word())).contains(field);
        JobDocument document = DOCUMENT.withSheet(changed);
        assertThat(document.withSheet(SheetChoices.defaults())).isEqualTo(DOCUMENT);
    }

    @Test
    void emptyTextFindsRowsAndGapsAgain() {
        SheetChoices set = SheetField.ROWS.set(SheetChoices.defaults(), "2");
        assertThat(SheetField.ROWS.set(set, "")).isEqualTo(SheetChoices.defaults());
        assertThat(SheetField.WIDTH.set(set, "").width()).as("as is usual").isNull();
        assertThat(SheetField.TURN.set(SheetField.TURN.set(set, "90"), "")).isEqualTo(set);
        assertThatThrownBy(() -> SheetField.ANCHOR.set(set, "middle"))
                .hasMessageContaining("not one of the choices");
    }

    @Test
    void valuesOfTheJobAreSet() {
        assertThat(OrderField.NAME.set(DOCUMENT, " New ").name()).isEqualTo("New");
        assertThat(OrderField.UNIT.set(DOCUMENT, "in").shape().unit()).isEqualTo(LengthUnit.INCH);
        assertThat(OrderField.UNIT.set(DOCUMENT, "").shape().unit()).isNull();
        assertThat(OrderField.FIT.set(DOCUMENT, "0.2").shape().fit().value()).isEqualTo(0.2);
        assertThat(Orders.by(DOCUMENT, SHEET, "shortest").choices(SHEET).order())
                .isEqualTo(OrderRule.SHORTEST);
        assertThatThrownBy(() -> OrderField.FIT.set(DOCUMENT, "5"))
                .hasMessageContaining("between 0.0005 and 1");
        assertThat(OrderField.ofWord("fit")).contains(OrderField.FIT);
    }

    @Test
    void stagesHaveWordsAndLabels() {
        assertThat(Stage.ofWord("proof")).contains(Stage.PROOF);
        assertThat(Stage.ofWord("Proof")).isEmpty();
        assertThat(Stage.SHEET.label()).isEqualTo("Sheet");
    }
}
