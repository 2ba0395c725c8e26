package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Prover;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.proof.Fault;
import dev.oleander.work.router.proof.ProgramCheck;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** Holes in edges, by drills that lie. */
class EdgeDrillTest {

    private static final double LENGTH = 400;
    private static final double WIDTH = 200;
    private static final double THICK = 18;
    private static final String EDGE = "EDGE 8";

    private static final List<Line> HOLES =
            List.of(
                    new Line(new Point(0, 50), new Point(25, 50)),
                    new Line(new Point(25, 150), new Point(0, 150)),
                    new Line(new Point(LENGTH, 50), new Point(LENGTH - 30, 50)),
                    new Line(new Point(100, WIDTH), new Point(100, WIDTH - 20)));

    private static Reading drawn(List<Line> lines) {
        List<WrittenChain> chains = new ArrayList<>();
        Box all = Box.of(Point.ORIGIN, new Point(LENGTH, WIDTH));
        chains.add(new WrittenChain("OUTLINE", Contour.rectangle(all), false));
        lines.forEach(l -> chains.add(new WrittenChain(EDGE, new Path(List.of(l)), false)));
        byte[] dxf = DxfWriter.write(chains).getBytes(StandardCharsets.ISO_8859_1);
        return new DrawingReading(
                        ReadOptions.defaults()
                                .withRules(PurposeRules.ofLayers(Map.of(EDGE, Purpose.MARK))))
                .read(new DrawingFiles(ImportOptions.defaults()).read("edge.dxf", dxf));
    }

    private static RouterRun run(List<Line> lines, String wish, double thickness) {
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(
                                List.of(JsonMapper.shared().readValue(wish, Wish.class)), true)
                        .withBlock(new Block(LENGTH, WIDTH, null, null, null));
        return RouterJobs.run(
                RouterJobs.task(drawn(lines), choices, "birch plywood", thickness, 1));
    }

    private static String wish(String more) {
        return "{\"id\":\"dowels\",\"kind\":\"edgeDrill\",\"on\":{\"layer\":\"EDGE 8\"},\"width\":\"8\"%s}"
                .formatted(more);
    }

    private static RouterRun dowels() {
        return run(HOLES, wish(""), THICK);
    }

    @Test
    void holesOfAnEdgeAreOneStop() {
        RouterRun run = dowels();
        RouterJobs.requireSound(run);
        assertThat(run.run().stops())
                .extracting(Stop::name)
                .containsExactlyInAnyOrder(
                        "dowels: 2 holes Ø 8 in the edge on the left",
                        "dowels: Hole Ø 8 in the edge on the right",
                        "dowels: Hole Ø 8 in the edge on the back");
        assertThat(Prover.withAllRules().prove(run.proofInput(), Map.of()).open()).isEmpty();
    }

    @Test
    void theDrillGoesInStraightAtHalfTheThickness() {
        List<Item.Feed> fed =
                dowels().program().items().stream()
                        .filter(Item.Feed.class::isInstance)
                        .map(Item.Feed.class::cast)
                        .toList();
        assertThat(fed).hasSize(4);
        for (Item.Feed feed : fed) {
            assertThat(feed.rise().from().z()).isCloseTo(-THICK / 2, within(1e-9));
            assertThat(feed.rise().z()).isZero();
        }
        // each from 8 mm beside the stock
        assertThat(fed.stream().map(f -> Math.rint(f.segment().length())))
                .containsExactlyInAnyOrder(33.0, 33.0, 38.0, 28.0);
    }

    @Test
    void whatLiesInTheEdgeCountsAsVolumeAndNotAsDepth() {
        RouterRun run = dowels();
        double all =
                run.run().stops().stream().mapToDouble(s -> run.volume(s.id()).orElseThrow()).sum();
        assertThat(all).isCloseTo(Math.PI * 16 * (25 + 25 + 30 + 20), within(1e-6));
        assertThat(run.depths().at(new Point(10, 50)).depth()).isZero();
    }

    @Test
    void anotherHeightIsKept() {
        RouterRun run = run(HOLES.subList(0, 1), wish(",\"depth\":\"T-6\""), THICK);
        assertThat(run.program().items())
                .filteredOn(Item.Feed.class::isInstance)
                .allMatch(i -> Math.abs(i.rise().to().z() + 12) < 1e-9);
    }

    private static String refusal(RouterRun run) {
        return run.run().refused().get(0).refusalSentence().orElseThrow();
    }

    @Test
    void whatCannotBeIsSaid() {
        Line inside = new Line(new Point(10, 50), new Point(40, 50));
        assertThat(refusal(run(List.of(inside), wish(""), THICK)))
                .contains("begins 10 mm inside the stock");
        Line skew = new Line(new Point(0, 50), new Point(20, 60));
        assertThat(refusal(run(List.of(skew), wish(""), THICK))).contains("neither X nor Y");
        Line deep = new Line(new Point(0, 50), new Point(45, 50));
        assertThat(refusal(run(List.of(deep), wish(""), THICK)))
                .contains("45 mm deep", "reaches 40 mm");
        assertThat(refusal(run(HOLES, wish(",\"depth\":\"3\""), THICK)))
                .contains("3 mm below the top", "within 18 mm");
        String seven = wish("").replace("\"8\"", "\"7\"");
        assertThat(refusal(run(HOLES, seven, THICK))).contains("no drill of 7 mm");
    }

    /** 6 mm over the table is lowest. */
    @Test
    void tooLowIsFoundByTheProof() {
        RouterRun low = run(HOLES, wish(",\"depth\":\"T-5\""), THICK);
        assertThat(Prover.withAllRules().prove(low.proofInput(), Map.of()).open())
                .anyMatch(f -> f.rule().equals("side") && f.sentence().contains("lowest 6 mm"));
    }

    // ---- programs that were spoilt

    private static List<Fault> spoilt(UnaryOperator<Item> change) {
        RouterRun run = dowels();
        List<Item> items = run.program().items().stream().map(change).toList();
        return ProgramCheck.faults(
                new Program(items),
                run.plan().task().tools(),
                Box.of(Point.ORIGIN, new Point(LENGTH, WIDTH)),
                THICK,
                run.plan().unit(),
                Optional.empty());
    }

    @Test
    void aDrillThatIsFedAcrossIsFound() {
        assertThat(
                        spoilt(
                                item -> {
                                    if (!(item instanceof Item.Feed feed)) {
                                        return item;
                                    }
                                    Line turned =
                                            new Line(
                                                    feed.segment().start(),
                                                    feed.segment().end().plus(new Point(0, 5)));
                                    return new Item.Feed(
                                            turned, feed.rise(), feed.feed(), true, feed.origin());
                                }))
                .anyMatch(f -> f.sentence().contains("fed another way"));
    }

    @Test
    void aDrillThatComesDownInTheStockIsFound() {
        Point in = new Point(50, 50);
        assertThat(
                        spoilt(
                                item ->
                                        isDown(item)
                                                ? new Item.Rapid(in, in, item.rise(), item.origin())
                                                : item))
                .anyMatch(
                        f -> f.rule().equals("side") && f.sentence().contains("within the stock"));
    }

    private static boolean isDown(Item item) {
        return item instanceof Item.Rapid rapid
                && rapid.rise().to().z() < -1
                && rapid.from().equals(rapid.to());
    }

    @Test
    void edgesOfADrillAreThoseOfItsTool() {
        assertThat(dowels().plan().toolsInUse())
                .allMatch(
                        t -> t.kind().lies() && t.kind().looks().filter(Face::isEdge).isPresent());
    }
}
