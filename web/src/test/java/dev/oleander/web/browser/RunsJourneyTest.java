package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WebElement;

/** A quantity that takes several sheets, from the strip to the programs of each. */
class RunsJourneyTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    private List<String> tabs() {
        return browser.all(".run-tab").stream().map(WebElement::getText).toList();
    }

    @Test
    void oneKindOfSheetNeedsNoStrip() {
        long job = makeOnSmallSheets("One kind", 1);
        browser.openStage(job, "sheet");
        assertThat(browser.all(".run-tab")).isEmpty();
        assertThat(browser.text("#slip")).contains("1 of 1");
        assertThat(browser.all("#total-in-all")).isEmpty();
    }

    @Test
    void theStripGoesBetweenSheetsAndEditsStayOnTheirs() {
        long job = makeThreeSheets("Strip");
        browser.openStage(job, "cuts");
        assertThat(tabs()).hasSize(2);
        assertThat(tabs().get(0)).startsWith("Sheet 1").contains("2 × ");
        assertThat(browser.text("#total-in-all")).startsWith("3 sheets");
        browser.click(".run-tab:last-child");
        browser.waitForScene();
        assertThat(browser.path()).contains("run=2");
        assertThat(browser.all(".stop")).hasSize(8);
        browser.selectStop("Outline");
        browser.until(b -> !b.all("#f-overRun").isEmpty());
        String stop = browser.find(".stop.selected").getAttribute("data-stop");
        browser.set("#f-overRun", "1.5");
        browser.waitForStep(jobs.view(job).step() + 1);
        assertThat(browser.all(".stop")).as("still the last sheet").hasSize(8);
        assertThat(browser.find(".stop.selected").getAttribute("data-stop")).isEqualTo(stop);
        assertThat(jobs.view(job).result().on(2).stops().get(stop).overRun()).isEqualTo(1.5);
        browser.open("/jobs/%d/proof?stop=%s".formatted(job, stop));
        browser.waitForScene();
        assertThat(browser.find(".run-tab[aria-current]").getText()).startsWith("Sheet 2");
    }

    @Test
    void chosenSheetsAreReleasedAndEachIsBegunAgain() {
        long job = makeThreeSheets("Chosen sheets");
        browser.openStage(job, "release");
        browser.click(".release-runs input[value='1']");
        browser.click("#release-now");
        browser.until(b -> !b.all(".releases .revision").isEmpty());
        assertThat(browser.text("#rail")).contains("revision A, not sheet 1");
        assertThat(browser.all(".released-run")).hasSize(1);
        browser.click("#release-now");
        browser.until(b -> b.all(".releases .revision").size() == 2);
        assertThat(browser.all(".released-run")).hasSize(3);
        assertThat(browser.text("#rail")).contains("revision B");
        browser.click(".released-run:last-child .released-sheet a");
        browser.waitForScene();
        assertThat(browser.find(".run-tab[aria-current]").getText()).startsWith("Sheet 2");
        browser.until(b -> b.text("#program").contains("sheet 2"));
        browser.click(".released-run:last-child a[href$='/starts']");
        assertThat(browser.text("h1")).isEqualTo("Chosen sheets");
        assertThat(browser.all("tbody tr")).hasSize(8);
    }

    @Test
    void nothingTickedReleasesNothing() {
        long job = makeThreeSheets("None ticked");
        browser.openStage(job, "release");
        browser.click(".release-runs input[value='1']");
        browser.click(".release-runs input[value='2']");
        browser.click("#release-now");
        browser.until(b -> !b.all("#bench-error").isEmpty());
        assertThat(browser.all(".releases .revision")).isEmpty();
    }

    @Test
    void theLastSheetMayBeOnlyAsLargeAsWhatIsLeft() {
        long job = makeThreeSheets("Smaller stock");
        browser.openStage(job, "sheet");
        int step = jobs.view(job).step();
        browser.click("label:has(#rest-around)");
        browser.waitForStep(step + 1);
        browser.until(
                b ->
                        b.script("return document.querySelector('#rest-around').checked")
                                == Boolean.TRUE);
        browser.click(".run-tab:last-child");
        browser.waitForScene();
        assertThat(browser.text("#slip")).doesNotContain("400 × 240 mm");
        browser.click(".run-tab:first-child");
        browser.waitForScene();
        assertThat(browser.text("#slip")).contains("400 × 240 mm");
    }
}
