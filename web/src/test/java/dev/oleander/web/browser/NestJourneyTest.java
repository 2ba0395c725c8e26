package dev.oleander.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.nest.Nests;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** From parts of two jobs over a search and parts moved by hand to a release. */
class NestJourneyTest extends BrowserTest {

    /** mm */
    private static final double THICK = 5;

    private static final double SHEET_HEIGHT = 700;

    /** After that a part has not moved because something is in its way. */
    private static final Duration NUDGE = Duration.ofSeconds(4);

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
        browser.until(b -> b.text("#nest-part-why").contains("Next to it"));
        assertThat(browser.text("#nest-part-why")).contains("edge", "Front", "Material");
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

    /** In a thickness that no other test has, so that no other nest is offered its remnant. */
    private long makeThick(String sample, String name, int quantity) {
        JobDocument.Order order =
                new JobDocument.Order(name, "teasel", "mild steel", Typed.of(THICK), quantity);
        return jobs.create(
                List.of(new Upload(sample + ".dxf", sample(sample))),
                order,
                WebTest::inMillimetres,
                person("mira"));
    }

    /** The left part of a sheet, of which a corner is gone, with a bad spot. */
    private static Path drawnRemnant() throws IOException {
        Loop outline =
                new Loop(
                        List.of(
                                0.0, 0.0, 0.0, 620.0, 0.0, 0.0, 620.0, 300.0, 0.0, 400.0, 520.0,
                                0.0, 0.0, 520.0, 0.0));
        Loop badSpot = new Loop(List.of(560.0, 40.0, 1.0, 600.0, 40.0, 1.0));
        List<WrittenChain> chains =
                Stream.of(outline, badSpot)
                        .map(loop -> new WrittenChain("STOCK", loop.contour("remnant"), false))
                        .toList();
        return Files.writeString(Files.createTempFile("remnant", ".dxf"), DxfWriter.write(chains));
    }

    private void addRemnant(Path drawing) {
        browser.open("/stock");
        browser.find("[name=material]").sendKeys("mild steel");
        browser.find("[name=thickness]").sendKeys(Numbers.plain(THICK, 1));
        browser.find("form.intake [name=place]").sendKeys("rack 4");
        browser.find("[name=outline]").sendKeys(drawing.toString());
        browser.click("form.intake .btn-leaf");
        browser.until(b -> b.text(".stock-table").contains("620 × 520"));
    }

    /** Moves what is selected by a millimetre to where there is room for that. */
    private void nudge(long job) throws InterruptedException {
        int step = jobs.present(job).step();
        Keys[] ways = {Keys.ARROW_UP, Keys.ARROW_LEFT, Keys.ARROW_DOWN, Keys.ARROW_RIGHT};
        for (int way = 0; way < ways.length && jobs.present(job).step() == step; way++) {
            browser.keys(ways[way]);
            long end = System.nanoTime() + NUDGE.toNanos();
            while (jobs.present(job).step() == step && System.nanoTime() < end) {
                Thread.sleep(50);
            }
        }
        assertThat(jobs.present(job).step()).isGreaterThan(step);
    }

    private void setAndWait(long job, String field, String value) {
        int step = jobs.view(job).step();
        browser.set("[id='f-%s']".formatted(field), value);
        browser.waitForStep(step + 1);
    }

    @Test
    void threeJobsWithPrioritiesGoOnARemnantAndASheet() throws Exception {
        Path drawing = drawnRemnant();
        addRemnant(drawing);
        Files.delete(drawing);
        makeThick("cleat_backing_plate", "First of three", 4);
        makeThick("porthole_trim_ring", "Second of three", 3);
        makeThick("rudder_hinge_plate", "Third of three", 4);
        browser.open("/nests/new");
        browser.script(
                "const own = (b) => b.closest('label').textContent.includes('of three');"
                        + "const all = [...document.querySelectorAll('.nest-group [name=jobs]')];"
                        + "all.forEach((b) => { b.checked = own(b); });"
                        + "all.find(own).form.querySelector('button').click();");
        browser.until(b -> b.path().endsWith("/sheet"));
        long nest = Long.parseLong(browser.path().split("/")[2]);
        browser.waitForScene();
        assertThat(browser.all(".nest-line")).hasSizeGreaterThanOrEqualTo(3);
        for (String[] wish : new String[][] {{"l1", "2"}, {"l2", "3"}, {"l3", "9"}}) {
            browser.click("#line-%s summary".formatted(wish[0]));
            setAndWait(nest, wish[0] + ".priority", wish[1]);
        }
        // one sheet, too small for all of them
        double area =
                Nests.task(jobs.view(nest).result()).lines().stream()
                        .mapToDouble(line -> line.quantity() * line.shape().area())
                        .sum();
        browser.click("details.nest-sheet summary");
        setAndWait(nest, "s1.count", "1");
        setAndWait(nest, "s1.width", Numbers.plain(area * 1.15 / SHEET_HEIGHT, 0));
        setAndWait(nest, "s1.height", Numbers.plain(SHEET_HEIGHT, 0));

        search(nest, "3");
        List<NestedSheet> found = laid(nest);
        NestTask task = Nests.task(jobs.view(nest).result());
        assertThat(found).anyMatch(sheet -> task.sheet(sheet.stock()).remnant());
        for (OrderLine line : task.lines()) {
            long placed =
                    found.stream()
                            .flatMap(sheet -> sheet.placements().stream())
                            .filter(p -> p.line().equals(line.id()))
                            .count();
            // where not all have room, those that may wait are the ones that do
            assertThat(placed == line.quantity() || line.priority() == 9).as(line.id()).isTrue();
        }

        browser.waitForScene();
        browser.until(b -> !b.find("body").getAttribute("data-nest").equals("0"));
        NestPlacement before = found.get(0).placements().get(0);
        Box box = task.line(before.line()).shape().box();
        click(before.transform().apply(new Point(box.min().x() + 6, box.centre().y())));
        browser.until(b -> b.text("#nest-part").contains("of three"));
        int step = jobs.view(nest).step();
        nudge(nest);
        browser.waitForStep(step + 1);
        laid(nest);

        browser.find("#nest-seconds").sendKeys(Keys.chord(Keys.CONTROL, "a"), "2");
        browser.click(".nest-begin [value=here]");
        // what is no better than what lies there is kept beside it
        browser.until(
                b -> b.all(".nest-results li").size() == 2 && b.all("#nest-search").isEmpty());
        laid(nest);

        browser.openStage(nest, "release");
        browser.until(b -> b.all("#planning progress").isEmpty());
        browser.click("#release-now");
        browser.until(b -> !b.all(".releases .revision").isEmpty());
        browser.open("/stock?all=true&text=mild+steel");
        assertThat(browser.text(".stock-table")).contains("used by job " + nest);
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
