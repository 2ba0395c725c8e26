package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The view in space, drawn without a graphics card. */
class WireInSpaceTest extends BrowserTest {

    @Override
    protected List<String> arguments() {
        return List.of("--use-angle=swiftshader", "--enable-unsafe-swiftshader");
    }

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
        assertThat(colours()).as("faces, edges, guides, ground").isGreaterThan(20);
        browser.click("#tool-fan");
        assertThat(browser.find("#tool-fan").getAttribute("aria-pressed")).isEqualTo("true");
        browser.click("#tool-solid");
        assertThat(browser.find("#solid").isDisplayed()).isFalse();
    }

    /** Pixels of the canvas in the colour of the wire and its passes. */
    private long rose() {
        return pixels("(r, g, b) => r > 150 && g < 90 && b > 60 && b < 160");
    }

    private long colours() {
        return pixels(
                "(r, g, b) => { const k = (r >> 3 << 10) | (g >> 3 << 5) | b >> 3; return seen.has(k) ? false : seen.add(k); }");
    }

    private long pixels(String wanted) {
        Object count =
                browser.script(
                        "const seen = new Set(); const like = "
                                + wanted
                                + "; const c = document.querySelector('#solid canvas');"
                                + "const copy = document.createElement('canvas');"
                                + "copy.width = c.width; copy.height = c.height;"
                                + "const ctx = copy.getContext('2d'); ctx.drawImage(c, 0, 0);"
                                + "const d = ctx.getImageData(0, 0, c.width, c.height).data;"
                                + "let n = 0; for (let i = 0; i < d.length; i += 4) {"
                                + "if (like(d[i], d[i + 1], d[i + 2])) n++; } return n;");
        return ((Number) count).longValue();
    }
}
