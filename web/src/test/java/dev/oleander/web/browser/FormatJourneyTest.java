package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.OrderValues;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.support.ui.Select;
import org.springframework.beans.factory.annotation.Autowired;

/** From a description of a format to the text of a program, and a trial of one stop. */
class FormatJourneyTest extends BrowserTest {

    @Autowired private Formats formats;

    @AfterEach
    void asItShipped() {
        owner().execute("alter table format_version disable trigger user");
        owner().update("delete from format_version");
        owner().execute("alter table format_version enable trigger user");
    }

    private long job(String name) {
        long job = makeJob("cleat_backing_plate", name, 1);
        jobs.edit(job, "unit", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        return job;
    }

    private void write(String from, String to) {
        browser.script(
                "const t = document.getElementById('description');"
                        + "t.value = t.value.replace(arguments[0], arguments[1]);"
                        + "t.dispatchEvent(new Event('input'));",
                from,
                to);
    }

    @Test
    void aFormatIsChangedAndTheTextOfAJobFollows() {
        browser.signIn("anselm");
        long job = job("New words");
        browser.open("/formats/teasel");
        new Select(browser.find("#format-job")).selectByValue(String.valueOf(job));
        browser.until(b -> b.text("#format-check").contains("N10 T1"));
        assertThat(browser.text("#format-check")).contains("written, read back, the same");

        write("M25", "M2x");
        browser.until(
                b ->
                        b.text("#format-check").contains("Sample a plate with a hole")
                                || b.text("#format-check").contains("is not a word"));
        write("M2x", "M95");
        browser.until(b -> b.text("#format-check").contains("M95"));
        assertThat(browser.text("#format-check")).contains("The text changes");
        assertThat(browser.text(".change-text .new")).contains("M95");
        assertThat(browser.text(".change-text .gone")).contains("M25");

        write("rapid: G0,", "rapid: GO,");
        browser.until(b -> b.text("#format-check").contains("line 15: motion.rapid"));
        assertThat(browser.text("#format-numbers b")).isEqualTo("15");
        write("rapid: GO,", "rapid: G0,");
        browser.until(b -> b.text("#format-check").contains("The text changes"));
        browser.set("input[name=note]", "words of the new controller");
        browser.click("#save-format");
        browser.until(b -> b.text("h1 + p").contains("version 2"));
        assertThat(formats.latest("teasel").orElseThrow().by()).isEqualTo("Anselm Byre");

        browser.openStage(job, "release");
        browser.until(b -> b.text("#program").contains("N10"));
        browser.script("document.getElementById('program').scrollTop = 120");
        browser.until(b -> b.text("#program").contains("M95"));
        assertThat(browser.text("#program")).doesNotContain("M25");
    }

    @Test
    void oneStopIsReleasedAsATrialAndTheProgramBegunAgainFromIt() {
        browser.signIn("anselm");
        long job = job("Trial by hand");
        browser.openStage(job, "release");
        browser.all(".stop-button").get(2).click();
        browser.until(b -> !b.all("#release-trial").isEmpty());
        browser.click("#release-trial");
        browser.until(b -> b.text(".releases").contains("trial of some stops"));
        assertThat(browser.text(".releases .revision")).isEqualTo("T1");
        browser.click(".releases .revision");
        browser.until(b -> b.text("#program").contains("T1 trial of 1 stop"));
        browser.click(".release-files a[href$=starts]");
        browser.until(b -> b.text("main").contains("program from here"));
        assertThat(browser.all("tbody tr")).hasSize(1);
    }
}
