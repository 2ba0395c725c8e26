package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.release.Release;
import dev.oleander.web.release.ReleaseService;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.support.ui.Select;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Opening a program from outside, in the browser and by the interface. */
class ProgramJourneyTest extends BrowserTest {

    @Autowired private ReleaseService releases;
    @TempDir private Path folder;

    private Release released() {
        long job = makeJob("cleat_backing_plate", "Read again", 1);
        jobs.edit(job, "unit", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        return releases.release(job, person("mira"));
    }

    private void read(String program, Release with) throws Exception {
        Path file = Files.writeString(folder.resolve("from-outside.nc"), program);
        browser.open("/programs");
        browser.find("input[name=file]").sendKeys(file.toString());
        new Select(browser.find("select[name=release]")).selectByValue(String.valueOf(with.id()));
        browser.click("main button[type=submit]");
        browser.until(b -> !b.all(".program-facts").isEmpty());
    }

    @Test
    void aProgramIsReadDrawnAndComparedWithARelease() throws Exception {
        browser.signIn("tove");
        Release made = released();
        read(made.program(), made);
        assertThat(browser.text(".program-facts"))
                .contains("The same: every motion and event", "Every line is understood", "Starts");
        assertThat(browser.all(".program-picture path")).hasSize(4);

        read(made.program().replaceFirst("G3", "G2").replaceFirst("P0\\.6", "P0.9"), made);
        assertThat(browser.text(".program-facts"))
                .contains("Not the same", "seconds planned 0.6, read 0.9");

        read(made.program().replaceFirst("F2700", "F2700 V3"), made);
        assertThat(browser.text(".program-facts"))
                .contains("One line is not understood", "\"V3\" is not known here")
                .doesNotContain("The same: every motion");
    }

    @Test
    void twoProgramsFromOutsideAreCompared() throws Exception {
        browser.signIn("tove");
        String program = released().program();
        compare(program, program.replaceFirst("P0\\.6", "P0.9"));
        assertThat(browser.text(".program-facts"))
                .contains("Against other.nc", "Not the same", "seconds planned 0.9, read 0.6");
        compare(program, program);
        assertThat(browser.text(".program-facts")).contains("The same: every motion and event");
        compare(program, program.replaceFirst("F2700", "F2700 V3"));
        assertThat(browser.text(".program-facts"))
                .contains("1 line is not understood in other.nc")
                .doesNotContain("The same: every motion");
    }

    private void compare(String program, String other) throws Exception {
        Path one = Files.writeString(folder.resolve("one.nc"), program);
        Path two = Files.writeString(folder.resolve("other.nc"), other);
        browser.open("/programs");
        browser.find("input[name=file]").sendKeys(one.toString());
        browser.find("input[name=other]").sendKeys(two.toString());
        browser.click("main button[type=submit]");
        browser.until(b -> !b.all(".program-facts").isEmpty());
    }

    @Test
    void theInterfaceReadsProgramsToo() {
        Release made = released();
        ApiClient tove = new ApiClient(port, "tove");
        var answer = tove.postText("/api/read-back?dialect=teasel", made.program());
        assertThat(answer.status()).isEqualTo(200);
        JsonNode read = answer.json();
        assertThat(read.get("problems")).isEmpty();
        assertThat(read.get("motion").get("items").size()).isGreaterThan(50);
        JsonNode wrong = tove.postText("/api/read-back?dialect=teasel", "N10 G77 X5\n").json();
        assertThat(wrong.get("problems").get(0).get("column").asInt()).isEqualTo(5);
        assertThat(tove.postText("/api/read-back?dialect=none", "x").status()).isEqualTo(404);
    }
}
