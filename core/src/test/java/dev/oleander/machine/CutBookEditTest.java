package dev.oleander.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutBookCsv;
import dev.oleander.work.sheet.book.CutField;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.book.CutRowText;
import dev.oleander.work.sheet.book.CutTable;
import dev.oleander.work.sheet.book.WaterjetBook;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CutBookEditTest {

    private static final CutTable TABLE = (CutTable) Samples.BOOK;
    private static final CutRow SIX = TABLE.find("mild steel", 6, "standard");
    private final CutBookCsv csv = new CutBookCsv();

    private static CutRow edited(CutField field, String text) {
        Map<CutField, String> texts = CutRowText.write(SIX);
        texts.put(field, text);
        return CutRowText.read(SIX.id(), texts);
    }

    @Test
    void aRowIsReadAsItWasWritten() {
        assertThat(CutRowText.read(SIX.id(), CutRowText.write(SIX))).isEqualTo(SIX);
    }

    @Test
    void anEditedRowTakesThePlaceOfTheOldOne() {
        CutTable changed = TABLE.with(edited(CutField.FEED, "2500"));
        assertThat(changed.rows())
                .extracting(CutRow::id)
                .containsExactlyElementsOf(TABLE.rows().stream().map(CutRow::id).toList());
        assertThat(changed.find("mild steel", 6, "standard").feed()).isEqualTo(2500);
        assertThat(changed.find("mild steel", 7, "standard").feed())
                .as("interpolation follows")
                .isLessThan(TABLE.find("mild steel", 7, "standard").feed());
    }

    @Test
    void aCopyNeedsAnotherThicknessOrQuality() {
        Map<CutField, String> texts = CutRowText.write(SIX);
        assertThatThrownBy(() -> TABLE.with(CutRowText.read("", texts)))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining("a row for mild steel 6, standard already");
        texts.put(CutField.THICKNESS, "5");
        CutTable more = TABLE.with(CutRowText.read("", texts));
        assertThat(more.find("mild steel", 5, "standard").interpolated()).isFalse();
        assertThat(TABLE.find("mild steel", 5, "standard").interpolated()).isTrue();
        assertThat(more.without("mild-steel-5-standard").rows()).hasSameElementsAs(TABLE.rows());
    }

    @ParameterizedTest
    @CsvSource({
        "FEED, 0, Feed is 0; it must be more than 0",
        "FEED, -5, Feed is -5",
        "KERF, wide, is no number",
        "OVER_RUN, -1, Over-run is -1; it must not be less than 0",
        "CORNER_SHARE, 1.5, at most 1",
        "GAS, '  ', Gas is missing",
        "FEED, NaN, Feed is NaN",
    })
    void whatCannotBeIsNamed(CutField field, String text, String sentence) {
        assertThatThrownBy(() -> edited(field, text))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void aBookGoesThroughCsvUnchanged() {
        List<CutRow> read = csv.read(csv.write(TABLE.rows()));
        assertThat(read).hasSameSizeAs(TABLE.rows());
        for (int i = 0; i < read.size(); i++) {
            assertThat(CutRowText.write(read.get(i)))
                    .isEqualTo(CutRowText.write(TABLE.rows().get(i)));
        }
    }

    @Test
    void columnsMayStandInAnyOrderAndAWrongLineIsNamed() {
        String text = csv.write(List.of(SIX));
        String[] lines = text.split("\n");
        assertThat(csv.read("\uFEFF" + text)).hasSize(1);
        assertThatThrownBy(() -> csv.read(text + lines[1].replace("2700", "-2700")))
                .hasMessageContaining("Line 3: Feed is -2700");
        assertThatThrownBy(() -> csv.read(text.replace("kerf", "slit")))
                .hasMessageContaining("The column \"slit\" is not known");
        assertThatThrownBy(() -> csv.read(lines[0])).hasMessageContaining("no rows");
        assertThatThrownBy(() -> csv.read("")).isInstanceOf(CutDataException.class);
    }

    @Test
    void aTestCutChangesTheFeedOfItsMaterialAlone() {
        WaterjetBook book =
                (WaterjetBook)
                        (CutBook) Samples.MACHINES.book(Samples.MACHINES.find("yarrow").get());
        double usual = book.find("stainless", 10, "standard").feed();
        double n = book.calibrated("stainless", 10, "standard", 1.2 * usual);
        WaterjetBook changed = book.with("stainless", n);
        assertThat(changed.find("stainless", 10, "standard").feed())
                .isCloseTo(1.2 * usual, within(0.06));
        assertThat(changed.find("stainless", 25, "fine").feed())
                .isCloseTo(1.2 * book.find("stainless", 25, "fine").feed(), within(0.1));
        assertThat(changed.find("glass", 10, "fine")).isEqualTo(book.find("glass", 10, "fine"));
        assertThatThrownBy(() -> book.calibrated("stainless", 10, "standard", 0))
                .hasMessageContaining("more than 0");
    }
}
