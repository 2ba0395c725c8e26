package dev.oleander.web.browser;

import java.io.File;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A headless browser, driven the way a person would. */
final class Browser implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final ChromeDriver driver;
    private final String base;

    /**
     * @param downloads folder that downloaded files go to
     * @param more arguments of the browser
     */
    Browser(int port, Path downloads, Path profile, List<String> more) {
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage",
                "--user-data-dir=" + profile);
        options.addArguments(more);
        options.setExperimentalOption(
                "prefs", Map.of("download.default_directory", downloads.toString()));
        ChromeDriverService service =
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                        .build();
        this.driver = new ChromeDriver(service, options);
        this.base = "http://127.0.0.1:" + port;
        driver.manage().window().setSize(new Dimension(1280, 943));
    }

    WebDriver driver() {
        return driver;
    }

    void open(String path) {
        driver.get(base + path);
    }

    String path() {
        return driver.getCurrentUrl().replace(base, "");
    }

    void signIn(String user) {
        // What the page before still asks for must not be refused for want of a session; a page of
        // the same origin, since cookies go with it.
        open("/favicon.svg");
        driver.manage().deleteAllCookies();
        open("/sign-in");
        find("#username").sendKeys(user);
        find("#password").sendKeys("slipway-" + user);
        find(".sign-in .btn").click();
        until(b -> b.path().equals("/"));
    }

    /** Opens a stage of a job and waits until the table shows it. */
    void openStage(long job, String stage) {
        open("/jobs/%d/%s".formatted(job, stage));
        waitForScene();
    }

    void waitForScene() {
        until(b -> b.find("body").getAttribute("data-scene") != null);
    }

    /** Waits until the page and the table show a step of the job. */
    void waitForStep(int step) {
        until(
                b ->
                        b.value("#bench-state [name=step]").equals(String.valueOf(step))
                                && String.valueOf(step)
                                        .equals(b.find("body").getAttribute("data-scene")));
    }

    /** Selects the first stop of the run line whose name holds a text, in a folded group too. */
    void selectStop(String name) {
        WebElement stop =
                all(".stop-button").stream()
                        .filter(s -> s.getAttribute("textContent").contains(name))
                        .findFirst()
                        .orElseThrow();
        script("const g = arguments[0].closest('details'); if (g) { g.open = true; }", stop);
        stop.click();
        until(b -> b.text("#slip h2").contains(name));
    }

    WebElement find(String css) {
        return new WebDriverWait(driver, PATIENCE)
                .until(d -> d.findElements(By.cssSelector(css)).stream().findFirst().orElse(null));
    }

    List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    String text(String css) {
        return find(css).getText();
    }

    String value(String css) {
        return find(css).getDomProperty("value");
    }

    void click(String css) {
        find(css).click();
    }

    /** Types over what stands in a field and leaves it with Enter. */
    void set(String css, String value) {
        WebElement field = find(css);
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), value, Keys.ENTER);
    }

    void keys(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    /** Presses a key while others are held. */
    void chord(CharSequence key, Keys... held) {
        Actions actions = new Actions(driver);
        for (Keys one : held) {
            actions.keyDown(one);
        }
        actions.sendKeys(key);
        for (Keys one : held) {
            actions.keyUp(one);
        }
        actions.perform();
    }

    Actions actions() {
        return new Actions(driver);
    }

    void until(Function<Browser, Boolean> condition) {
        new WebDriverWait(driver, PATIENCE)
                .ignoring(StaleElementReferenceException.class)
                .until(d -> condition.apply(this));
    }

    Object script(String script, Object... arguments) {
        return ((JavascriptExecutor) driver).executeScript(script, arguments);
    }

    /** Pixels of the table that have a colour of the theme, by the name of its variable. */
    long pixels(String colour) {
        String count =
                """
                const probe = document.createElement('span');
                probe.style.color = getComputedStyle(document.documentElement).getPropertyValue(arguments[0]);
                document.body.append(probe);
                const [r, g, b] = getComputedStyle(probe).color.match(/\\d+/g).map(Number);
                probe.remove();
                let found = 0;
                for (const canvas of document.querySelectorAll('.table-area canvas')) {
                  const {data} = canvas.getContext('2d').getImageData(0, 0, canvas.width, canvas.height);
                  for (let i = 0; i < data.length; i += 4) {
                    if (data[i + 3] > 200 && Math.abs(data[i] - r) + Math.abs(data[i + 1] - g) + Math.abs(data[i + 2] - b) < 12) {
                      found++;
                    }
                  }
                }
                return found;
                """;
        return (Long) script(count, colour);
    }

    /** Place of a point of the table (mm) in the window, px. */
    int[] onScreen(double x, double y) {
        String[] view = find("#table").getAttribute("data-view").split(" ");
        double k = Double.parseDouble(view[0]);
        double left = Double.parseDouble(view[1]) + k * x;
        double top = Double.parseDouble(view[2]) - k * y;
        Map<?, ?> frame =
                (Map<?, ?>)
                        script(
                                "return document.getElementById('table').getBoundingClientRect().toJSON()");
        return new int[] {
            (int) Math.round(left + ((Number) frame.get("x")).doubleValue()),
            (int) Math.round(top + ((Number) frame.get("y")).doubleValue())
        };
    }

    byte[] picture() {
        return driver.getScreenshotAs(org.openqa.selenium.OutputType.BYTES);
    }

    @Override
    public void close() {
        driver.quit();
    }
}
