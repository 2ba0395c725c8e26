package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.Tab;
import dev.oleander.web.work.router.RouterCalls;
import dev.oleander.work.router.RouterMilling;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;

/** A person's way through jobs of the router. */
class RouterJourneyTest extends BrowserTest {

    private RouterCalls calls;

    @BeforeEach
    void signIn() {
        calls = new RouterCalls(port);
        browser.signIn("mira");
    }

    private void stop(String name) {
        press(name);
        browser.until(b -> b.text("#slip h2").contains(name));
    }

    private void press(String name) {
        browser.all(".stop-button").stream()
                .filter(b -> b.getText().contains(name))
                .findFirst()
                .orElseThrow()
                .click();
    }

    @Test
    void aPocketWithIslandsToTheRelease() {
        long job = calls.requested("instrument_panel");
        browser.openStage(job, "cuts");
        stop("recess");
        assertThat(browser.text("#slip")).contains("clear a pocket", "Step-over");
        browser.script("document.querySelectorAll('.elements').forEach((d) => d.open = true)");
        browser.until(b -> b.text(".tool-list").contains("it cannot clear a pocket"));
        browser.set("#f-stepOver", "0.4");
        browser.until(b -> b.text("#slip").contains("here"));
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip")).contains("inner corners keep", "a tool of 4 mm");
        browser.find("form.accept input[name=reason]").sendKeys("the corners may stay");
        browser.click("form.accept button");
        browser.until(b -> b.text("#slip").contains("accepted"));
        browser.openStage(job, "release");
        browser.until(b -> !b.all("#release-now").isEmpty());
        browser.click("#release-now");
        browser.until(b -> b.text("#program-note").startsWith("revision A"));
        browser.until(b -> b.text("#program").contains("M6"));
    }

    /** Nothing is said of operations: layers and forms say it. */
    @Test
    void anOrdinaryPlateTakesTenActionsFromTheFileToTheRelease() {
        List<Runnable> actions =
                List.of(
                        () -> choose("[data-intake-machine]", "hazel"),
                        () -> choose("[data-intake-material]", "birch plywood"),
                        () -> type(".intake input[name=thickness]", "18"),
                        () -> drop("router/locker_side"),
                        () -> browser.find("#rail a[href*='/release']").click(),
                        () -> browser.click("#release-now"));
        browser.open("/");
        actions.forEach(Runnable::run);
        browser.until(b -> b.text("#program-note").startsWith("revision A"));
        browser.until(b -> b.text("#program").contains("M6"));
        assertThat(actions).hasSizeLessThanOrEqualTo(10);
    }

    private void type(String css, String text) {
        browser.find(css).sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
    }

    private void choose(String css, String value) {
        browser.until(
                b -> {
                    new Select(b.find(css)).selectByValue(value);
                    return b.value(css).equals(value);
                });
    }

    private void drop(String name) {
        browser.script(
                """
                const files = new DataTransfer();
                files.items.add(new File([arguments[0]], 'plate.dxf'));
                document.querySelector('[data-drop-area]').dispatchEvent(
                    new DragEvent('drop', {bubbles: true, cancelable: true, dataTransfer: files}));
                """,
                new String(sample(name), StandardCharsets.UTF_8));
        browser.until(b -> b.path().matches("/jobs/\\d+/shape"));
    }

    @Test
    void anotherMachineIsTakenWithAMaterialItCuts() {
        browser.openStage(makeJobInMillimetres("cleat_backing_plate", "Backing plate", 1), "cuts");
        choose("#j-machine", "hazel");
        browser.until(b -> b.text("#slip").contains("no data for \"mild steel\""));
        assertThat(browser.value("#j-machine")).isEqualTo("teasel");
        browser.all(".materials-instead button").stream()
                .filter(b -> b.getText().equals("aluminium"))
                .findFirst()
                .orElseThrow()
                .click();
        browser.until(b -> b.value("#j-machine").equals("hazel"));
        assertThat(browser.value("#j-material")).isEqualTo("aluminium");
        browser.chord("z", Keys.CONTROL);
        browser.until(b -> b.value("#j-machine").equals("teasel"));
        assertThat(browser.value("#j-material")).isEqualTo("mild steel");
    }

    @Test
    void theWorkIsCutOpenAlongALineThatIsDragged() {
        long job = calls.requested("instrument_panel");
        browser.openStage(job, "proof");
        browser.click("#tool-section");
        int[] from = browser.onScreen(60, 180);
        browser.actions()
                .moveToLocation(from[0], from[1])
                .clickAndHold()
                .moveByOffset(80, 6)
                .moveByOffset(80, 6)
                .release()
                .perform();
        browser.until(b -> b.text("#section").contains("dashed: as it is wanted"));
        assertThat(browser.all("#section path.t-stock")).hasSize(1);
        browser.click("#tool-section");
        browser.until(b -> b.all("#section[hidden]").size() == 1);
    }

    @Test
    void anAllowanceLeftByMistakeIsSeenInProof() {
        long job = calls.requested("hatch_boards");
        browser.openStage(job, "cuts");
        stop("fingers");
        browser.set("#f-allowance", "0.5");
        browser.until(b -> b.text("#slip").contains("here"));
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip")).contains("must fix", "of stock is left");
        browser.openStage(job, "cuts");
        stop("fingers");
        browser.find("#f-allowance")
                .sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE, Keys.ENTER);
        browser.until(b -> !b.text("#slip").contains("here"));
        browser.openStage(job, "proof");
        browser.until(b -> b.text("#slip").contains("Nothing stands against a release"));
    }

    @Test
    void oneHoleIsATrialAndTheRestFollows() {
        long job = calls.requested("sole_board");
        browser.openStage(job, "release");
        press("pins");
        browser.until(b -> !b.all("#release-trial").isEmpty());
        browser.click("#release-trial");
        browser.until(b -> b.text(".releases").contains("trial of some stops"));
        browser.openStage(job, "release");
        browser.click("#release-now");
        browser.until(b -> b.text(".releases").contains("A"));
        browser.until(b -> b.text("#program").contains("T"));
    }

    @Test
    void notchesRoundTheAxisAreMadeFromOneLine() {
        long job = calls.requested("capstan_rim");
        browser.openStage(job, "cuts");
        assertThat(browser.text("#line-scroll")).contains("notches");
        browser.click("#tool-depth");
        browser.until(b -> b.text("#summary").contains("how deep it is cut"));
        browser.openStage(job, "proof");
        assertThat(browser.text("#slip"))
                .contains("the work turns only while the tool is above it");
    }

    @Test
    void aTabIsDraggedAndAnotherOnePut() {
        long job = calls.requested("instrument_panel");
        browser.openStage(job, "cuts");
        stop("outline");
        int[] from = screen(tab(job, 0));
        int[] to = screen(tab(job, 0, 45));
        browser.actions()
                .moveToLocation(from[0], from[1])
                .clickAndHold()
                .moveToLocation((from[0] + to[0]) / 2, (from[1] + to[1]) / 2)
                .moveToLocation(to[0], to[1])
                .release()
                .perform();
        browser.until(b -> b.text("#slip").contains("6 put by hand"));
        browser.click("#put-tabs");
        int[] free = screen(tab(job, 0, 40));
        browser.actions().moveToLocation(free[0], free[1]).click().perform();
        browser.until(b -> b.text("#slip").contains("7 put by hand"));
        assertThat(outline(job).tabs()).hasSize(7);
    }

    @Test
    void aPodIsDraggedUnderTheStock() {
        long job = calls.requested("instrument_panel");
        browser.openStage(job, "cuts");
        browser.set("#f-pods", "20, 20, 120, 60; 300, 20, 120, 60");
        browser.until(b -> pods(job).size() == 2);
        browser.openStage(job, "cuts");
        int[] from = screen(new Point(80, 50));
        int[] to = screen(new Point(80, 90));
        browser.actions()
                .moveToLocation(from[0], from[1])
                .clickAndHold()
                .moveToLocation((from[0] + to[0]) / 2, (from[1] + to[1]) / 2)
                .moveToLocation(to[0], to[1])
                .release()
                .perform();
        browser.until(b -> pods(job).get(0).y() > 50);
        assertThat(pods(job).get(0).y()).isBetween(57.0, 63.0);
        assertThat(pods(job).get(0).x()).isBetween(19.0, 21.0);
        assertThat(pods(job).get(1).y()).isEqualTo(20);
    }

    private List<KeepOut> pods(long job) {
        return jobs.view(job).result().document().choices(RouterMilling.ROUTER).pods();
    }

    private int[] screen(Point place) {
        return browser.onScreen(place.x(), place.y());
    }

    private Stop outline(long job) {
        return jobs.view(job).result().run().stops().stream()
                .filter(s -> s.name().contains("outline"))
                .findFirst()
                .orElseThrow();
    }

    private Point tab(long job, int number) {
        return tab(job, number, 0);
    }

    /**
     * @param on mm along the way behind its middle
     */
    private Point tab(long job, int number, double on) {
        Stop outline = outline(job);
        Tab tab = outline.tabs().get(number);
        double left = (tab.from() + tab.to()) / 2 + on;
        for (Segment segment : outline.path().orElseThrow().main()) {
            if (left <= segment.length()) {
                return segment.at(left / segment.length());
            }
            left -= segment.length();
        }
        throw new IllegalStateException("a tab beyond the way");
    }

    @Test
    void theQuickestToolsOfAPocketAreTaken() {
        long job = calls.requested("instrument_panel");
        browser.openStage(job, "cuts");
        stop("recess");
        browser.script(
                "[...document.querySelectorAll('#slip summary')].find((s) => s.textContent.includes('quickest')).click()");
        browser.until(b -> b.text(".chain-list").contains("leaves"));
        browser.all(".chain-list button").get(1).click();
        browser.until(b -> b.text("#line-scroll").contains("rest-1"));
        browser.find("body").sendKeys(Keys.chord(Keys.CONTROL, "z"));
        browser.until(b -> !b.text("#line-scroll").contains("rest-1"));
    }

    @Test
    void theWorkIsTurnedByHandAndWithTheMachine() {
        long job = calls.requested("capstan_rim");
        browser.openStage(job, "proof");
        browser.until(b -> b.all("#turned:not([hidden])").size() == 1);
        browser.script(
                "const r = document.querySelector('#turned input'); r.value = 90; r.dispatchEvent(new Event('input'))");
        browser.until(b -> b.text("#turned output").equals("90.0°"));
        browser.script(
                "const m = document.getElementById('moment'); m.value = m.max / 2; m.dispatchEvent(new Event('input'))");
        browser.until(b -> !b.text("#turned output").equals("90.0°"));
        assertThat(browser.all("#tool-heights[hidden]")).hasSize(1);
    }
}
