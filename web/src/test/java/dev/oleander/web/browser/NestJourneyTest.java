package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.nest.Nests;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** From parts of two jobs over a search and parts moved by hand to a release. */
class NestJourneyTest extends BrowserTest {

    @BeforeEach
    void signIn() {
        browser.signIn("mira");
    }

    private List<NestedSheet> laid(long job) {
        JobResult result = jobs.view(job).result();
        List<NestedSheet> laid = result.document().nest().orElseThrow().choices().laid();
        assertThat(NestCheck.faults(Nests.task(result), laid)).isEmpty();
        return laid;
    }

    private void search(long job, String seconds) {
        int step = jobs.view(job).step();
        browser.find("#nest-seconds").sendKeys(Keys.chord(Keys.CONTROL, "a"), seconds);
        browser.click("#nest-afresh");
        browser.until(b -> jobs.present(job).step() > step);
        browser.waitForStep(step + 1);
        browser.until(b -> b.all("#nest-search").isEmpty());
    }

    /** Of a plate, in its drawing: near its edge, away from holes. */
    private Point edge(long job) {
        Box box = Nests.task(jobs.view(job).result()).line("l1").shape().box();
        return new Point(box.min().x() + 6, box.centre().y());
    }

    private void click(Point world) {
        int[] at = browser.onScreen(world.x(), world.y());
        browser.actions().moveToLocation(at[0], at[1]).click().perform();
    }

    private void drag(Point world, int dx, int dy) {
        int[] at = browser.onScreen(world.x(), world.y());
        browser.actions()
                .moveToLocation(at[0], at[1])
                .clickAndHold()
                .moveByOffset(dx / 2, dy / 2)
                .moveByOffset(dx - dx / 2, dy - dy / 2)
                .release()
                .perform();
    }

    @Test
    void partsOfTwoJobsAreNestedMovedAndReleased() {
        long own = makeJobInMillimetres("cleat_backing_plate", "Nested plates", 3);
        makeJobInMillimetres("porthole_trim_ring", "Nested rings", 2);
        browser.openStage(own, "sheet");
        browser.click("label:has(#way-nest)");
        browser.until(b -> b.all(".nest-line").size() == 1);
        assertThat(browser.text("#rail")).contains("nothing laid yet");

        browser.click("#nest-add summary");
        browser.until(b -> !b.all(".nest-choose [name=text]").isEmpty());
        browser.find(".nest-choose [name=text]").sendKeys("Nested rings");
        browser.until(
                b ->
                        b.all(".nest-choose li").size() == 1
                                && b.text(".nest-choose").contains("Nested rings"));
        browser.click(".nest-choose li input");
        browser.click(".nest-choose .btn");
        browser.until(b -> b.all(".nest-line").size() > 1);
        assertThat(browser.text(".nest-parts")).contains("Nested rings");

        browser.click("#line-l2 summary");
        int priority = jobs.view(own).step();
        browser.set("[id='f-l2.priority']", "2");
        browser.waitForStep(priority + 1);
        assertThat(browser.find("#line-l2").getAttribute("open")).isNotNull();

        search(own, "2");
        browser.until(b -> b.text("#rail").contains("% of"));
        List<NestedSheet> found = laid(own);
        assertThat(found).isNotEmpty();
        assertThat(browser.text("#slip")).contains("Used, without rests").contains("lies here");

        // a plate is taken hold of at its edge, away from holes
        browser.waitForScene();
        NestedSheet first = found.get(0);
        int plate = 0;
        while (!first.placements().get(plate).line().equals("l1")) {
            plate++;
        }
        NestPlacement before = first.placements().get(plate);
        Point hold = before.transform().apply(edge(own));
        browser.until(b -> !b.find("body").getAttribute("data-nest").equals("0"));
        click(hold);
        browser.until(b -> b.text("#nest-part").contains("Nested plates"));
        int step = jobs.view(own).step();
        browser.keys(Keys.ARROW_RIGHT);
        browser.until(b -> jobs.present(own).step() > step);
        browser.waitForStep(step + 1);
        NestPlacement after = laid(own).get(0).placements().get(plate);
        assertThat(after.at().distance(before.at())).isLessThan(60);

        drag(after.transform().apply(edge(own)), 30, -20);
        browser.waitForStep(step + 2);
        laid(own);
        browser.click("[data-hand=lock]");
        browser.waitForStep(step + 3);
        assertThat(laid(own).get(0).placements().get(plate).locked()).isTrue();
        browser.until(b -> b.text("#nest-part").contains("fixed"));
        browser.click("#nest-part [data-hand=lock]");
        browser.waitForStep(step + 4);
        browser.click("[data-hand=off]");
        browser.waitForStep(step + 5);
        assertThat(browser.text(".nest-parts")).contains("1 missing");
        assertThat(browser.text("#rail")).contains("parts are missing");
        browser.chord("z", Keys.CONTROL);
        browser.until(b -> !b.text(".nest-parts").contains("1 missing"));

        browser.openStage(own, "release");
        browser.until(b -> b.all("#planning progress").isEmpty());
        browser.click("#release-now");
        browser.until(b -> !b.all(".releases .revision").isEmpty());
        assertThat(browser.text("#rail")).contains("revision A");
        browser.open("/stock");
        assertThat(browser.text(".stock-table")).contains("Nested plates A, sheet 1");
    }

    @Test
    void severalJobsOfTheBoardBecomeOneNest() {
        makeJobInMillimetres("cleat_backing_plate", "Board one", 1);
        browser.open("/");
        browser.click("a[href='/nests/new']");
        assertThat(browser.text("main")).contains("Board one").contains("mild steel");
        // far below the fold where many jobs wait
        browser.script(
                "const own = (b) => b.closest('label').textContent.includes('Board one');"
                        + "const all = [...document.querySelectorAll('.nest-group [name=jobs]')];"
                        + "all.forEach((b) => { b.checked = own(b); });"
                        + "all.find(own).form.querySelector('button').click();");
        browser.until(b -> b.path().endsWith("/sheet"));
        browser.waitForScene();
        assertThat(browser.all(".nest-line")).isNotEmpty();
        assertThat(browser.find("#way-rows").isEnabled()).isFalse();
    }
}
