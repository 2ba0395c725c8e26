package dev.oleander.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.book.WaterjetEquation;
import org.junit.jupiter.api.Test;

class WaterjetTest {

    private static final WaterjetEquation EQUATION = new WaterjetEquation(380, 0.33, 1.02, 350, 1);

    private static CutBook book() {
        return (CutBook) Samples.MACHINES.book(Samples.MACHINES.find("yarrow").orElseThrow());
    }

    /**
     * By logarithms: ln u = 1.15 (ln 87.6 + 1.594 ln 380 + 1.374 ln 0.33 + 0.343 ln 350 - ln 788 -
     * ln 3 - ln 10 - 0.618 ln 1.02).
     */
    @Test
    void theFeedIsThatOfTheEquation() {
        double sum =
                Math.log(87.6)
                        + 1.594 * Math.log(380)
                        + 1.374 * Math.log(0.33)
                        + 0.343 * Math.log(350)
                        - Math.log(788)
                        - Math.log(3)
                        - Math.log(10)
                        - 0.618 * Math.log(1.02);
        assertThat(EQUATION.feed(87.6, 10, 3)).isCloseTo(Math.exp(1.15 * sum), within(1e-9));
        assertThat(EQUATION.feed(87.6, 10, 3)).isBetween(145.0, 150.0);
    }

    @Test
    void thickerFinerAndHarderIsSlower() {
        double usual = EQUATION.feed(87.6, 10, 3);
        assertThat(EQUATION.feed(87.6, 20, 3)).isCloseTo(usual / Math.pow(2, 1.15), within(1e-9));
        assertThat(EQUATION.feed(87.6, 10, 5)).isCloseTo(usual * Math.pow(0.6, 1.15), within(1e-9));
        assertThat(EQUATION.feed(213, 10, 3)).isGreaterThan(2.5 * usual);
    }

    @Test
    void aTestCutGivesTheMachinability() {
        double feed = EQUATION.feed(97.5, 12, 4);
        assertThat(EQUATION.machinability(feed, 12, 4)).isCloseTo(97.5, within(1e-9));
        assertThatThrownBy(() -> EQUATION.machinability(0, 12, 4)).hasMessageContaining("test cut");
        assertThatThrownBy(() -> new WaterjetEquation(380, 0, 1, 350, 1))
                .hasMessageContaining("> 0");
    }

    @Test
    void theBookComputesAnyThicknessWithinItsLimits() {
        CutRow row = book().find("aluminium", 7.3, "good");
        assertThat(row.feed()).isCloseTo(EQUATION.feed(213, 7.3, 4), within(0.05));
        assertThat(row.interpolated()).isFalse();
        assertThat(row.kerf()).isEqualTo(1.1);
        assertThat(row.pressure()).isEqualTo(3800);
        assertThat(book().qualities("glass", 20)).hasSize(5);
        assertThat(book().qualities("glass", 61)).isEmpty();
        assertThat(book().rows()).allMatch(r -> r.feed() > 0);
    }

    @Test
    void whatItCannotCutIsTold() {
        assertThatThrownBy(() -> book().find("oak", 10, "standard"))
                .hasMessageContaining("no data for \"oak\"")
                .hasMessageContaining("mild steel");
        assertThatThrownBy(() -> book().find("glass", 61, "standard"))
                .hasMessageContaining("from 1 to 60 mm; the job is 61 mm");
        assertThatThrownBy(() -> book().find("glass", 6, "rougher"))
                .hasMessageContaining("parting");
        assertThatThrownBy(() -> book().find("glass", -1, "good"))
                .hasMessageContaining("more than 0");
    }
}
