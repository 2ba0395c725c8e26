package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The view in space of the wire machine. */
class WireInSpaceTest extends SpaceBrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void theViewInSpaceShowsTheWire() {
        long job = makeWireJob("splined_coupling", "In space", 20);
        browser.openStage(job, "proof");
        browser.click("#tool-solid");
        browser.until(b -> !b.all("#solid[data-shown] canvas").isEmpty());
        browser.script(
                "const m = document.getElementById('moment'); m.value = m.max * 0.2;"
                        + "m.dispatchEvent(new Event('input'));");
        browser.until(b -> "true".equals(b.find("#solid").getAttribute("data-threaded")));
        browser.until(b -> rose() > 40);
        assertThat(colours("#solid canvas")).as("faces, edges, guides, ground").isGreaterThan(20);
        browser.click("#tool-fan");
        assertThat(browser.find("#tool-fan").getAttribute("aria-pressed")).isEqualTo("true");
        browser.click("#tool-solid");
        assertThat(browser.find("#solid").isDisplayed()).isFalse();
    }

    /** Pixels of the canvas in the colour of the wire and its passes. */
    private long rose() {
        return pixels("#solid canvas", "(r, g, b) => r > 150 && g < 90 && b > 60 && b < 160");
    }
}
