package dev.oleander.web.job;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.LeadKind;
import dev.oleander.plan.OrderRule;
import dev.oleander.plan.SheetChoices;
import dev.oleander.plan.Side;
import dev.oleander.plan.StopChoice;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What people type becomes decisions, or a sentence. */
class EditFieldsTest {

    private static StopField.Entry typed(String text) {
        return new StopField.Entry(text, Map.of("r", 5.0, "t", 6.0));
    }

    private static final JobDocument DOCUMENT =
            new JobDocument(
                    new JobDocument.Order("Job", "teasel", "mild steel", Typed.of(6), 1),
                    ShapeChoices.of(List.of(1L)),
                    SheetChoices.defaults(),
                    Map.of());

    @Test
    void valuesOfAStopAreSet() {
        StopChoice stop = StopChoice.NOTHING;
        stop = StopField.SIDE.set(stop, typed("inside"));
        stop = StopField.LEAD_IN_KIND.set(stop, typed("lineArc"));
        stop = StopField.LEAD_IN_LENGTH.set(stop, typed("1/4 in"));
        stop = StopField.LEAD_IN_RADIUS.set(stop, typed("r/2"));
        stop = StopField.LEAD_OUT_KIND.set(stop, typed("line"));
        stop = StopField.LEAD_OUT_LENGTH.set(stop, typed("t"));
        stop = StopField.OVER_RUN.set(stop, typed("0"));
        assertThat(stop.side()).isEqualTo(Side.INSIDE);
        assertThat(stop.leadIn().kind()).isEqualTo(LeadKind.LINE_ARC);
        assertThat(stop.leadIn().length()).isEqualTo(new Typed("1/4 in", 6.35));
        assertThat(stop.leadIn().radius().value()).isEqualTo(2.5);
        assertThat(stop.leadOut().length().value()).isEqualTo(6);
        assertThat(stop.overRun().value()).isZero();
    }

    @ParameterizedTest
    @EnumSource(value = StopField.class, mode = EnumSource.Mode.EXCLUDE, names = "TAB_REMOVE")
    void everyValueOfAStopCanBePutBack(StopField field) {
        String text =
                switch (field) {
                    case SIDE -> "on";
                    case QUALITY -> "fine";
                    case LEAD_IN_KIND, LEAD_OUT_KIND -> "arc";
                    case TAB_SPACING -> "60";
                    case CORNERS -> "loop";
                    case FILM -> "yes";
                    case COMPENSATION -> "both";
                    default -> "2";
                };
        StopChoice set = field.set(StopChoice.NOTHING, typed(text));
        assertThat(set.isNothing()).isFalse();
        assertThat(field.set(set, typed(null)).isNothing()).isTrue();
        assertThat(field.set(set, typed(" ")).isNothing()).as("a field that was emptied").isTrue();
        assertThat(StopField.ofWord(field.word())).contains(field);
        assertThat(field.label()).isNotBlank();
    }

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

    @Test
    void tabsArePutAndTakenAwayOneByOne() {
        StopChoice stop = StopField.TAB_ADD.set(StopChoice.NOTHING, typed("40"));
        stop = StopField.TAB_ADD.set(stop, typed("90.5"));
        assertThat(stop.tabs().at()).extracting(Typed::value).containsExactly(40.0, 90.5);
        stop = StopField.TAB_REMOVE.set(stop, typed("41"));
        assertThat(stop.tabs().at()).extracting(Typed::value).containsExactly(90.5);
        stop = StopField.TAB_AT.set(stop, typed("10; 20 30"));
        assertThat(stop.tabs().at()).extracting(Typed::value).containsExactly(10.0, 20.0, 30.0);
        assertThat(StopField.TAB_COUNT.set(stop, typed("4")).tabs().at()).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource({
        "TAB_COUNT, 2.5, whole number",
        "TAB_LENGTH, -1, between 0.05 and 50",
        "PASSES, 0, between 1 and 50",
        "CORNERS, wavy, no form of corner",
        "FILM, perhaps, neither yes nor no",
        "LEAD_IN_LENGTH, 0, between 0.05 and 500",
        "LEAD_IN_RADIUS, 501, between 0.05 and 500",
        "LEAD_IN_ANGLE, 200, between 1 and 180",
        "OVER_RUN, -1, between 0 and 100",
        "START, -5, between 0 and 1000000",
        "LEAD_OUT_LENGTH, long, is not a number"
    })
    void numbersOutOfLimitsAreRefused(StopField field, String text, String sentence) {
        assertThatThrownBy(() -> field.set(StopChoice.NOTHING, typed(text)))
                .isInstanceOfAny(FormulaException.class, RefusedEditException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void wordsThatAreNoneAreRefused() {
        assertThatThrownBy(() -> StopField.SIDE.set(StopChoice.NOTHING, typed("above")))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("inside, outside or on");
        assertThatThrownBy(() -> StopField.LEAD_IN_KIND.set(StopChoice.NOTHING, typed("loop")))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("no form of lead");
        assertThat(StopField.ofWord("colour")).isEmpty();
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
        assertThat(OrderField.QUALITY.set(DOCUMENT, "fine").choices(SHEET).quality())
                .isEqualTo("fine");
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
