package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.drawing.read.Reading;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.OrderValues;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Name boards, scanned pictures and numbered tags, from nothing to a released program. */
class LetteringJourneyTest extends DrawingJourney {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    private void cutOn(long job, String machine, String material, String thickness) {
        jobs.edit(
                job,
                "x",
                b ->
                        OrderValues.THICKNESS.put(
                                OrderValues.MATERIAL.put(
                                        OrderValues.MACHINE.put(b.document(), machine), material),
                                thickness),
                person("mira"));
        browser.openStage(job, "shape");
    }

    /** Everything that should be looked at is, and accepted. */
    private void release(long job) {
        browser.openStage(job, "proof");
        while (!browser.all("form.accept").isEmpty()) {
            int before = jobs.view(job).step();
            browser.find("form.accept input[name=reason]").sendKeys("a sign, seen from afar");
            browser.click("form.accept button");
            browser.waitForStep(before + 1);
        }
        browser.openStage(job, "release");
        browser.until(b -> b.all(".program-line").size() > 10);
        browser.click("#release-now");
        browser.until(b -> !b.all(".releases .revision").isEmpty());
        assertThat(browser.text(".releases .revision")).isEqualTo("A");
    }

    @Test
    void aNameBoardOnAnArcWithBridgesIsCutByPlasma() {
        long job = newPart();
        cutOn(job, "sorrel", "mild steel", "4");
        start("circle");
        draw(job, "x", "200", "y", "200", "diameter", "380");
        stopDrawing();
        select("Circle");
        start("text");
        draw(
                job,
                "x",
                "200",
                "y",
                "390",
                "text",
                "BOARD",
                "font",
                "Commissioner, bold",
                "height",
                "60",
                "along",
                "centre",
                "distance",
                "-90",
                "reversed",
                "yes");
        stopDrawing();
        assertThat(reading(job).parts())
                .as("the board, and what falls out of B, O, A and D")
                .hasSize(7);
        browser.keys(Keys.ESCAPE);
        select("Text");
        // everything it asks for has a usual value, so that it is done at once
        int step = jobs.view(job).step();
        choose("bridges");
        browser.waitForStep(step + 1);
        Reading held = reading(job);
        assertThat(held.parts()).hasSize(1);
        browser.keys(Keys.ESCAPE);
        // the text stays a text: what holds it is found anew
        select("Text");
        int before = jobs.view(job).step();
        browser.find("#f-text").sendKeys(Keys.chord(Keys.CONTROL, "a"), "ABOARD", Keys.TAB);
        browser.waitForStep(before + 1);
        assertThat(reading(job).parts()).hasSize(1);
        release(job);
    }

    @Test
    void aScannedPictureBecomesAReleasedProgram() {
        long job = newPart();
        start("picture");
        browser.find("[data-picture]")
                .sendKeys(
                        Path.of("..", "samples", "lettering", "scan_board.png")
                                .toAbsolutePath()
                                .normalize()
                                .toString());
        browser.until(b -> b.find(".picture-box img").isDisplayed());
        draw(job, "x", "0", "y", "0", "pixel", "0.4");
        stopDrawing();
        JobView view = jobs.view(job);
        assertThat(view.result().reading().features()).hasSize(11);
        select("Picture");
        // the picture lies beside its line work, and its levels are there to be chosen from
        browser.until(b -> !b.all(".picture-levels input").isEmpty());
        assertThat(browser.text(".picture-panel")).contains("11 outlines");
        browser.find(".picture-divider").sendKeys(Keys.ARROW_LEFT);
        assertThat(browser.find(".picture-divider").getDomProperty("ariaValueNow")).isEqualTo("48");
        int before = view.step();
        browser.find("#f-pixel").sendKeys(Keys.chord(Keys.CONTROL, "a"), "0.5", Keys.TAB);
        browser.waitForStep(before + 1);
        assertThat(reading(job).keptArea())
                .isCloseTo(
                        view.result().reading().keptArea() * 25 / 16,
                        org.assertj.core.api.Assertions.within(1.0));
        release(job);
    }

    @Test
    void fortyTagsAreNumberedFromATable() {
        long job = newPart();
        start("rectangle");
        draw(job, "x", "0", "y", "0", "width", "60", "height", "25");
        stopDrawing();
        select("Rectangle");
        start("rows");
        draw(job, "columns", "8", "rows", "5", "dx", "70", "dy", "35");
        browser.keys(Keys.ESCAPE);
        assertThat(reading(job).parts()).hasSize(40);
        StringBuilder table = new StringBuilder("berth");
        for (int i = 1; i <= 40; i++) {
            table.append("\nQ-").append(100 + i);
        }
        start("text");
        draw(
                job,
                "x",
                "6",
                "y",
                "8",
                "text",
                "{berth}",
                "height",
                "7",
                "count",
                "40",
                "columns",
                "8",
                "dx",
                "70",
                "dy",
                "35",
                "table",
                table.toString());
        stopDrawing();
        assertThat(reading(job).parts()).hasSize(40);
        assertThat(jobs.view(job).result().shape().drawn().troubles()).isEmpty();
        release(job);
    }
}
