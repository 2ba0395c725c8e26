package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

/** Edges of outlines and openings that are broken with a cone of 60 degrees. */
class BrokenEdgesTest {

    private static final double STEEP = Math.tan(Math.toRadians(30));

    private static final Drawn BOARD =
            new Drawn().rectangle(20, 20, 200, 120).rectangle(60, 50, 80, 50);

    private static RouterRun run(String operation) {
        Wish wish = JsonMapper.shared().readValue(operation, Wish.class);
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(List.of(wish), false)
                        .withBlock(new Block(240.0, 160.0, null, null, null));
        return RouterJobs.run(RouterJobs.task(BOARD.reading(), choices, "birch plywood", 12, 1));
    }

    private static String edge(String contour, String more) {
        return "{\"id\": \"edge\", \"kind\": \"chamfer\", \"on\": {\"contours\": [\"%s\"]}%s}"
                .formatted(contour, more);
    }

    private static RouterStop edge(RouterRun run) {
        return run.plan().stops().stream()
                .filter(s -> s.operation().equals("edge"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void itIsNamedAndLiesOnTheSideOfTheScrap() {
        assertThat(entry(run(edge("c1", ""))))
                .extracting(Stop::name)
                .isEqualTo("edge: Edge, Outline");
        assertThat(entry(run(edge("c1", ""))).side()).isEqualTo(Side.OUTSIDE);
        assertThat(entry(run(edge("c2", ""))).side()).isEqualTo(Side.INSIDE);
        assertThat(entry(run(edge("c1", ", \"side\": \"inside\""))).side()).isEqualTo(Side.INSIDE);
    }

    private static Stop entry(RouterRun run) {
        return run.run().stop(edge(run).id()).orElseThrow();
    }

    /** From the wall inwards the slope is as wide as it is wished, and as steep as the cone. */
    @ParameterizedTest
    @CsvSource({"c1, 2, 0.5, 20, 80, -1", "c1, 1.2, 0, 20, 80, -1", "c2, 3, 1, 60, 75, 1"})
    void theSlopeIsAsWideAsItIsWished(
            String contour, double width, double below, double x, double y, int scrap) {
        RouterRun run =
                run(
                        edge(
                                contour,
                                ", \"width\": \"%s\", \"below\": \"%s\"".formatted(width, below)));
        assertThat(run.run().refused()).isEmpty();
        assertThat(run.faults()).isEmpty();
        RouterStop stop = edge(run);
        assertThat(stop.levels().get(stop.levels().size() - 1))
                .isCloseTo(width / STEEP + below, within(1e-9));
        for (double in = 0.001; in < width + 1; in += 0.1) {
            double depth = run.depths().at(new Point(x - scrap * in, y)).depth();
            assertThat(depth)
                    .as("%s mm behind the wall", in)
                    .isCloseTo(Math.max(0, (width - in) / STEEP), within(5e-3));
        }
    }

    /** While the part is held, and where nobody says a width: 1 mm. */
    @Test
    void theEdgeIsBrokenBeforeThePartIsCutOut() {
        RouterRun run = run(edge("c1", ""));
        List<String> order = run.plan().done().stream().map(RouterStop::operation).toList();
        assertThat(order.indexOf("edge")).isLessThan(order.size() - 1);
        assertThat(order.get(order.size() - 1)).startsWith("contour");
        assertThat(run.depths().at(new Point(20.5, 80)).depth())
                .isCloseTo(0.5 / STEEP, within(5e-3));
        CheckedWriter.Checked checked =
                new CheckedWriter(DialectLibrary.shipped().find("hazel").orElseThrow())
                        .write(run.posted().program(), Samples.FRAME, run.stopNames());
        assertThat(checked.faults()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                ", \"width\": \"9\", \"below\": \"4\"|asks for a cone of",
                ", \"tool\": 1|cannot make a slope",
                ", \"side\": \"on\"|lies on one side",
                ", \"width\": \"0\"|above 0",
                ", \"below\": \"-1\"|at least 0",
            })
    void whatCannotBeIsSaid(String more, String sentence) {
        RouterRun run = run(edge("c1", more));
        assertThat(edge(run).refusal().orElseThrow()).contains(sentence);
    }

    /** As it is chosen for a contour of which rules say something else. */
    @Test
    void anEdgeIsChosenForAContour() {
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withStop("c1", RouterChoice.NOTHING.with("work", "chamfer"))
                        .withBlock(new Block(240.0, 160.0, null, null, null));
        RouterRun run =
                RouterJobs.run(RouterJobs.task(BOARD.reading(), choices, "birch plywood", 12, 1));
        assertThat(run.run().refused()).isEmpty();
        assertThat(run.depths().at(new Point(20.5, 80)).depth())
                .isCloseTo(0.5 / STEEP, within(5e-3));
    }
}
