package dev.oleander.work.wire.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.book.BookFile;
import dev.oleander.book.CutDataException;
import dev.oleander.machine.MachineLibrary;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The wire's cut book as text, and what it refuses. */
class WireBookCsvTest {

    private static final WireBook BOOK =
            (WireBook)
                    MachineLibrary.shipped()
                            .book(MachineLibrary.shipped().find("bracken").orElseThrow());

    private static final BookFile<WireRow> CSV = new BookFile<>(BOOK.form());

    private static final String HEAD =
            "wire,wireDiameter,material,height,finish,pass,gap,stock,register,condition,rate,flushing,tension\n";
    private static final String ROUGH =
            "brass 0.2,0.2,tool steel,40,good,1,0.04,0.03,21,105,90,8,11\n";
    private static final String SKIM =
            "brass 0.2,0.2,tool steel,40,good,2,0.02,0,22,106,160,4,13\n";

    @Test
    void theWholeBookComesBackAsItWas() {
        List<WireRow> read = CSV.read(CSV.write(BOOK.rows()));
        assertThat(read).hasSameSizeAs(BOOK.rows());
        for (int i = 0; i < read.size(); i++) {
            WireRow row = BOOK.rows().get(i);
            assertThat(read.get(i).label()).isEqualTo(row.label());
            assertThat(read.get(i).passes()).isEqualTo(row.passes());
            assertThat(read.get(i).wireDiameter()).isEqualTo(row.wireDiameter());
        }
    }

    @Test
    void passesThatFollowEachOtherAreOneRow() {
        List<WireRow> rows =
                CSV.read("\uFEFF" + HEAD + ROUGH + SKIM + ROUGH.replace(",40,", ",60,"));
        assertThat(rows).hasSize(2);
        assertThat(rows.get(0).passes()).hasSize(2);
        assertThat(rows.get(0).offset(1)).isEqualTo(0.1 + 0.04 + 0.03);
        assertThat(rows.get(0).id()).isEqualTo("brass-0.2-tool-steel-40-good");
        assertThat(rows.get(1).height()).isEqualTo(60);
    }

    @Test
    void whatIsWrongIsToldWithItsLine() {
        assertRefused(HEAD, "no rows");
        assertRefused(HEAD + SKIM, "Line 2: pass 2 does not follow pass 0");
        assertRefused(
                HEAD + ROUGH + ROUGH.replace(",1,", ",one,"), "the pass \"one\" is no number");
        assertRefused(
                HEAD + ROUGH + SKIM.replace("good", "fine"),
                "Line 3: Finish is \"fine\", in the line before it \"good\"");
        assertRefused(
                HEAD + ROUGH + SKIM.replace(",160,", ",0,"),
                "Line 2 on: Pass 2: Rate is 0; it must");
        assertRefused(
                HEAD + ROUGH.replace(",21,", ",21.5,"), "Register is 21.5; it must be a whole");
        assertRefused(HEAD + ROUGH.replace(",40,", ",,"), "Height is missing");
        assertRefused(HEAD.replace("gap", "glue") + ROUGH, "The column \"glue\" is not known");
    }

    private static void assertRefused(String text, String words) {
        assertThatThrownBy(() -> CSV.read(text))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining(words);
    }

    @Test
    void aRowTakesItsPlaceOrComesBesideTheOthers() {
        WireRow first = BOOK.rows().get(0);
        WireRow slower = BOOK.form().named(first, first.id());
        assertThat(BOOK.with(slower)).isEqualTo(BOOK);
        WireRow higher = CSV.read(HEAD + ROUGH.replace("brass 0.2,", "brass 0.21,")).get(0);
        WireBook more = BOOK.with(higher);
        assertThat(more.rows()).hasSize(BOOK.rows().size() + 1).contains(higher);
        assertThat(more.without(higher.id()).rows()).isEqualTo(BOOK.rows());
        assertThat(more.find("brass 0.21", "tool steel", 40, "good")).isEqualTo(higher);
    }

    @Test
    void twoRowsForTheSameAndTwoDiametersOfAWireAreRefused() {
        WireRow first = BOOK.rows().get(0);
        WireRow again = BOOK.form().named(first, "another");
        assertThatThrownBy(() -> BOOK.with(again))
                .hasMessageContaining("has a row for %s already".formatted(first.label()));
        WireRow thick = CSV.read(HEAD + ROUGH.replace("brass 0.2,0.2", "brass 0.25,0.26")).get(0);
        assertThatThrownBy(() -> BOOK.with(thick))
                .hasMessageContaining(
                        "has a diameter of 0.25 mm in other rows; here it is 0.26 mm");
    }
}
