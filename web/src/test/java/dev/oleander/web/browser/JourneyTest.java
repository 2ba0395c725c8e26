package dev.oleander.web.browser;

import static dev.oleander.work.sheet.SheetCutting.SHEET;
import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.web.api.ApiClient;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** The way of a drawing through all stages, as a programmer walks it. */
class JourneyTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void aWrongPasswordIsToldAndTheRightOneShowsTheBoard() {
        browser.driver().manage().deleteAllCookies();
        browser.open("/");
        assertThat(browser.text(".demo-accounts")).contains("programmer", "mira", "lead");
        browser.find("#username").sendKeys("mira");
        browser.find("#password").sendKeys("wrong");
        browser.click(".sign-in .btn");
        assertThat(browser.text(".problem")).contains("not right");
        browser.signIn("mira");
        assertThat(browser.all(".ticket").size()).isGreaterThanOrEqualTo(8);
        assertThat(browser.all(".ticket .part-picture path.kept").size()).isGreaterThanOrEqualTo(8);
    }

    @Test
    void aDrawingIsBroughtInReadAndShown() throws IOException {
        Path file =
                Files.write(downloads.resolve("cleat_plate.dxf"), sample("cleat_backing_plate"));
        browser.find("#intake-file").sendKeys(file.toString());
        browser.until(b -> b.path().matches("/jobs/\\d+/shape"));
        browser.waitForScene();
        assertThat(browser.text("#job-title")).contains("Cleat plate");
        assertThat(browser.text("#slip")).contains("184 × 92 mm", "does not say its unit");
        assertThat(browser.text(".hole-list")).contains("Ø 11.00 × 4");
        assertThat(browser.all(".feature-row")).hasSize(8);
        assertThat(browser.pixels("--rose")).isGreaterThan(800);
        assertThat(browser.pixels("--kept")).isGreaterThan(20_000);
        assertThat(browser.text("#rail .current")).contains("1 thing to decide");

        browser.script(
                "document.getElementById('unit').value = 'mm';"
                        + "document.getElementById('unit').dispatchEvent(new Event('change', {bubbles: true}))");
        browser.waitForStep(2);
        assertThat(browser.text("#rail .current")).contains("1 part, 7 openings");
    }

    @Test
    void aFileDroppedOnTheBoardBecomesAJob() {
        String text = new String(sample("cleat_backing_plate"), StandardCharsets.UTF_8);
        browser.script(
                """
                const files = new DataTransfer();
                files.items.add(new File([arguments[0]], 'dropped_plate.dxf'));
                document.querySelector('[data-drop-area]').dispatchEvent(
                    new DragEvent('drop', {bubbles: true, cancelable: true, dataTransfer: files}));
                """,
                text);
        browser.until(b -> b.path().matches("/jobs/\\d+/shape"));
        assertThat(browser.text("#job-title")).contains("Dropped plate");
    }

    @Test
    void severalDrawingsBecomeSeveralJobs() throws IOException {
        Path one = Files.write(downloads.resolve("bow_plate.dxf"), sample("cleat_backing_plate"));
        Path two = Files.write(downloads.resolve("stern_pawl.dxf"), sample("chain_stopper_pawl"));
        browser.find("#intake-file").sendKeys(one + "\n" + two);
        browser.until(
                b -> b.all(".ticket h2").stream().anyMatch(t -> t.getText().equals("Stern pawl")));
        assertThat(browser.all(".ticket h2")).anyMatch(t -> t.getText().equals("Bow plate"));
    }

    @Test
    void aLargeDrawingIsReadOnTheWay() throws IOException {
        String plate = new String(sample("cleat_backing_plate"), StandardCharsets.UTF_8);
        String large = "999\nfor the quay\n".repeat(150_000) + plate;
        Path file = Files.writeString(downloads.resolve("quay_plate.dxf"), large);
        browser.find("#intake-file").sendKeys(file.toString());
        browser.until(b -> b.text(".tickets").contains("Quay plate"));
        assertThat(browser.path()).isEqualTo("/");
        browser.until(b -> b.all("#arrivals li").isEmpty());
        assertThat(browser.text(".job-title")).contains("jobs");
    }

    @Test
    void aFileThatIsNoDrawingIsNamed() throws IOException {
        Path file = Files.writeString(downloads.resolve("letter.dxf"), "Dear all,\n");
        browser.find("#intake-file").sendKeys(file.toString());
        assertThat(browser.text(".board .problem")).contains("letter.dxf", "line 1");
    }

    @Test
    void aLeadIsChangedRefusedAndPutBack() {
        long job = makeJob("cleat_backing_plate", "Leads", 2);
        browser.openStage(job, "cuts");
        browser.selectStop("Hole Ø 11");
        browser.set("[id='f-leadIn.radius']", "1/16 in");
        browser.waitForStep(2);
        assertThat(browser.value("[id='f-leadIn.radius']")).isEqualTo("1/16 in");
        assertThat(browser.text("#slip")).contains("1.588 mm", "here");

        browser.set("[id='f-leadIn.radius']", "40");
        browser.until(b -> !b.all(".field-error").isEmpty());
        assertThat(browser.text(".field-error")).contains("Stop", "Hole Ø 11", "0.13 mm");
        assertThat(browser.value("[id='f-leadIn.radius']")).isEqualTo("40");
        assertThat(jobs.view(job).step()).isEqualTo(2);

        browser.click(".put-back");
        browser.waitForStep(3);
        assertThat(browser.all(".put-back")).isEmpty();
        assertThat(jobs.view(job).document().choices(SHEET).stops()).isEmpty();
    }

    @Test
    void stopsAreDraggedAndMovedByKeys() {
        long job = makeJob("cleat_backing_plate", "Dragged", 1);
        browser.openStage(job, "cuts");
        List<String> before = stopIds();
        List<WebElement> stops = browser.all(".stop");
        browser.actions()
                .clickAndHold(stops.get(0))
                .moveByOffset(0, 20)
                .moveToElement(stops.get(3), 20, -8)
                .release()
                .perform();
        browser.waitForStep(2);
        assertThat(stopIds().subList(0, 3))
                .containsExactly(before.get(1), before.get(2), before.get(0));

        browser.all(".stop-button").get(0).click();
        browser.chord(Keys.ARROW_DOWN, Keys.ALT);
        browser.waitForStep(3);
        assertThat(stopIds().get(1)).isEqualTo(before.get(1));

        stops = browser.all(".stop");
        browser.actions()
                .clickAndHold(stops.get(7))
                .moveByOffset(0, -20)
                .moveToElement(stops.get(0), 20, -8)
                .release()
                .perform();
        browser.until(b -> !b.all("#slip .notice").isEmpty());
        assertThat(browser.text("#slip .notice")).contains("Outline", "must come after stop");

        browser.chord("z", Keys.CONTROL);
        browser.until(b -> b.value("#bench-state [name=step]").equals("2"));
        browser.chord("z", Keys.CONTROL, Keys.SHIFT);
        browser.until(b -> b.value("#bench-state [name=step]").equals("3"));
    }

    private List<String> stopIds() {
        return browser.all(".stop").stream().map(s -> s.getAttribute("data-stop")).toList();
    }

    @Test
    void theStartIsDraggedAlongTheContour() {
        long job = makeJob("cleat_backing_plate", "Start", 1);
        browser.openStage(job, "cuts");
        browser.selectStop("Outline");
        browser.keys("z");
        double[] start = place("main");
        int[] from = browser.onScreen(start[0], start[1]);
        double before = Double.parseDouble(browser.value("#f-start"));
        browser.actions()
                .moveToLocation(from[0], from[1])
                .clickAndHold()
                .moveByOffset(-30, 4)
                .moveByOffset(-30, 2)
                .release()
                .perform();
        browser.waitForStep(2);
        double after = Double.parseDouble(browser.value("#f-start"));
        assertThat(Math.abs(after - before)).isGreaterThan(5);
        assertThat(browser.text("#slip")).contains("here");
    }

    /** First point of a stretch of the selected stop, mm. */
    private double[] place(String stretch) {
        browser.driver().manage().timeouts().scriptTimeout(Duration.ofSeconds(10));
        List<?> found =
                (List<?>)
                        ((org.openqa.selenium.JavascriptExecutor) browser.driver())
                                .executeAsyncScript(
                                        """
                                        const done = arguments[1];
                                        const id = document.querySelector('#bench-state [name=stop]').value;
                                        fetch(`/jobs/${document.body.dataset.job}/scene`).then((a) => a.json())
                                            .then((s) => done(s.stops.find((x) => x.id === id)[arguments[0]].slice(0, 2)));
                                        """,
                                        stretch);
        return found.stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
    }

    @Test
    void theSheetSaysWhatDoesNotFit() {
        long job = makeJob("cleat_backing_plate", "Sheet", 12);
        browser.openStage(job, "sheet");
        browser.set("#f-width", "400");
        browser.waitForStep(2);
        browser.set("#f-height", "8 in");
        browser.waitForStep(3);
        assertThat(browser.text("#slip .figures")).contains("12 of 12 on 6 sheets");
        assertThat(browser.text("#slip")).contains("203.2 mm");
        browser.set("#f-width", "wide");
        browser.until(b -> !b.all(".field-error").isEmpty());
        assertThat(browser.text(".field-error")).contains("\"wide\" is not a number");
        browser.click("label:has(#stock-around)");
        browser.waitForStep(4);
        assertThat(browser.text("#slip .figures")).contains("12 of 12");
    }

    @Test
    void withoutAPlanTheDrawingIsOnTheTable() {
        long job = makeJob("cleat_backing_plate", "No plan", 2);
        setSheet(job, BedValues.ROWS, "1.5");
        for (String stage : List.of("cuts", "sheet", "proof", "release")) {
            browser.openStage(job, stage);
            assertThat(browser.pixels("--rose")).as(stage).isGreaterThan(300);
            assertThat(browser.pixels("--kept")).as(stage).isGreaterThan(20_000);
        }
    }

    @Test
    void theProofIsPlayedSteppedAndDragged() {
        long job = makeJob("cleat_backing_plate", "Replay", 1);
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip")).contains("no cut reaches into kept material");
        browser.script(
                "document.getElementById('speed').value = '50';"
                        + "document.getElementById('speed').dispatchEvent(new Event('change'))");
        browser.click("#play");
        browser.until(b -> moment() > 1);
        browser.click("#play");
        double paused = moment();
        browser.click("#item-on");
        assertThat(moment()).isGreaterThan(paused);
        browser.keys(Keys.PAGE_DOWN);
        assertThat(browser.all(".stop.running")).hasSize(1);
        browser.click("#play-start");
        assertThat(moment()).isZero();
        assertThat(browser.text("#clock")).isEqualTo("0.0 s");

        WebElement marker = browser.find(".line-marker");
        browser.actions()
                .moveToElement(marker)
                .clickAndHold()
                .moveByOffset(0, 120)
                .release()
                .perform();
        assertThat(moment()).isGreaterThan(1);
        double dragged = moment();
        browser.script("document.querySelector('.line-marker').focus()");
        browser.keys(Keys.ARROW_DOWN);
        assertThat(moment()).isGreaterThan(dragged);
        assertThat(browser.pixels("--rose")).isGreaterThan(100);
    }

    private double moment() {
        return Double.parseDouble(browser.value("#moment"));
    }

    @Test
    void aReleaseIsMadeDownloadedAndWalkedLineByLine() throws IOException {
        long job = makeJob("chain_stopper_pawl", "Pawls to release", 2);
        browser.openStage(job, "release");
        assertThat(browser.text(".read-back")).contains("greatest deviation", "µm");
        browser.until(b -> b.all(".program-line").size() > 10);
        browser.click("#release-now");
        browser.until(b -> !b.all(".releases .revision").isEmpty());
        assertThat(browser.text(".releases .revision")).isEqualTo("A");
        assertThat(browser.text("#rail .current")).contains("revision A");
        assertThat(browser.text("#release-now")).contains("Nothing changed since revision A");

        browser.click(".release-files a[download]");
        Path file = downloaded();
        String id =
                browser.find(".release-files a[download]")
                        .getAttribute("href")
                        .replaceAll(".*/releases/(\\d+)/.*", "$1");
        String published =
                new ApiClient(port, "mira").get("/api/releases/" + id + "/program").text();
        assertThat(Files.readString(file)).isEqualTo(published).contains("G3", "M30");

        browser.until(b -> b.text("#program-note").startsWith("revision A"));
        WebElement line =
                browser.all(".program-line").stream()
                        .filter(l -> l.getText().contains("G3"))
                        .findFirst()
                        .orElseThrow();
        int number = Integer.parseInt(line.getAttribute("data-line"));
        line.click();
        assertThat(moment()).isGreaterThan(0);
        assertThat(browser.find(".program-line.lit").getAttribute("data-line"))
                .isEqualTo(String.valueOf(number));
        double before = moment();
        browser.keys(Keys.ARROW_DOWN, Keys.ARROW_DOWN);
        assertThat(moment()).isGreaterThan(before);
        browser.click("#stop-on");
        browser.until(
                b ->
                        Integer.parseInt(b.find(".program-line.lit").getAttribute("data-line"))
                                > number + 3);
    }

    private Path downloaded() throws IOException {
        Path[] found = new Path[1];
        browser.until(
                b -> {
                    try (var files = Files.list(downloads)) {
                        found[0] =
                                files.filter(f -> f.toString().endsWith(".nc"))
                                        .findFirst()
                                        .orElse(null);
                        return found[0] != null;
                    } catch (IOException unreadable) {
                        throw new UncheckedIOException(unreadable);
                    }
                });
        assertThat(found[0].getFileName().toString()).endsWith("pawls-to-release-A.nc");
        return found[0];
    }

    @Test
    void anOperatorLooksAndTakesButChangesNothing() {
        long job = makeJob("cleat_backing_plate", "Looking", 1);
        browser.signIn("tove");
        assertThat(browser.all(".intake")).isEmpty();
        browser.openStage(job, "cuts");
        browser.selectStop("Outline");
        assertThat(browser.find("#f-start").isEnabled()).isFalse();
        browser.openStage(job, "release");
        assertThat(browser.all("#release-now")).isEmpty();
    }
}
