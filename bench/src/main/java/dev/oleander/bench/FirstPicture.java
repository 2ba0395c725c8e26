package dev.oleander.bench;

import java.io.File;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.support.ui.WebDriverWait;

/**
 * From opening the Proof of a sheet with tens of thousands of motions to its first picture, in a
 * headless browser without a graphics card at 1280 x 800. The application is started anew before,
 * with the job in its database: its plan is then made again, and its code is not warm.
 */
final class FirstPicture implements AutoCloseable {

    /** Eleven contours each. */
    private static final int PLATES = 500;

    private static final int OPENINGS = 9;

    /** Seconds. */
    private static final double LIMIT = 1;

    private static final Duration PATIENCE = Duration.ofMinutes(3);

    /** When the picture was on the screen, ms after the page was asked for. */
    private static final String PICTURE =
            "return performance.getEntriesByName('picture')[0]?.startTime ?? null";

    private final ServedApp app;
    private final ChromeDriver browser;

    private FirstPicture(ServedApp app) {
        this.app = app;
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage");
        this.browser =
                new ChromeDriver(
                        new ChromeDriverService.Builder()
                                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                                .build(),
                        options);
        browser.manage().window().setSize(new Dimension(1280, 800));
    }

    static List<Row> measure() throws Exception {
        try (ServedApp app = new ServedApp()) {
            app.start();
            ServedJobs jobs = new ServedJobs(app);
            long job = jobs.make(PLATES, 7, 1);
            try (FirstPicture before = new FirstPicture(app)) {
                before.signIn();
                before.layOut(job);
            }
            app.stop();
            app.start();
            jobs.requirePlan(job);
            try (FirstPicture after = new FirstPicture(app)) {
                after.signIn();
                return after.rows(job);
            }
        }
    }

    private List<Row> rows(long job) {
        double first = seconds(job);
        String what = "first picture of %d motions: ".formatted(motions(job));
        double[] next = new double[OPENINGS];
        for (int i = 0; i < OPENINGS; i++) {
            next[i] = seconds(job);
        }
        Arrays.sort(next);
        return List.of(
                Row.below(what + "first opening after a start", first, "s", null, LIMIT),
                Row.below(what + "median of the next nine", next[OPENINGS / 2], "s", LIMIT, null));
    }

    private double seconds(long job) {
        open("/");
        open("/jobs/%d/proof".formatted(job));
        Object ms = new WebDriverWait(browser, PATIENCE).until(b -> browser.executeScript(PICTURE));
        untilLoaded();
        return ((Number) ms).doubleValue() / 1e3;
    }

    private long motions(long job) {
        Object count =
                browser.executeAsyncScript(
                        "const done = arguments[1];"
                                + "fetch(`/jobs/${arguments[0]}/replay`).then((a) => a.json())"
                                + ".then((r) => done(r.motion.length));",
                        job);
        return ((Number) count).longValue();
    }

    private void signIn() {
        open("/sign-in");
        browser.findElement(By.id("username")).sendKeys("mira");
        browser.findElement(By.id("password")).sendKeys("slipway-mira");
        browser.findElement(By.cssSelector(".sign-in .btn")).click();
        new WebDriverWait(browser, PATIENCE).until(b -> b.getCurrentUrl().endsWith("/"));
    }

    /** Gives the plates a stock that holds them, and waits for the plan. */
    private void layOut(long job) {
        open("/jobs/%d/sheet".formatted(job));
        browser.findElement(By.id("stock-around")).click();
        new WebDriverWait(browser, PATIENCE)
                .until(
                        b ->
                                !b.findElements(By.cssSelector("#run-line .stop, .line-group"))
                                        .isEmpty());
    }

    private void untilLoaded() {
        new WebDriverWait(browser, PATIENCE)
                .until(
                        b ->
                                b.findElement(By.tagName("body")).getDomAttribute("data-scene")
                                        != null);
    }

    private void open(String path) {
        browser.get(app.address(path).toString());
    }

    @Override
    public void close() {
        browser.quit();
    }
}
