package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Results;
import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.release.ReleaseService;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.springframework.beans.factory.annotation.Autowired;

/** What the bench offers on every stage: selection, commands, keys, both themes, accessibility. */
class BenchTest extends BrowserTest {

    @Autowired private ReleaseService releases;

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void whatIsPickedOnTheTableIsSelectedOnTheRunLine() {
        long job = makeJob("cleat_backing_plate", "Picked", 1);
        browser.openStage(job, "cuts");
        double[] box = stopBox("Slot");
        int[] at = browser.onScreen((box[0] + box[2]) / 2, box[3]);
        browser.actions().moveToLocation(at[0], at[1]).click().perform();
        browser.until(b -> b.text("#slip h2").contains("Slot"));
        assertThat(browser.text(".stop.selected")).contains("Slot");
        assertThat(browser.path()).contains("?stop=");
        assertThat(browser.text("#summary")).contains("1 stop selected", "mm² inside");
        String link = browser.path();
        browser.open(link);
        browser.waitForScene();
        assertThat(browser.text(".stop.selected")).contains("Slot");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".stop.selected").isEmpty());
    }

    /** One pointing tool at a time, and one meaning of Escape. */
    @Test
    void anotherToolEndsTheOneBeforeAndEscapeEndsOneThingAfterTheOther() {
        long job = makeJob("cleat_backing_plate", "Tools", 1);
        browser.openStage(job, "cuts");
        browser.selectStop("Outline");
        browser.until(b -> !b.all("#put-tabs").isEmpty());
        browser.click("#put-tabs");
        assertThat(tool()).isEqualTo("point");
        assertThat(pressed("#put-tabs")).isEqualTo("true");
        browser.click("#tool-measure");
        assertThat(tool()).isEqualTo("measure");
        assertThat(pressed("#put-tabs")).isEqualTo("false");
        assertThat(browser.text("#summary")).contains("click two places");
        browser.click("#why-here");
        browser.until(b -> "true".equals(pressed("#why-here")));
        browser.keys(Keys.ESCAPE);
        assertThat(tool()).as("the tool first").isEqualTo("select");
        assertThat(pressed("#tool-measure")).isEqualTo("false");
        browser.keys(Keys.ESCAPE);
        assertThat(pressed("#why-here")).as("then what is shown").isEqualTo("false");
        assertThat(browser.all(".stop.selected")).hasSize(1);
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".stop.selected").isEmpty());
    }

    private String tool() {
        return browser.find("#table").getDomAttribute("data-tool");
    }

    private String pressed(String css) {
        return browser.find(css).getDomAttribute("aria-pressed");
    }

    private double[] stopBox(String name) {
        var stop =
                jobs
                        .view(Long.parseLong(browser.find("body").getAttribute("data-job")))
                        .result()
                        .run()
                        .stops()
                        .stream()
                        .filter(s -> s.name().startsWith(name))
                        .findFirst()
                        .orElseThrow();
        var box = new dev.oleander.geometry.Path(stop.path().orElseThrow().main()).box();
        return new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()};
    }

    @Test
    void severalStopsAreEditedTogether() {
        long job = makeJob("cleat_backing_plate", "Together", 1);
        browser.openStage(job, "cuts");
        browser.all(".stop-button").get(0).click();
        browser.actions()
                .keyDown(Keys.CONTROL)
                .click(browser.all(".stop-button").get(7))
                .keyUp(Keys.CONTROL)
                .perform();
        browser.until(b -> b.text("#slip h2").equals("2 stops"));
        assertThat(browser.find("#f-start").getAttribute("placeholder")).isEqualTo("differs");
        browser.set("#f-overRun", "1.25");
        browser.waitForStep(2);
        assertThat(jobs.view(job).result().run().stops().stream().filter(s -> s.overRun() == 1.25))
                .hasSize(2);
    }

    @Test
    void quickSelectionsEndWithTheLast() {
        long job = makeJob("cleat_backing_plate", "Quick", 1);
        browser.openStage(job, "cuts");
        browser.script(
                "document.querySelectorAll('.stop-button').forEach((b) => b.click());"
                        + "document.querySelectorAll('.stop-button')[3].click();");
        String name = browser.all(".stop-button").get(3).getText();
        browser.until(b -> b.text("#slip h2").startsWith("Stop 4"));
        assertThat(name).startsWith("4");
        assertThat(browser.all(".stop.selected")).hasSize(1);
    }

    @Test
    void theWheelZoomsAtThePointerAndFitComesBack() {
        long job = makeJob("cleat_backing_plate", "Zoomed", 1);
        browser.openStage(job, "shape");
        String fitted = browser.find("#table").getAttribute("data-view");
        browser.actions()
                .scrollFromOrigin(
                        org.openqa.selenium.interactions.WheelInput.ScrollOrigin.fromElement(
                                browser.find("#table")),
                        0,
                        -300)
                .perform();
        browser.until(b -> !b.find("#table").getAttribute("data-view").equals(fitted));
        browser.keys("f");
        browser.until(b -> b.find("#table").getAttribute("data-view").equals(fitted));
    }

    @Test
    void aDistanceIsMeasuredBetweenSnappedPlaces() {
        long job = makeJob("cleat_backing_plate", "Measured", 1);
        browser.openStage(job, "shape");
        browser.keys("m");
        for (double[] corner : new double[][] {{-92, 32}, {92, 32}}) {
            int[] at = browser.onScreen(corner[0], corner[1]);
            browser.actions().moveToLocation(at[0] + 2, at[1] - 1).click().perform();
        }
        browser.until(b -> b.text("#summary").startsWith("184.000 mm at 0.00°"));
    }

    @Test
    void commandsAreFoundByWordsAndByKeys() {
        long job = makeJob("cleat_backing_plate", "Commanded", 1);
        browser.openStage(job, "cuts");
        browser.chord("k", Keys.CONTROL);
        browser.find("#command-text").sendKeys("go proof", Keys.ENTER);
        browser.until(b -> b.path().contains("/proof"));
        browser.waitForScene();
        browser.keys("?");
        assertThat(browser.text("#keys-list")).contains("Replay: play or pause", "Go to Shape");
        browser.keys(Keys.ESCAPE);
        browser.keys("1");
        browser.until(b -> b.path().contains("/shape"));
    }

    @Test
    void theLaterOfTwoPeopleSeesWhatChanged() {
        long job = makeJob("cleat_backing_plate", "Two at once", 1);
        browser.openStage(job, "cuts");
        jobs.edit(
                job,
                "quantity",
                b -> dev.oleander.web.job.document.OrderValues.QUANTITY.put(b.document(), "3"),
                person("anselm"));
        browser.set("#j-thickness", "8");
        browser.until(b -> !b.all("#slip .notice").isEmpty());
        assertThat(browser.text("#slip .notice"))
                .contains("Anselm Byre changed this job meanwhile: quantity");
        assertThat(browser.text("#job-title")).contains("3 off · mild steel 6.0 mm");
        browser.set("#j-thickness", "8");
        browser.waitForStep(3);
        assertThat(browser.text("#job-title")).contains("3 off · mild steel 8.0 mm");
    }

    @Test
    void aLookIsAcceptedWithAReason() {
        long job = makeJobInMillimetres("cleat_backing_plate", "Accepted", 1);
        browser.openStage(job, "cuts");
        browser.all(".stop-button").get(7).click();
        browser.until(b -> b.text("#slip h2").contains("Outline"));
        browser.click("label:has([id='f-leadIn.kind-line'])");
        browser.waitForStep(2);
        browser.set("[id='f-leadIn.length']", "1");
        browser.waitForStep(3);
        browser.openStage(job, "proof");
        assertThat(browser.text(".findings .look")).contains("pierce", "asks for");
        browser.set(".accept [name=reason]", "scrap side is off-cut");
        browser.waitForStep(4);
        assertThat(browser.text(".findings .accepted"))
                .contains("scrap side is off-cut (Mira Rosvold)");
        assertThat(browser.text("#slip")).contains("Nothing stands against a release");
    }

    @Test
    void noStageHasASeriousFaultOfAccessibilityOrAnErrorInTheConsole() {
        long job = makeJob("fairlead_base_gaps", "Accessible", 2);
        assertAccessible(
                List.of(
                        "/jobs/%d/shape".formatted(job),
                        "/jobs/%d/cuts".formatted(job),
                        "/jobs/%d/cuts?stop=c1.1".formatted(job),
                        "/jobs/%d/sheet".formatted(job),
                        "/jobs/%d/proof".formatted(job),
                        "/jobs/%d/release".formatted(job)));
    }

    @Test
    void noPageOfProgramsHasASeriousFaultOfAccessibilityOrAnErrorInTheConsole() {
        long job = makeJob("fairlead_base_gaps", "Accessible", 2);
        long released = releasedTwice();
        browser.signIn("anselm");
        assertAccessible(
                List.of(
                        "/",
                        "/programs",
                        "/rules",
                        "/jobs/%d/release/changes?from=A&to=B".formatted(released),
                        "/jobs/%d/release".formatted(released),
                        "/jobs/%d/estimate".formatted(job)));
    }

    @Test
    void noPageOfBooksAndPeopleHasASeriousFaultOfAccessibilityOrAnErrorInTheConsole() {
        browser.signIn("anselm");
        assertAccessible(
                List.of(
                        "/machines/teasel",
                        "/machines/bracken?find=brass+0.25+tool+steel+10",
                        "/machines/yarrow?find=glass+10",
                        "/machines/teasel/rows/ms-6-standard",
                        "/recipes",
                        "/products",
                        "/products/1",
                        "/products/1/panels/side-r?feature=h1",
                        "/products/1/order",
                        "/account",
                        "/accounts",
                        "/trail",
                        "/seals"));
        browser.driver().manage().deleteAllCookies();
        browser.open("/sign-in");
        assertAccessible("/sign-in");
    }

    /** In both themes. */
    private void assertAccessible(List<String> pages) {
        // what other tests provoked before is not meant
        browser.driver().manage().logs().get(LogType.BROWSER);
        for (String theme : List.of("light", "dark")) {
            browser.script("localStorage.setItem('theme', arguments[0])", theme);
            for (String page : pages) {
                browser.open(page);
                if (page.endsWith("/estimate")) {
                    browser.until(b -> !b.all(".estimate-table").isEmpty());
                } else if (page.startsWith("/jobs") && !page.contains("/changes")) {
                    browser.waitForScene();
                }
                assertAccessible(page + ", " + theme);
            }
        }
        browser.script("localStorage.removeItem('theme')");
        List<String> errors =
                browser.driver().manage().logs().get(LogType.BROWSER).getAll().stream()
                        .map(LogEntry::getMessage)
                        .filter(m -> !m.contains("willReadFrequently"))
                        .toList();
        assertThat(errors).isEmpty();
    }

    private long releasedTwice() {
        long id = makeJob("cleat_backing_plate", "Released twice", 1);
        jobs.edit(id, "mm", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        releases.release(id, person("mira"));
        jobs.edit(id, "two", b -> OrderValues.QUANTITY.put(b.document(), "2"), person("mira"));
        releases.release(id, person("mira"));
        return id;
    }

    private void assertAccessible(String page) {
        Results results = new AxeBuilder().analyze(browser.driver());
        List<Rule> serious =
                results.getViolations().stream()
                        .filter(r -> List.of("serious", "critical").contains(r.getImpact()))
                        .toList();
        assertThat(serious)
                .as(page)
                .extracting(r -> r.getId() + ": " + r.getNodes().get(0).getHtml())
                .isEmpty();
    }

    @Test
    void anotherMachineIsChosenAndEverythingFollows() {
        long id = makeJob("cleat_backing_plate", "Which machine", 2);
        jobs.edit(id, "mm", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        browser.openStage(id, "cuts");
        String time = browser.text("#total-time");
        browser.script(
                "const s = document.getElementById('j-machine'); s.value = 'sorrel';"
                        + "s.dispatchEvent(new Event('change', {bubbles: true}))");
        browser.waitForStep(3);
        assertThat(browser.text("#job-title")).contains("Sorrel");
        assertThat(browser.text("#total-time")).isNotEqualTo(time);
        assertThat(jobs.view(id).result().run().stops())
                .allMatch(s -> SheetCut.of(s).row().orElseThrow().kerf() == 2.0);
        browser.openStage(id, "release");
        browser.until(b -> b.text("#program").contains("M07 E0.3"));
        browser.openStage(id, "cuts");
        browser.script(
                "const s = document.getElementById('j-material'); s.value = 'stainless';"
                        + "s.dispatchEvent(new Event('change', {bubbles: true}))");
        browser.waitForStep(4);
        browser.openStage(id, "proof");
        assertThat(browser.text("#rail")).contains("Proof");
    }

    @Test
    void theWaterjetsEquationIsShownWithItsValues() {
        browser.open("/machines/yarrow");
        assertThat(browser.text(".equation")).contains("380 MPa", "Zeng and Kim", "N, marble");
        assertThat(browser.text(".data-table")).contains("Abrasive g/min");
        browser.open("/machines/sorrel");
        assertThat(browser.all(".equation")).isEmpty();
        assertThat(browser.text(".data-table")).contains("Current A");
    }
}
