package dev.oleander.work.sheet.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.book.CutDataException;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

class CutBookTest {

    private final CutBook book = Samples.BOOK;

    @Test
    void hasThreeMaterialsWithFiveThicknessesOrMore() {
        assertThat(book.materials()).hasSize(3);
        for (String material : book.materials()) {
            assertThat(
                            book.rows().stream()
                                    .filter(r -> r.material().equals(material))
                                    .mapToDouble(CutRow::thickness)
                                    .distinct()
                                    .count())
                    .isGreaterThanOrEqualTo(5);
        }
    }

    @Test
    void findsARowAndMarksOneBetweenTwo() {
        CutRow six = book.find("mild steel", 6, "standard");
        assertThat(six.interpolated()).isFalse();
        List<CutRow> rows =
                book.rows().stream()
                        .filter(r -> r.material().equals("mild steel"))
                        .filter(r -> r.quality().equals("standard"))
                        .sorted(Comparator.comparingDouble(CutRow::thickness))
                        .toList();
        CutRow low = rows.get(0);
        CutRow high = rows.get(1);
        double middle = (low.thickness() + high.thickness()) / 2;
        CutRow between = book.find("mild steel", middle, "standard");
        assertThat(between.interpolated()).isTrue();
        assertThat(between.feed()).isCloseTo((low.feed() + high.feed()) / 2, within(1e-9));
        assertThat(between.kerf()).isCloseTo((low.kerf() + high.kerf()) / 2, within(1e-9));
    }

    @Test
    void refusesWhatItDoesNotReach() {
        assertThatThrownBy(() -> book.find("mild steel", 200, "standard"))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining("200 mm thick");
        assertThatThrownBy(() -> book.find("cork", 3, "standard"))
                .hasMessageContaining("no data for \"cork\"");
        assertThatThrownBy(() -> book.find("mild steel", 3, "rough"))
                .hasMessageContaining("no quality \"rough\"");
        assertThatThrownBy(() -> book.find("mild steel", -1, "standard"))
                .hasMessageContaining("must be more than 0");
    }

    @Test
    void thickerMaterialIsCutSlowerWithAWiderKerf() {
        for (String material : book.materials()) {
            List<CutRow> rows =
                    book.rows().stream()
                            .filter(r -> r.material().equals(material))
                            .filter(r -> r.quality().equals("standard"))
                            .sorted(Comparator.comparingDouble(CutRow::thickness))
                            .toList();
            for (int i = 1; i < rows.size(); i++) {
                assertThat(rows.get(i).feed()).isLessThan(rows.get(i - 1).feed());
                assertThat(rows.get(i).kerf()).isGreaterThanOrEqualTo(rows.get(i - 1).kerf());
            }
        }
    }
}
