package dev.oleander.web.browser;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.choice.StopChoice;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** How a programmer decides how things are cut, and what it costs. */
class CutsJourneyTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    private void clickText(String css, String text) {
        WebElement found =
                browser.all(css).stream()
                        .filter(e -> e.getText().contains(text))
                        .findFirst()
                        .orElseThrow();
        ((JavascriptExecutor) browser.driver()).executeScript("arguments[0].click()", found);
    }

    private List<Stop> stops(long job) {
        return jobs.view(job).result().run().stops();
    }

    @Test
    void aPartIsHeldByTabsByCountAndByPointing() {
        long job = makeJob("cleat_backing_plate", "Tabs", 1);
        browser.openStage(job, "cuts");
        browser.selectStop("Outline");
        browser.set("[id='f-tabs.count']", "2");
        browser.waitForStep(2);
        Stop outline = stops(job).get(7);
        assertThat(outline.tabs()).hasSize(2);
        long amber = browser.pixels("--amber");
        assertThat(amber).as("amber bars across the path").isGreaterThan(20);

        browser.keys("z");
        clickText("#put-tabs", "Put tabs");
        browser.until(b -> b.find("#put-tabs").getAttribute("aria-pressed").equals("true"));
        var place = outline.path().orElseThrow().main().get(0).at(0.25);
        int[] at = browser.onScreen(place.x(), place.y());
        browser.actions().moveToLocation(at[0], at[1]).click().perform();
        browser.waitForStep(3);
        StopChoice set = jobs.view(job).document().choices(SHEET).of(outline.feature(), 1);
        assertThat(set.tabs().at()).hasSize(1);
        assertThat(browser.text("#slip")).contains("1 put by hand");
    }

    @Test
    void aLeadSaysWhyItLiesThereAndWhatAnotherPlaceWouldHit() {
        long job = makeJob("cleat_backing_plate", "Why", 2);
        browser.openStage(job, "cuts");
        browser.selectStop("Outline");
        clickText("#why-here", "Why here?");
        browser.until(b -> b.text("#why").contains("places were looked at"));
        assertThat(browser.text("#why"))
                .contains("worth most", "room for the pierce", "clear of slats");
        Object trial =
                browser.script(
                        """
                        const request = new XMLHttpRequest();
                        request.open('GET', `/jobs/${document.body.dataset.job}/cuts/lead?stop=c1.1&start=30`, false);
                        request.send();
                        return request.responseText;
                        """);
        assertThat(String.valueOf(trial)).contains("\"fits\":true", "\"lead\":[");
    }

    @Test
    void aRecipeIsKeptAndGivenToAllHoles() {
        long job = makeJob("cleat_backing_plate", "Recipe", 2);
        browser.openStage(job, "cuts");
        browser.selectStop("Hole Ø 11");
        browser.set("[id='f-overRun']", "0.7");
        browser.waitForStep(2);
        browser.find("#recipe-name").sendKeys("Bolts");
        clickText("#slip button", "keep");
        browser.waitForStep(3);
        assertThat(browser.text("#slip")).contains("Cut by Bolts.");
        clickText(".like-this button", "same size");
        browser.until(b -> b.text("#slip h2").equals("8 stops"));
        new Select(browser.find("#give-recipe")).selectByVisibleText("Bolts");
        browser.waitForStep(4);
        assertThat(stops(job).stream().filter(s -> s.name().equals("Hole Ø 11")))
                .hasSize(8)
                .allMatch(s -> s.overRun() == 0.7);

        browser.open("/recipes");
        assertThat(browser.text(".recipe")).contains("Bolts", "over-run 0.7 mm");
        new Select(browser.find("[name=kind]")).selectByValue("hole");
        browser.find("[name=below]").sendKeys("12");
        browser.click("[name=onNew]");
        browser.script("document.body.dataset.before = 'kept'");
        browser.click(".rule-form button");
        browser.until(
                b ->
                        b.script("return document.body.dataset.before ?? 'kept now'")
                                .equals("kept now"));
        long next = makeJob("cleat_backing_plate", "After the recipe", 1);
        assertThat(stops(next).stream().filter(s -> s.overRun() == 0.7))
                .extracting(Stop::name)
                .hasSize(4)
                .containsOnly("Hole Ø 11");
        browser.open("/recipes");
        browser.click(".recipe-foot .link-button");
        browser.until(b -> b.all(".recipe").stream().noneMatch(r -> r.getText().contains("Bolts")));
    }

    @Test
    void estimatesAreComparedAndTheJobGoesToAnotherMachine() {
        long job = makeJob("cleat_backing_plate", "Compare", 12);
        browser.openStage(job, "cuts");
        browser.click("#foot a.price");
        browser.until(b -> !b.all(".estimate-table .lowest").isEmpty());
        assertThat(browser.text(".estimate-table"))
                .contains("Teasel", "Sorrel", "Yarrow", "punching", "this job", "lowest");
        assertThat(browser.text("#e-punch")).contains("hits");
        clickText("#e-sorrel button", "Make it here");
        browser.until(b -> b.path().endsWith("/cuts"));
        assertThat(jobs.view(job).document().machine()).isEqualTo("sorrel");
    }

    @Test
    void aStretchIsPinnedAndKeptTogether() {
        long job = makeJob("cleat_backing_plate", "Pins", 2);
        browser.openStage(job, "cuts");
        List<String> pinned = stops(job).subList(1, 4).stream().map(Stop::id).toList();
        browser.open("/jobs/%d/cuts?stop=%s".formatted(job, String.join(",", pinned)));
        browser.waitForScene();
        clickText("#slip button", "Pin this stretch");
        browser.waitForStep(2);
        assertThat(browser.text("#run-line")).contains("pinned");
        browser.open("/jobs/%d/cuts".formatted(job));
        browser.waitForScene();
        new Select(browser.find("#j-order")).selectByValue("rowByRow");
        browser.waitForStep(3);
        assertThat(stops(job).stream().map(Stop::id).toList()).containsSequence(pinned);
    }

    @Test
    void stopsAreCutInTheOrderInWhichTheyWereSelected() {
        long job = makeJob("cleat_backing_plate", "As clicked", 1);
        List<String> ids = stops(job).stream().map(Stop::id).toList();
        List<String> clicked = List.of(ids.get(4), ids.get(1), ids.get(2));
        browser.open("/jobs/%d/cuts?stop=%s".formatted(job, String.join(",", clicked)));
        browser.waitForScene();
        clickText("#slip button", "Cut them in the order selected");
        browser.waitForStep(2);
        assertThat(stops(job).stream().map(Stop::id).toList()).containsSequence(clicked);
        String wrong = String.join(",", ids.get(7), ids.get(0));
        browser.open("/jobs/%d/cuts?stop=%s".formatted(job, wrong));
        browser.waitForScene();
        clickText("#slip button", "Cut them in the order selected");
        browser.until(b -> b.text("#slip").contains("the piece would be free"));
    }
}
