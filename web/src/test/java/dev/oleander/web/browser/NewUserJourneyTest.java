package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.web.job.StageView;
import dev.oleander.web.job.store.Stage;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** What somebody who sits down for the first time tries. */
class NewUserJourneyTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void whatIsTypedWhileACommandIsActiveBelongsToIt() {
        long job = makeJob("cleat_backing_plate", "Typed places", 1);
        browser.openStage(job, "shape");
        browser.chord("k", Keys.CONTROL);
        browser.until(b -> b.find("#command-text").isDisplayed());
        browser.find("#command-text").sendKeys("draw rectangle", Keys.ENTER);
        browser.until(b -> b.all(".draw-command[data-ready=true]").size() == 1);
        int step = step();
        browser.keys("300, 0" + Keys.ENTER);
        browser.keys("420, 80" + Keys.ENTER);
        browser.waitForStep(step + 1);
        assertThat(browser.path()).contains("/shape");
        assertThat(jobs.view(job).result().reading().parts())
                .hasSize(2)
                .anySatisfy(p -> assertThat(p.region().area()).isCloseTo(9600, within(1e-6)));
        browser.keys(Keys.ESCAPE.toString());
        browser.until(b -> b.all(".draw-command").isEmpty());
        browser.keys("2");
        browser.until(b -> b.path().contains("/cuts"));
    }

    private int step() {
        return Integer.parseInt(browser.value("#bench-state [name=step]"));
    }

    @Test
    void everyPlaceIsReachedFromEveryPageAndEscapeClosesWhatIsOpen() {
        for (String page : new String[] {"/", "/recipes", "/formats", "/rules", "/programs"}) {
            browser.open(page);
            browser.click(".places-open");
            browser.until(b -> b.find(".places .dropdown-menu").isDisplayed());
            List<String> places =
                    browser.all(".places .dropdown-item strong").stream()
                            .map(WebElement::getText)
                            .toList();
            assertThat(places)
                    .contains("Board", "Machines and cut books", "Recipes", "Program formats");
            browser.keys(Keys.ESCAPE.toString());
            browser.until(b -> !b.find(".places .dropdown-menu").isDisplayed());
        }
        long job = makeJob("cleat_backing_plate", "Menus", 1);
        browser.openStage(job, "shape");
        browser.click(".draw-more summary");
        browser.keys(Keys.ESCAPE.toString());
        browser.until(b -> b.all("details.draw-more[open]").isEmpty());
    }

    @Test
    void copiesAreToldOnceAndEditedOnce() {
        long job = makeJob("cleat_backing_plate", "Told once", 3);
        browser.openStage(job, "cuts");
        assertThat(browser.text(".copied h3")).contains("Part 1, 3 copies");
        assertThat(browser.all(".copied .alike")).hasSize(8);
        assertThat(browser.all(".stop").stream().filter(WebElement::isDisplayed)).isEmpty();
        WebElement outline =
                browser.all(".alike").stream()
                        .filter(a -> a.getText().contains("Outline"))
                        .findFirst()
                        .orElseThrow();
        assertThat(outline.getText()).contains("× 3");
        outline.click();
        browser.until(b -> b.text("#slip h2").equals("3 stops"));
        int step = step();
        browser.set("[id='f-overRun']", "1.25");
        browser.waitForStep(step + 1);
        var run = jobs.view(job).result().run();
        assertThat(run.stops().stream().filter(s -> s.name().equals("Outline")))
                .hasSize(3)
                .allSatisfy(s -> assertThat(s.overRun()).isEqualTo(1.25));
        browser.find(".line-group summary").click();
        browser.until(b -> b.all(".stop").stream().anyMatch(WebElement::isDisplayed));
    }

    @Test
    void materialsAreThoseOfTheChosenMachine() {
        browser.open("/");
        browser.find("[data-intake-machine]")
                .findElement(By.cssSelector("[value=bracken]"))
                .click();
        assertThat(browser.all("[data-intake-material] option"))
                .isNotEmpty()
                .allSatisfy(o -> assertThat(o.getAttribute("data-machine")).isEqualTo("bracken"));
    }

    @Test
    void aTickMeansThatNothingIsLeftToDo() {
        long many = makeJob("cleat_backing_plate", "Many", 400);
        assertThat(jobs.view(many).stage(Stage.SHEET).isReady()).as("on many sheets").isTrue();
        setSheet(many, BedValues.WIDTH, "100");
        StageView sheet = jobs.view(many).stage(Stage.SHEET);
        assertThat(sheet.isReady()).isFalse();
        assertThat(sheet.sentence()).isEqualTo("no copy fits");
        assertThat(sheet.needs()).singleElement().asString().startsWith("400 of 400 are missing.");
    }
}
