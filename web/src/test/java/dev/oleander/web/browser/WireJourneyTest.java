package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.web.job.Wires;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** A person's way through jobs of the wire machine. */
class WireJourneyTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void punchAndDieFromOneDrawingToTheRelease() {
        long job = makeWireJob("shim_punch_die", "Punch and die", 40);
        browser.openStage(job, "cuts");
        browser.script(
                "document.querySelectorAll('details.elements').forEach((d) => d.open = true)");
        browser.click("button[hx-vals*='\"set\"']");
        browser.until(b -> b.text("#line-scroll").contains("Punch"));
        assertThat(browser.text("#line-scroll")).contains("Opening", "Runs alone", "Needs people");
        assertThat(browser.text("#slip")).contains("alone, then waits 2 times for people");
        browser.openStage(job, "release");
        browser.click("#release-now");
        browser.until(b -> !b.all(".releases .revision").isEmpty());
        browser.until(b -> b.text("#program-note").startsWith("revision A"));
        browser.until(b -> b.text("#program").contains("G41 D21"));
    }

    @Test
    void aTaperMadeWrongIsToldAndTheJobStaysAsItWas() {
        long job = makeWireJob("shim_punch_die", "Wrong taper", 40);
        browser.openStage(job, "cuts");
        browser.click(".stop-button");
        browser.until(b -> !b.all("#f-angle").isEmpty());
        browser.set("#f-angle", "-12");
        browser.until(b -> !b.all("#e-angle").isEmpty());
        assertThat(browser.text("#e-angle")).contains("the taper of -12° closes the upper contour");
        browser.set("#f-angle", "1");
        browser.until(b -> b.all("#e-angle").isEmpty());
        assertThat(browser.text("#slip")).contains("conical");
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip")).contains("upwards only");
    }

    @Test
    void aSlotIsErodedCompletely() {
        long job = makeWireJob("shim_punch_die", "Coreless", 40);
        browser.openStage(job, "cuts");
        browser.click(".stop-button");
        browser.until(b -> !b.all("#f-slug").isEmpty());
        new Select(browser.find("#f-slug")).selectByValue("coreless");
        browser.until(b -> !b.all("#f-step").isEmpty());
        browser.until(b -> !b.text("#line-scroll").contains("cut-off"));
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip")).doesNotContain("must fix");
    }

    @Test
    void theMachineRunsAloneBeforeItNeedsPeople() {
        long job = makeWireJob("hawse_funnel_die", "Unattended", 30);
        browser.openStage(job, "cuts");
        new Select(browser.find("#j-order")).selectByValue("oneAtATime");
        browser.waitForStep(2);
        browser.until(b -> b.all(".stop").size() == 5);
        assertThat(groups()).as("people are needed at every contour").isEmpty();
        assertThat(browser.text("#slip")).contains("then waits 5 times for people");
        new Select(browser.find("#j-order")).selectByValue("unattendedFirst");
        browser.waitForStep(3);
        browser.until(b -> groups().equals(List.of("Runs alone", "Needs people")));
        assertThat(browser.text("#slip")).contains("alone, then waits 5 times for people");
        moveFirstCutOffBeforeItsMain();
        browser.openStage(job, "proof");
        browser.click("#halt-on");
        browser.until(b -> !b.all(".stop.running").isEmpty());
        assertThat(browser.text(".stop.running")).as("where people are needed").contains("cut-off");
        browser.click("#halt-on");
        browser.click("#halt-back");
        browser.until(b -> b.text(".stop.running").contains("cut-off"));
        assertThat(browser.all(".line-group").get(1).getText()).contains("Needs people");
    }

    private List<String> groups() {
        return browser.all(".group-title").stream().map(WebElement::getText).toList();
    }

    /** It is refused with the reason, and the order stays as it was. */
    private void moveFirstCutOffBeforeItsMain() {
        List<String> before = names();
        int at = 0;
        while (!before.get(at).contains("cut-off")) {
            at++;
        }
        WebElement stop = browser.all(".stop").get(at);
        browser.actions()
                .clickAndHold(stop)
                .moveByOffset(0, -12)
                .moveToElement(browser.all(".stop").get(0), 0, -14)
                .release()
                .perform();
        browser.until(b -> !b.all("#slip .notice").isEmpty());
        assertThat(browser.text("#slip .notice")).contains("must come after stop");
        assertThat(names()).isEqualTo(before);
    }

    private List<String> names() {
        return browser.all(".stop-name > span:first-child").stream()
                .map(WebElement::getText)
                .toList();
    }

    @Test
    void linesAndAnglesArePointedAtOnTheTable() {
        long job = makeWireJob("hawse_funnel_die", "Pointed", 30);
        browser.openStage(job, "cuts");
        browser.selectStop("Rectangle 20");
        openDetails();
        new Select(browser.find("#f-upper")).selectByValue(disc(job));
        browser.until(b -> !b.all("#draw-lines").isEmpty());
        browser.click("#draw-lines");
        Feature upper =
                jobs.view(job)
                        .result()
                        .reading()
                        .byId()
                        .get(browser.find("[data-upper]").getDomAttribute("data-upper"));
        Feature lower = lower(job);
        Transform placed =
                Wires.plan(jobs.view(job).result()).orElseThrow().copy(1).placement().transform();
        Point end = upper.chain().start();
        click(placed.apply(lower.contour().nearest(end).point()));
        click(placed.apply(end));
        browser.waitForStep(3);
        assertThat(browser.value("#f-lines")).matches("[\\d.]+ > [\\d.]+");
        assertThat(browser.find("#draw-lines").getDomAttribute("aria-pressed"))
                .as("the next line may follow")
                .isEqualTo("true");
        browser.keys(Keys.ESCAPE);
        assertThat(browser.find("#draw-lines").getDomAttribute("aria-pressed")).isEqualTo("false");
    }

    @Test
    void elementsGetTheirAnglesByPointing() {
        long job = makeWireJob("hawse_funnel_die", "Elements", 30);
        browser.openStage(job, "cuts");
        browser.selectStop("Rectangle 20");
        openDetails();
        browser.until(
                b -> {
                    b.set("#f-angle", "1");
                    return true;
                });
        browser.waitForStep(2);
        openDetails();
        Feature lower = lower(job);
        Transform placed =
                Wires.plan(jobs.view(job).result()).orElseThrow().copy(1).placement().transform();
        browser.script("document.getElementById('element-angle').value = '1'");
        browser.click("#set-elements");
        click(placed.apply(lower.chain().segments().get(2).middle()));
        browser.until(b -> b.value("#f-elements").equals("3: 1"));
        browser.click("#set-corners");
        click(placed.apply(lower.chain().segments().get(2).middle()));
        browser.until(b -> !b.all("#slip .notice").isEmpty());
        assertThat(browser.text("#slip .notice")).contains("Element 3 is a line");
        click(placed.apply(lower.chain().segments().get(1).middle()));
        browser.until(b -> b.value("#f-cornerOf").equals("2"));
    }

    private String disc(long job) {
        return jobs.view(job)
                .result()
                .reading()
                .cut()
                .filter(f -> f.circleDiameter().orElse(0) > 20)
                .findFirst()
                .orElseThrow()
                .id();
    }

    private Feature lower(long job) {
        return jobs.view(job)
                .result()
                .reading()
                .cut()
                .filter(f -> f.chain().segments().size() == 8)
                .findFirst()
                .orElseThrow();
    }

    private void openDetails() {
        browser.script(
                "document.querySelectorAll('details.elements').forEach((d) => d.open = true)");
    }

    private void click(Point at) {
        int[] place = browser.onScreen(at.x(), at.y());
        browser.actions().moveToLocation(place[0], place[1]).click().perform();
    }
}
