package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** A person's way with a product of several panels. */
class ProductJourneyTest extends BrowserTest {

    private static final Path LOCKER =
            Path.of("..", "samples", "router", "panels", "galley_locker.product.json");

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    @Test
    void aLockerFromItsFileToTheReleaseAndTheLists() {
        browser.open("/products");
        browser.find("#product-file").sendKeys(LOCKER.toAbsolutePath().normalize().toString());
        browser.until(b -> b.path().matches("/products/\\d+"));
        String product = browser.path();
        assertThat(row("Door")).contains("bottom", "top", "no program", "Two clampings");
        assertThat(row("Pipe")).contains("helper");
        assertThat(row("Kick board")).contains("1 feature refused");

        browser.click("input[name=roundCorners]");
        browser.until(b -> !b.all(".product-history form").isEmpty());
        browser.click("button[value=MAKE]");
        browser.until(b -> row("Shelf").contains("proved"));

        // the face of one panel is overruled, and put back
        link("Side, port").click();
        browser.until(b -> b.text("h1").equals("Side, port"));
        assertThat(browser.all(".panel-lyings figure")).hasSize(1);
        new Select(browser.find("select[name=up]")).selectByValue("bottom");
        browser.until(b -> b.all(".panel-lyings figure").size() == 2);
        assertThat(browser.text(".product-side")).contains("1 clamping more");
        browser.keys("u");
        browser.until(b -> b.all(".panel-lyings figure").size() == 1);

        // a hole: its partner, its rule, its clamping
        browser.script(
                "document.querySelector('a[href=\"?feature=h1\"]').dispatchEvent(new MouseEvent('click', {bubbles: true, cancelable: true}))");
        browser.until(b -> b.path().endsWith("feature=h1"));
        assertThat(browser.text(".product-side"))
                .contains("Hole h1", "clamping 1, top up", "meets bottom/h1", "By rule 2");

        browser.open(product);
        browser.click("button[value=RELEASE]");
        browser.until(b -> row("Side, starboard").contains("released A"));
        assertThat(browser.text(".product-side"))
                .contains("24 pairs of dowel holes meet", "kick/h5");
        browser.find("a[href*='/jobs/']").click();
        browser.until(b -> !b.all("#job-title").isEmpty());
        assertThat(browser.text("#job-title")).contains("Galley locker, Side, port: top up");
    }

    @Test
    void panelsAreFoundAndAWrongFileIsNamed() {
        browser.open("/products");
        browser.find("#product-file").sendKeys(Path.of("pom.xml").toAbsolutePath().toString());
        browser.until(b -> !b.all(".problem").isEmpty());
        assertThat(browser.text(".problem")).contains("pom.xml", "no product");
        browser.find("#product-file").sendKeys(LOCKER.toAbsolutePath().normalize().toString());
        browser.until(b -> b.path().matches("/products/\\d+"));
        browser.set(".board-search input[name=text]", "side" + Keys.NULL);
        browser.until(b -> b.all(".panel-table tbody tr").size() == 2);
    }

    private static String text(WebElement element) {
        return element.getText();
    }

    private String row(String name) {
        return browser.all(".panel-table tbody tr").stream()
                .map(ProductJourneyTest::text)
                .filter(t -> t.startsWith(name))
                .findFirst()
                .orElse("");
    }

    private WebElement link(String name) {
        return browser.all(".panel-table a").stream()
                .filter(a -> a.getText().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
