package dev.oleander.web.browser;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.StopEvent;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
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
                const fetched = (what) => fetch(`/jobs/${document.body.dataset.job}/${what}`).then((a) => a.json());
                Promise.all([import('/js/player.js'), fetched('scene'), fetched('replay')])
                    .then(([{Player}, scene, replay]) => {
                      const layer = document.createElement('canvas');
                      const table = {overlays: [], addEventListener() {}, refreshTop() {}, traceLayer: layer, ratio: 1,
                        colours: {}, view: {k: 1, ox: 0, oy: 0}};
                      const player = new Player(table);
                      player.load(scene, replay);
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

    private void seek(double share) {
        browser.script(
                "const m = document.getElementById('moment'); m.value = arguments[0] * m.max;"
                        + "m.dispatchEvent(new Event('input'));",
                share);
    }

    private double moment() {
        return Double.parseDouble(browser.value("#moment"));
    }

    @Test
    void piecesAreShadedFromTheMomentTheyComeFreeAndNotBefore() {
        long job = makeJob("cleat_backing_plate", "Pieces", 1);
        browser.openStage(job, "proof");
        seek(0);
        browser.until(b -> b.pixels("--ink") > 20);
        assertThat(browser.pixels("--free")).isZero();
        seek(1);
        browser.until(b -> b.pixels("--free") > 700);
        seek(0.5);
        browser.until(b -> b.pixels("--free") == 0);
    }

    @Test
    void itPlaysBackwardsOverAndOverAndFollowsTheHead() {
        long job = makeJob("cleat_backing_plate", "Backwards", 1);
        browser.openStage(job, "proof");
        seek(0.5);
        double half = moment();
        browser.click("#play-back");
        browser.until(b -> moment() < half - 0.2);
        assertThat(browser.find("#play-back").getAttribute("aria-label")).isEqualTo("Pause");
        browser.click("#play-back");
        double stands = moment();
        browser.click("#loop");
        browser.click("#follow");
        assertThat(browser.find("#loop").getAttribute("aria-pressed")).isEqualTo("true");
        seek(0.999);
        browser.script(
                "const s = document.getElementById('speed'); s.value = '5';"
                        + "s.dispatchEvent(new Event('change'))");
        browser.click("#play");
        browser.until(b -> moment() < stands);
        assertThat(browser.find("#play").getAttribute("aria-label")).isEqualTo("Pause");
        browser.click("#play");
    }

    @Test
    void itStepsByStopsForPeopleWhereThereAreSome() {
        long job = makeJob("cleat_backing_plate", "Halts", 1);
        browser.openStage(job, "proof");
        assertThat(browser.find("#halt-on").isDisplayed()).isFalse();
        jobs.edit(
                job,
                "x",
                b ->
                        b.document()
                                .rerun(
                                        SHEET,
                                        r ->
                                                r.withEvents(
                                                        "c13",
                                                        List.of(
                                                                new StopEvent(
                                                                        StopEvent.Kind.STOP,
                                                                        true,
                                                                        30,
                                                                        "Turn")))),
                person("mira"));
        browser.openStage(job, "proof");
        browser.until(b -> b.find("#halt-on").isDisplayed());
        browser.click("#halt-on");
        Timeline timeline = jobs.view(job).result().timeline();
        int stop =
                IntStream.range(0, timeline.program().size())
                        .filter(
                                i ->
                                        timeline.program().items().get(i) instanceof Item.Event e
                                                && e.kind().isForPeople())
                        .findFirst()
                        .orElseThrow();
        assertThat(moment()).isCloseTo(timeline.ends()[stop - 1], within(1e-3));
        browser.click("#halt-back");
        assertThat(moment()).isZero();
    }

    @Test
    void whatIsLeftIsToldAfterTheLastMove() {
        long job = makeJob("cleat_backing_plate", "Remains", 1);
        browser.openStage(job, "proof");
        browser.click("#tool-remains");
        browser.until(b -> b.text("#summary").contains("After the last move"));
        assertThat(moment()).isCloseTo(jobs.view(job).result().timeline().total(), within(1e-3));
        browser.click("#tool-remains");
        assertThat(browser.find("#tool-remains").getAttribute("aria-pressed")).isEqualTo("false");
    }

    /** Where the pointer is, mm, as the foot says. */
    private Point pointed(int x, int y) {
        browser.script(
                "document.querySelectorAll('#pointer b').forEach((b) => b.textContent = '');");
        browser.actions().moveToElement(browser.find("#table"), x, y).perform();
        double[] at = new double[2];
        browser.until(
                b -> {
                    for (int i = 0; i < 2; i++) {
                        String shown = b.all("#pointer b").get(i).getText();
                        at[i] = shown.isEmpty() ? Double.NaN : Double.parseDouble(shown);
                    }
                    return !Double.isNaN(at[0] + at[1]);
                });
        return new Point(at[0], at[1]);
    }

    @Test
    void aPlaceOnThePictureLightsTheLineThatCutsIt() {
        long job = makeJob("cleat_backing_plate", "Lights", 1);
        browser.openStage(job, "release");
        browser.until(b -> b.all(".program-line").size() > 10);
        Point first = pointed(-100, -100);
        Point second = pointed(100, 100);
        List<Item> items = jobs.view(job).result().timeline().program().items();
        int longest =
                IntStream.range(0, items.size())
                        .filter(i -> items.get(i) instanceof Item.Feed feed && feed.on())
                        .boxed()
                        .max(Comparator.comparingDouble(i -> ((Item.Feed) items.get(i)).length()))
                        .orElseThrow();
        Segment cut = ((Item.Feed) items.get(longest)).segment();
        Point at = cut.at(0.37);
        double k = 200 / (second.x() - first.x());
        int x = (int) Math.round((at.x() - first.x()) * k) - 100;
        int y = (int) Math.round((first.y() - at.y()) * k) - 100;
        browser.actions().moveToElement(browser.find("#table"), x, y).click().perform();
        browser.until(b -> b.all(".program-line.lit").size() == 1);
        String lit = "return document.querySelector('.program-line.lit').dataset.line;";
        String script =
                "const [job, done] = arguments; fetch(`/jobs/${job}/program?revision=`)"
                        + ".then((a) => a.json()).then((p) => done(p.items));";
        List<?> itemOfLine =
                (List<?>) ((JavascriptExecutor) browser.driver()).executeAsyncScript(script, job);
        browser.until(
                b -> {
                    int line = Integer.parseInt((String) b.script(lit));
                    return ((Number) itemOfLine.get(line)).intValue() == longest;
                });
    }
}
