package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.support.ui.Select;

/** A person's way through jobs of the wire machine. */
class WireJourneyTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void punchAndDieFromOneDrawingToTheRelease() {
        long job = makeWireJob("shim_punch_die", "Punch and die", 40);
        browser.openStage(job, "cuts");
        browser.script(
                "document.querySelectorAll('details.elements').forEach((d) => d.open = true)");
        browser.click("button[hx-vals*='\"set\"']");
        browser.until(b -> b.text("#line-scroll").contains("Punch"));
        assertThat(browser.text("#line-scroll")).contains("Opening", "Runs alone", "Needs people");
        assertThat(browser.text("#slip")).contains("alone, then waits 2 times for people");
        browser.openStage(job, "release");
        browser.click("#release-now");
        browser.until(b -> !b.all(".releases .revision").isEmpty());
        browser.until(b -> b.text("#program-note").startsWith("revision A"));
        assertThat(browser.text("#program")).contains("G41 D21");
    }

    @Test
    void aTaperMadeWrongIsToldAndTheJobStaysAsItWas() {
        long job = makeWireJob("shim_punch_die", "Wrong taper", 40);
        browser.openStage(job, "cuts");
        browser.click(".stop-button");
        browser.until(b -> !b.all("#f-angle").isEmpty());
        browser.set("#f-angle", "-12");
        browser.until(b -> !b.all("#e-angle").isEmpty());
        assertThat(browser.text("#e-angle")).contains("the taper of -12° closes the upper contour");
        browser.set("#f-angle", "1");
        browser.until(b -> b.all("#e-angle").isEmpty());
        assertThat(browser.text("#slip")).contains("conical");
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip")).contains("upwards only");
    }

    @Test
    void aSlotIsErodedCompletely() {
        long job = makeWireJob("shim_punch_die", "Coreless", 40);
        browser.openStage(job, "cuts");
        browser.click(".stop-button");
        browser.until(b -> !b.all("#f-slug").isEmpty());
        new Select(browser.find("#f-slug")).selectByValue("coreless");
        browser.until(b -> !b.all("#f-step").isEmpty());
        browser.until(b -> !b.text("#line-scroll").contains("cut-off"));
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip")).doesNotContain("must fix");
    }
}
