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
}
