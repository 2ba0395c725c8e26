package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Panels in space: the locker of the demo, put together and pulled apart. */
class ProductInSpaceTest extends SpaceBrowserTest {

    private static final String CANVAS = "#space canvas";

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    /** Pixels that are not the ground. */
    private long drawn() {
        return pixels(
                CANVAS,
                "(r, g, b) => Math.abs(r - 236) + Math.abs(g - 232) + Math.abs(b - 221) > 24");
    }

    @Test
    void aProductIsPulledApartAndAPanelOpenedByAClick() {
        browser.open("/products/1");
        browser.keys("v");
        browser.until(b -> !b.all("#space[data-shown='5'] canvas").isEmpty());
        browser.until(b -> drawn() > 5_000);
        assertThat(colours(CANVAS)).as("faces in light and shade, edges, holes").isGreaterThan(5);
        long together = drawn();
        browser.script(
                "const a = document.getElementById('apart'); a.value = 1; a.dispatchEvent(new Event('input'));");
        browser.until(b -> Math.abs(drawn() - together) > 1_000);
        browser.script(
                "const a = document.getElementById('apart'); a.value = 0; a.dispatchEvent(new Event('input'));");
        // the top; the middle of the locker is open
        browser.actions().moveToElement(browser.find(CANVAS), 30, -100).click().perform();
        browser.until(b -> b.path().contains("/panels/"));
        browser.click("#show-space");
        browser.until(b -> !b.all("#space[data-shown='1'] canvas").isEmpty());
        browser.until(b -> drawn() > 5_000);
    }

    @Test
    void aClampingIsShownWhileItIsWorked() {
        browser.open("/products/1");
        browser.click("button[value=MAKE]");
        browser.until(b -> b.text(".panel-table").contains("proved"));
        browser.open("/products/1/panels/side-l");
        browser.script("document.querySelector('[data-machining]').click()");
        browser.until(b -> !b.all("#machining[data-shown] canvas").isEmpty());
        String canvas = "#machining canvas";
        browser.until(
                b ->
                        pixels(
                                        canvas,
                                        "(r, g, b) => Math.abs(r - 236) + Math.abs(g - 232) + Math.abs(b - 221) > 24")
                                > 5_000);
        long before = colours(canvas);
        browser.script(
                "const a = document.getElementById('machining-moment'); a.value = 1; a.dispatchEvent(new Event('input'));");
        // holes and the way of the tool
        browser.until(b -> colours(canvas) > before);
        assertThat(browser.text("#machining-clock")).matches("\\d+:\\d\\d");
        browser.click("#machining-play");
        browser.until(
                b -> b.find("#machining-play").getDomAttribute("aria-pressed").equals("true"));
        browser.until(b -> b.text("#machining-clock").startsWith("0:"));
    }
}
