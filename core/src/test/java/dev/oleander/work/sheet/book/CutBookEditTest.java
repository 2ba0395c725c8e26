package dev.oleander.work.sheet.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.book.BookFile;
import dev.oleander.book.BookForm;
import dev.oleander.book.CutDataException;
import dev.oleander.book.RowText;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CutBookEditTest {

    private static final CutTable TABLE = (CutTable) Samples.BOOK;
    private static final CutRow SIX = TABLE.find("mild steel", 6, "standard");
    private static final BookForm<CutRow> FORM = TABLE.form();
    private final BookFile<CutRow> csv = new BookFile<>(FORM);

    private static CutRow edited(String word, String text) {
        return FORM.read(SIX.id(), changed(word, text));
    }

    private static RowText changed(String word, String text) {
        Map<String, String> values = new HashMap<>(FORM.write(SIX).values());
        values.put(word, text);
        return new RowText(values);
    }

    @Test
    void aRowIsReadAsItWasWritten() {
        assertThat(FORM.read(SIX.id(), FORM.write(SIX))).isEqualTo(SIX);
    }

    @Test
    void anEditedRowTakesThePlaceOfTheOldOne() {
        CutTable changed = TABLE.with(edited("feed", "2500"));
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
        assertThatThrownBy(() -> TABLE.with(FORM.named(SIX, "")))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining("a row for mild steel 6, standard already");
        CutTable more = TABLE.with(FORM.read("", changed("thickness", "5")));
        assertThat(more.find("mild steel", 5, "standard").interpolated()).isFalse();
        assertThat(TABLE.find("mild steel", 5, "standard").interpolated()).isTrue();
        assertThat(more.without("mild-steel-5-standard").rows()).hasSameElementsAs(TABLE.rows());
    }

    @ParameterizedTest
    @CsvSource({
        "feed, 0, Feed is 0; it must be more than 0",
        "feed, -5, Feed is -5",
        "kerf, wide, is no number",
        "overRun, -1, Over-run is -1; it must not be less than 0",
        "cornerShare, 1.5, at most 1",
        "gas, '  ', Gas is missing",
        "feed, NaN, Feed is NaN",
    })
    void whatCannotBeIsNamed(String field, String text, String sentence) {
        assertThatThrownBy(() -> edited(field, text))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void aBookGoesThroughCsvUnchanged() {
        List<CutRow> read = csv.read(csv.write(TABLE.rows()));
        assertThat(read).hasSameSizeAs(TABLE.rows());
        for (int i = 0; i < read.size(); i++) {
            assertThat(FORM.write(read.get(i))).isEqualTo(FORM.write(TABLE.rows().get(i)));
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
