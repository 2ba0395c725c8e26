package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;

/** Values of what was drawn, changed where they stand on the table. */
class HandleJourneyTest extends DrawingJourney {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    private Map<String, String> values(long job, int step) {
        return jobs.view(job).document().shape().steps().get(step).values();
    }

    private List<WebElement> handles() {
        return browser.all(".handles .handle");
    }

    private void waitForHandles(int count) {
        browser.until(b -> b.all(".handles .handle").size() == count);
    }

    @Test
    void aTextIsMadeHigherByItsHandleAndTurnedByKeys() {
        long job = newPart();
        start("text");
        draw(job, "x", "0", "y", "0", "text", "BOW", "height", "20");
        stopDrawing();
        select("Text");
        waitForHandles(3);
        int before = jobs.view(job).step();
        WebElement height = browser.find(".handles [data-handle=height]");
        new Actions(browser.driver()).dragAndDropBy(height, 0, -60).perform();
        browser.waitForStep(before + 1);
        assertThat(Double.parseDouble(values(job, 0).get("height"))).isGreaterThan(21);
        waitForHandles(3);
        WebElement turn = browser.find(".handles [data-handle=turn]");
        turn.sendKeys(Keys.ARROW_UP, Keys.ARROW_UP);
        browser.waitForStep(before + 2);
        double turned = Double.parseDouble(values(job, 0).get("turn"));
        double arm = 4 * Double.parseDouble(values(job, 0).get("height"));
        assertThat(turned).isCloseTo(Math.toDegrees(Math.atan2(2, arm)), within(0.1));
        // the same handle is reached again, and what it did is undone
        browser.until(b -> b.all(".handles [data-handle=turn]:focus").size() == 1);
        browser.chord("z", Keys.CONTROL);
        browser.until(b -> !values(job, 0).containsKey("turn"));
    }

    @Test
    void severalTextsAreChangedAtOnce() {
        long job = newPart();
        start("text");
        draw(job, "x", "0", "y", "0", "text", "BOW", "height", "20");
        draw(job, "x", "0", "y", "-40", "text", "STERN", "height", "12");
        stopDrawing();
        browser.chord("a", Keys.CONTROL);
        browser.until(b -> b.text("#slip").contains("2 × Text"));
        assertThat(browser.find("#f-height").getAttribute("placeholder")).isEqualTo("differs");
        int before = jobs.view(job).step();
        browser.find("#f-height").sendKeys("15", Keys.TAB);
        browser.waitForStep(before + 1);
        assertThat(values(job, 0)).containsEntry("height", "15").containsEntry("text", "BOW");
        assertThat(values(job, 1)).containsEntry("height", "15").containsEntry("text", "STERN");
    }

    @Test
    void bridgesAreMovedTakenAwayAndPut() {
        long job = newPart();
        start("rectangle");
        draw(job, "x", "0", "y", "0", "width", "100", "height", "60");
        draw(job, "x", "30", "y", "20", "width", "40", "height", "20");
        stopDrawing();
        browser.chord("a", Keys.CONTROL);
        browser.until(b -> b.find("#bench-state [name=stop]").getAttribute("value").contains(","));
        int before = jobs.view(job).step();
        choose("bridges");
        browser.waitForStep(before + 1);
        browser.keys(Keys.ESCAPE);
        select("Bridges");
        waitForHandles(1);
        handles().get(0).sendKeys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        browser.waitForStep(before + 2);
        assertThat(values(job, 2).get("placed")).startsWith("53 ");
        waitForHandles(1);
        browser.until(b -> b.all(".handles .strip:focus").size() == 1);
        handles().get(0).sendKeys(Keys.DELETE);
        browser.waitForStep(before + 3);
        assertThat(values(job, 2)).doesNotContainKey("placed");
        waitForHandles(1);
        browser.click("#put-bridge");
        // in the middle between its left edge and the island
        int[] at = browser.onScreen(15, 30);
        browser.actions().moveToLocation(at[0], at[1]).click().perform();
        browser.waitForStep(before + 4);
        assertThat(values(job, 2).get("placed")).matches("1[45]\\S* (29|30|31)\\S* 0 .*");
        waitForHandles(1);
    }

    @Test
    void sizesOfAShapeAreTypedWhereTheyStand() {
        long job = newPart();
        start("ovalFlange");
        draw(job, "x", "0", "y", "0");
        stopDrawing();
        select("Oval flange");
        browser.until(b -> b.all(".handles button.size").size() > 3);
        int before = jobs.view(job).step();
        browser.click(".handles [data-size=middle]");
        browser.find(".handles input.size")
                .sendKeys(Keys.chord(Keys.CONTROL, "a"), "80", Keys.ENTER);
        browser.waitForStep(before + 1);
        assertThat(values(job, 0)).containsEntry("middle", "80");
        browser.until(b -> b.text(".handles [data-size=middle]").equals("80"));
        // Escape leaves it as it was
        browser.click(".handles [data-size=middle]");
        browser.find(".handles input.size").sendKeys("7", Keys.ESCAPE);
        browser.until(b -> b.all(".handles input.size").isEmpty());
        assertThat(jobs.view(job).step()).isEqualTo(before + 1);
        // what cannot be is told
        browser.click(".handles [data-size=middle]");
        browser.find(".handles input.size")
                .sendKeys(Keys.chord(Keys.CONTROL, "a"), "-3", Keys.ENTER);
        browser.until(b -> b.text("#slip").contains("must be more than 0"));
    }
}
