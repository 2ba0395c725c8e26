package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.motion.Timeline;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.JavascriptExecutor;

/** The replay in the browser stands where the core says the head is, at any moment. */
class PlayerTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void positionsAgreeWithTheTimeModel() {
        long job = makeJob("cleat_backing_plate", "Positions", 1);
        browser.openStage(job, "proof");
        Timeline timeline = jobs.view(job).result().timeline();
        String script =
                """
                const [count, done] = arguments;
                Promise.all([import('/js/player.js'), fetch(`/jobs/${document.body.dataset.job}/scene`).then((a) => a.json())])
                    .then(([{Player}, scene]) => {
                      const layer = document.createElement('canvas');
                      const table = {overlays: [], addEventListener() {}, refreshTop() {}, traceLayer: layer, ratio: 1,
                        colours: {}, view: {k: 1, ox: 0, oy: 0}};
                      const player = new Player(table);
                      player.load(scene);
                      const found = [];
                      for (let i = 0; i <= count; i++) {
                        player.seek(player.total * i / count);
                        const at = player.position();
                        found.push({t: player.moment, x: at.x, y: at.y, item: player.index});
                      }
                      done(found);
                    }).catch((e) => done('' + e));
                """;
        Object answer = ((JavascriptExecutor) browser.driver()).executeAsyncScript(script, 200);
        assertThat(answer).isInstanceOf(List.class);
        for (Object entry : (List<?>) answer) {
            Map<?, ?> found = (Map<?, ?>) entry;
            double t = number(found, "t");
            Point expected = timeline.positionAt(t);
            // the browser's times are rounded to 10 microseconds, in which a rapid moves 0.02 mm
            assertThat(number(found, "x")).isCloseTo(expected.x(), within(0.03));
            assertThat(number(found, "y")).isCloseTo(expected.y(), within(0.03));
        }
    }

    private static double number(Map<?, ?> map, String name) {
        return ((Number) map.get(name)).doubleValue();
    }

    @Test
    void anyMomentIsReachedFromAnywhere() {
        long job = makeJob("cleat_backing_plate", "Jumps", 1);
        browser.openStage(job, "proof");
        for (double share : new double[] {0.9, 0.1, 0.5, 0, 1}) {
            browser.script(
                    "const m = document.getElementById('moment'); m.value = arguments[0] * m.max;"
                            + "m.dispatchEvent(new Event('input'));",
                    share);
            double moment = Double.parseDouble(browser.value("#moment"));
            double total = jobs.view(job).result().timeline().total();
            assertThat(moment).isCloseTo(share * total, within(1e-3));
            browser.until(b -> b.pixels("--ink") > 20);
        }
        assertThat(browser.all(".stop.running").size()).isLessThanOrEqualTo(1);
    }

    @Test
    void steppingBackByStopsComesToEveryBeginning() {
        long job = makeJob("cleat_backing_plate", "Steps", 1);
        browser.openStage(job, "proof");
        browser.script(
                "const m = document.getElementById('moment'); m.value = m.max;"
                        + "m.dispatchEvent(new Event('input'));");
        double before = Double.MAX_VALUE;
        for (int i = 0; i < 8; i++) {
            browser.click("#stop-back");
            double now = Double.parseDouble(browser.value("#moment"));
            assertThat(now).isLessThan(before);
            before = now;
        }
        browser.click("#stop-on");
        assertThat(Double.parseDouble(browser.value("#moment"))).isGreaterThan(before);
    }
}
