package dev.oleander.web.browser;

import java.util.List;

/** Views in space, drawn without a graphics card, and what can be seen of them. */
abstract class SpaceBrowserTest extends BrowserTest {

    @Override
    protected List<String> arguments() {
        return List.of("--use-angle=swiftshader", "--enable-unsafe-swiftshader");
    }

    /** How many colours a canvas shows. */
    long colours(String canvas) {
        return pixels(
                canvas,
                "(r, g, b) => { const k = (r >> 3 << 10) | (g >> 3 << 5) | b >> 3; return seen.has(k) ? false : seen.add(k); }");
    }

    /**
     * Pixels of a canvas that are like something.
     *
     * @param wanted a function of red, green and blue
     */
    long pixels(String canvas, String wanted) {
        Object count =
                browser.script(
                        "const seen = new Set(); const like = "
                                + wanted
                                + "; const c = document.querySelector(arguments[0]);"
                                + "const copy = document.createElement('canvas');"
                                + "copy.width = c.width; copy.height = c.height;"
                                + "const ctx = copy.getContext('2d'); ctx.drawImage(c, 0, 0);"
                                + "const d = ctx.getImageData(0, 0, c.width, c.height).data;"
                                + "let n = 0; for (let i = 0; i < d.length; i += 4) {"
                                + "if (like(d[i], d[i + 1], d[i + 2])) n++; } return n;",
                        canvas);
        return ((Number) count).longValue();
    }
}
