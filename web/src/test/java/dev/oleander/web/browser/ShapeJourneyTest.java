package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.read.Reading;
import dev.oleander.web.OleanderApplication;
import dev.oleander.web.job.JobView;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** A drawing mended, drawn and changed on Shape, by mouse and keyboard. */
class ShapeJourneyTest extends BrowserTest {

    @Value("${spring.datasource.url}")
    private String database;

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    private int step(long job) {
        return jobs.view(job).step();
    }

    /** Chooses a command and types its places and values; the last Enter draws. */
    private void draw(long job, String command, String place, String... fieldsAndValues) {
        int before = step(job);
        browser.click("[data-draw=" + command + "]");
        waitForCommand(command);
        browser.find("#draw-typed").sendKeys(place, Keys.ENTER);
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            browser.find("#d-" + fieldsAndValues[i]).clear();
            browser.find("#d-" + fieldsAndValues[i]).sendKeys(fieldsAndValues[i + 1]);
        }
        String last = fieldsAndValues[fieldsAndValues.length - 2];
        browser.find("#d-" + last).sendKeys(Keys.ENTER);
        browser.waitForStep(before + 1);
        waitForCommand(command);
    }

    /** The fields of a command are there and take values. */
    private void waitForCommand(String word) {
        String ready = ".draw-command[data-ready][data-word=" + word + "]";
        browser.until(b -> !b.all(ready).isEmpty());
    }

    @Test
    void aFirstTimeUserFindsWhatToDrawAndMendWith() {
        long job = makeJob("fairlead_base_gaps", "To be mended", 1);
        browser.openStage(job, "shape");
        String bar = browser.text(".draw-bar");
        assertThat(bar).contains("Line", "Circle", "Offset", "Trim", "Whole parts");
        assertThat(browser.find("#mend-all").isDisplayed()).isTrue();
        assertThat(browser.find("#mend-all").getText()).isEqualTo("Mend all");
    }

    @Test
    void aDirtyDrawingIsMendedInOneActionAndOneUndo() {
        long job = makeJob("fairlead_base_gaps", "Dirty", 1);
        browser.openStage(job, "shape");
        assertThat(browser.text("#rail .current")).contains("1 thing to decide");
        assertThat(browser.text(".findings .must-fix")).contains("Gap of 1.5 mm", "bridge it");
        browser.find("#mend-gap").sendKeys(Keys.chord(Keys.CONTROL, "a"), "1 + 1");
        browser.click("#mend-all");
        browser.waitForStep(2);
        assertThat(browser.text("#rail .current")).contains("2 parts");
        assertThat(browser.all(".findings .must-fix")).isEmpty();
        assertThat(browser.text(".changes summary")).isEqualTo("13 mended");
        browser.chord("z", Keys.CONTROL);
        browser.waitForStep(1);
        assertThat(browser.text("#rail .current")).contains("1 thing to decide");
    }

    @Test
    void aLargerGapIsBridgedOrLeftByAPerson() {
        long job = makeJob("fairlead_base_gaps", "Bridged", 1);
        browser.openStage(job, "shape");
        browser.driver().findElement(By.xpath("//button[text()='leave as it is']")).click();
        browser.waitForStep(2);
        assertThat(browser.all(".findings .must-fix")).isEmpty();
        browser.driver().findElement(By.xpath("//button[text()='ask again']")).click();
        browser.waitForStep(3);
        browser.driver().findElement(By.xpath("//button[text()='bridge it']")).click();
        browser.waitForStep(4);
        assertThat(jobs.view(job).result().reading().parts()).hasSize(2);
        assertThat(browser.text(".step-list")).contains("Line");
    }

    @Test
    void aCleatBackingPlateIsDrawnFromNothing() {
        long job = newPart();
        assertThat(browser.text("#slip")).contains("Nothing is drawn yet");
        draw(job, "rectangle", "0, 0", "width", "184", "height", "92", "radius", "1/2 in");
        draw(job, "circle", "20, 20", "diameter", "11");
        // the command stays in use: three more circles, the keyboard alone
        for (String place : List.of("by 144, 0", "by 0, 52", "by -144, 0")) {
            int before = step(job);
            waitForCommand("circle");
            String absolute =
                    switch (place) {
                        case "by 144, 0" -> "164, 20";
                        case "by 0, 52" -> "164, 72";
                        default -> "20, 72";
                    };
            browser.find("#draw-typed").sendKeys(absolute, Keys.ENTER);
            browser.find("#d-diameter").sendKeys("11", Keys.ENTER);
            browser.waitForStep(before + 1);
        }
        waitForCommand("circle");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".draw-command").isEmpty());
        Reading reading = jobs.view(job).result().reading();
        assertThat(reading.parts()).hasSize(1);
        assertThat(reading.holes())
                .singleElement()
                .satisfies(h -> assertThat(h.count()).isEqualTo(4));
        double corner = 12.7;
        assertThat(reading.keptArea())
                .isCloseTo(
                        184 * 92 - (4 - Math.PI) * corner * corner - Math.PI * 121, within(1e-6));
        browser.keys("2");
        browser.until(b -> b.path().contains("/cuts"));
        browser.waitForScene();
        assertThat(browser.all(".stop")).hasSize(5);
        assertThat(browser.text("#run-line")).contains("Hole Ø 11", "Outline");
    }

    @Test
    void placesAreClickedAndSnapped() {
        long job = newPart();
        draw(job, "rectangle", "0, 0", "width", "100", "height", "60");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".draw-command").isEmpty());
        browser.keys("f");
        browser.keys("d", "l");
        waitForCommand("line");
        for (double[] at : new double[][] {{0, 60}, {100, 0}}) {
            int[] place = browser.onScreen(at[0], at[1]);
            browser.actions().moveToLocation(place[0] + 3, place[1] - 2).click().perform();
        }
        browser.waitForStep(3);
        var line =
                jobs.view(job).result().reading().features().stream()
                        .filter(f -> !f.isClosed())
                        .findFirst()
                        .orElseThrow();
        assertThat(line.chain().length()).isCloseTo(Math.hypot(100, 60), within(1e-9));
    }

    @Test
    void whatWouldBeDrawnIsShownAtThePointer() {
        long job = newPart();
        draw(job, "rectangle", "0, 0", "width", "100", "height", "60");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".draw-command").isEmpty());
        browser.keys("f");
        long before = browser.pixels("--leaf");
        browser.driver().findElement(By.xpath("//summary[text()='Whole parts']")).click();
        browser.click("[data-draw=ring]");
        waitForCommand("ring");
        int[] place = browser.onScreen(50, 30);
        browser.actions().moveToLocation(place[0], place[1]).perform();
        // seven circles, dashed
        browser.until(b -> b.pixels("--leaf") > before + 200);
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.pixels("--leaf") <= before);
        assertThat(step(job)).isEqualTo(2);
    }

    @Test
    void layersAreHiddenAndCrossingLinesSplit() {
        long job = newPart();
        draw(job, "rectangle", "0, 0", "width", "40", "height", "40");
        draw(job, "rectangle", "20, 20", "width", "40", "height", "40");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.text("#slip").contains("split them there"));
        browser.click("[data-layer-eye=CUT]");
        browser.until(b -> b.pixels("--rose") == 0);
        browser.click("[data-layer-eye=CUT]");
        browser.until(b -> b.pixels("--rose") > 0);
        browser.driver().findElement(By.xpath("//button[text()='split them there']")).click();
        browser.waitForStep(4);
        assertThat(jobs.view(job).result().reading().parts()).hasSize(3);
        browser.click("[data-layer-lines=CUT]");
        browser.until(b -> b.text("#slip h2").equals("3 lines"));
    }

    @Test
    void aDimensionIsSetAnewFromTheListOfWhatWasDrawn() {
        long job = newPart();
        draw(job, "rectangle", "0, 0", "width", "40", "height", "40");
        browser.driver().findElement(By.xpath("//summary[text()='More lines']")).click();
        browser.click("[data-draw=dimension]");
        waitForCommand("dimension");
        browser.find("#draw-typed").sendKeys("0, 0", Keys.ENTER);
        browser.find("#draw-typed").sendKeys("40, 0", Keys.ENTER);
        browser.waitForStep(3);
        waitForCommand("dimension");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> !b.all(".step-list").isEmpty());
        browser.all(".step-list li > button:first-child").get(0).click();
        browser.until(b -> b.text("#slip h2").equals("Dimension"));
        browser.set("#f-away", "-8");
        browser.waitForStep(4);
        assertThat(jobs.view(job).result().shape().drawn().dimensions().get(0).away())
                .isEqualTo(-8);
        assertThat(browser.text("#slip h2")).isEqualTo("Dimension");
    }

    @Test
    void aRingFollowsItsHoleCountAndTheCutsFollowTheRing() {
        long job = newPart();
        browser.driver().findElement(By.xpath("//summary[text()='Whole parts']")).click();
        browser.click("[data-draw=ring]");
        waitForCommand("ring");
        browser.find("#draw-typed").sendKeys("0, 0", Keys.ENTER);
        browser.waitForStep(2);
        waitForCommand("ring");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".draw-command").isEmpty());
        assertThat(jobs.view(job).result().run().stops()).hasSize(8);
        browser.all(".feature-row").get(0).click();
        browser.until(b -> b.text("#slip").contains("Ring with bolt circle, drawn here"));
        browser.set("#f-holes", "2*5");
        browser.waitForStep(3);
        browser.openStage(job, "cuts");
        assertThat(browser.all(".stop")).hasSize(12);
        browser.openStage(job, "shape");
        browser.all(".feature-row").get(0).click();
        browser.until(b -> b.text("#slip").contains("Ring with bolt circle"));
        browser.set("#f-holes", "90");
        browser.until(b -> !b.all("#slip .field-error").isEmpty());
        assertThat(browser.text("#slip .field-error"))
                .contains("90 holes of 9 mm cut into each other");
        assertThat(step(job)).isEqualTo(3);
    }

    @Test
    void aFieldIsFilledFromTheTable() {
        long job = newPart();
        draw(job, "rectangle", "0, 0", "width", "100", "height", "60");
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".draw-command").isEmpty());
        browser.all(".feature-row").get(0).click();
        browser.until(b -> b.text("#slip").contains("Rectangle, drawn here"));
        browser.click("#f-height");
        browser.click(".take-menu > button");
        browser.driver().findElement(By.xpath("//button[text()='Distance along x']")).click();
        for (double[] at : new double[][] {{0, 0}, {100, 60}}) {
            int[] place = browser.onScreen(at[0], at[1]);
            browser.actions().moveToLocation(place[0] + 2, place[1] - 2).click().perform();
        }
        browser.waitForStep(3);
        assertThat(jobs.view(job).result().reading().keptArea()).isCloseTo(10_000, within(1e-6));
    }

    @Test
    void aNewVersionKeepsWhatStayedAndMarksWhatMoved() throws IOException {
        long job = makeJob("cleat_backing_plate", "Second version", 1);
        browser.openStage(job, "shape");
        String moved =
                new String(sample("cleat_backing_plate"), StandardCharsets.UTF_8)
                        .replaceFirst(
                                "(\nCIRCLE\r?\n(?:.*\n){0,12}? *10\r?\n)(-?)(\\d+)",
                                "$1$2" + "6$3");
        Path file = Files.writeString(downloads.resolve("second.dxf"), moved);
        browser.find("#new-version").sendKeys(file.toString());
        browser.waitForStep(2);
        assertThat(browser.text(".new-drawing")).contains("New version of the drawing");
        JobView view = jobs.view(job);
        assertThat(
                        view.document().shape().revision().stale().size()
                                + view.document().shape().revision().lost().size())
                .isPositive();
        browser.click(".new-drawing .btn");
        browser.waitForStep(3);
        assertThat(browser.all(".new-drawing")).isEmpty();
    }

    @Test
    void undoReachesBackThroughARestartOfTheServer() {
        long job = newPart();
        draw(job, "circle", "0, 0", "diameter", "50");
        draw(job, "circle", "100, 0", "diameter", "30");
        assertThat(jobs.view(job).result().reading().features()).hasSize(2);
        SpringApplication again = new SpringApplication(OleanderApplication.class);
        try (ConfigurableApplicationContext other =
                again.run(
                        "--server.port=0",
                        "--oleander.demo=true",
                        "--spring.datasource.url=" + database)) {
            String at = other.getEnvironment().getProperty("local.server.port");
            browser.driver().get("http://127.0.0.1:" + at + "/jobs/" + job + "/shape");
            browser.waitForScene();
            browser.chord("z", Keys.CONTROL);
            browser.waitForStep(2);
            assertThat(browser.all(".feature-row")).hasSize(1);
            browser.chord("z", Keys.CONTROL, Keys.SHIFT);
            browser.waitForStep(3);
            assertThat(browser.all(".feature-row")).hasSize(2);
        }
    }
}
