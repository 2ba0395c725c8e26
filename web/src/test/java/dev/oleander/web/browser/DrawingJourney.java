package dev.oleander.web.browser;

import dev.oleander.drawing.read.Reading;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;

/** Draws on Shape as people do. */
abstract class DrawingJourney extends BrowserTest {

    final void choose(String command) {
        if (!browser.find("[data-draw=" + command + "]").isDisplayed()) {
            browser.find("[data-draw=" + command + "]")
                    .findElement(By.xpath("ancestor::details/summary"))
                    .click();
        }
        browser.click("[data-draw=" + command + "]");
    }

    final void start(String command) {
        choose(command);
        browser.until(
                b -> !b.all(".draw-command[data-ready][data-word=" + command + "]").isEmpty());
    }

    /** Types what is to be set; the button draws. */
    final void draw(long job, String... fieldsAndValues) {
        int before = jobs.view(job).step();
        for (int i = 0; i < fieldsAndValues.length; i += 2) {
            var field = browser.find("#d-" + fieldsAndValues[i]);
            if (!field.isDisplayed()) {
                field.findElement(By.xpath("ancestor::details/summary")).click();
            }
            if (field.getTagName().equals("select")) {
                new Select(field).selectByVisibleText(fieldsAndValues[i + 1]);
            } else {
                field.clear();
                field.sendKeys(fieldsAndValues[i + 1]);
            }
        }
        browser.click("#draw-form [type=submit]");
        browser.waitForStep(before + 1);
    }

    final void stopDrawing() {
        browser.keys(Keys.ESCAPE);
        browser.until(b -> b.all(".draw-command").isEmpty());
    }

    final void select(String step) {
        // the slip may just be on its way
        browser.until(
                b ->
                        b.all(".step-list li").stream()
                                .filter(li -> li.getText().startsWith(step))
                                .findFirst()
                                .map(li -> li.findElement(By.cssSelector("button")))
                                .map(
                                        button -> {
                                            button.click();
                                            return true;
                                        })
                                .orElse(false));
        browser.until(b -> !b.find("#bench-state [name=stop]").getAttribute("value").isEmpty());
    }

    final Reading reading(long job) {
        return jobs.view(job).result().reading();
    }
}
