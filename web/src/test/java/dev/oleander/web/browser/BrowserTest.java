package dev.oleander.web.browser;

import dev.oleander.web.WebTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;
import org.junit.jupiter.api.io.TempDir;

/**
 * A browser on two nodes of the application, of which each request goes to one at random; a test
 * that fails leaves a picture.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@ExtendWith(BrowserTest.PictureOfFailure.class)
abstract class BrowserTest extends WebTest {

    protected Browser browser;
    protected Path downloads;

    @BeforeAll
    void openBrowser(@TempDir Path folder) throws IOException {
        downloads = Files.createDirectory(folder.resolve("downloads"));
        port = SpreadRequests.before(port);
        browser = new Browser(port, downloads, folder.resolve("profile"), arguments());
    }

    /** A part that is drawn from nothing, open on Shape. */
    protected long newPart() {
        browser.open("/");
        browser.click("button[formaction]");
        browser.until(b -> b.path().matches("/jobs/\\d+/shape"));
        browser.waitForScene();
        return Long.parseLong(browser.find("body").getAttribute("data-job"));
    }

    /** What the browser is started with besides. */
    protected List<String> arguments() {
        return List.of();
    }

    @AfterAll
    void closeBrowser() {
        if (browser != null) {
            browser.close();
        }
    }

    /** Keeps what the page looked like in target/browser-failures. */
    static final class PictureOfFailure implements TestExecutionExceptionHandler {

        @Override
        public void handleTestExecutionException(ExtensionContext context, Throwable failure)
                throws Throwable {
            Browser browser = ((BrowserTest) context.getRequiredTestInstance()).browser;
            if (browser != null) {
                keep(context, browser);
            }
            throw failure;
        }

        private static void keep(ExtensionContext context, Browser browser) throws IOException {
            Path folder = Files.createDirectories(Path.of("target", "browser-failures"));
            String name =
                    context.getRequiredTestClass().getSimpleName()
                            + "-"
                            + context.getRequiredTestMethod().getName()
                            + ".png";
            Files.write(folder.resolve(name), browser.picture());
        }
    }
}
