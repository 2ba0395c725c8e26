package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;

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
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.work.Task;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.tool.Tool;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/**
 * Drills that lie, and their housings, beside what stands on the table: a hole of 8 mm, 25 mm deep,
 * in the left edge of a panel 18 mm thick, its axis 9 mm above the table.
 */
class LyingTest {

    private static final RouterBook BOOK = (RouterBook) RouterJobs.LIBRARY.book(RouterJobs.HAZEL);
    private static final String EDGE = "EDGE 8";

    private static Reading reading() {
        Line hole = new Line(new Point(0, 50), new Point(25, 50));
        Box panel = Box.of(Point.ORIGIN, new Point(400, 200));
        List<WrittenChain> drawn =
                List.of(
                        new WrittenChain("OUTLINE", Contour.rectangle(panel), false),
                        new WrittenChain(EDGE, new Path(List.of(hole)), false));
        byte[] dxf = DxfWriter.write(drawn).getBytes(StandardCharsets.ISO_8859_1);
        return new DrawingReading(
                        ReadOptions.defaults()
                                .withRules(PurposeRules.ofLayers(Map.of(EDGE, Purpose.MARK))))
                .read(new DrawingFiles(ImportOptions.defaults()).read("edge.dxf", dxf));
    }

    private static List<String> found(
            String rule, List<RouterUnit.Stop> stops, List<KeepOut> pods, Tool.Holder holder) {
        Wish wish =
                JsonMapper.shared()
                        .readValue(
                                "{\"id\":\"dowels\",\"kind\":\"edgeDrill\",\"on\":{\"layer\":\"EDGE 8\"},\"width\":\"8\"}",
                                Wish.class);
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(List.of(wish), true)
                        .withBlock(new Block(400.0, 200.0, null, null, null))
                        .withPods(pods);
        Task<RouterChoices> task = RouterJobs.task(reading(), choices, "birch plywood", 18, 1);
        RouterRun run =
                RouterJobs.run(
                        new Task<>(
                                task.machine().with(RouterUnit.of(task.machine()).with(stops)),
                                new RouterBook(
                                        BOOK.machine(),
                                        BOOK.tools().stream().map(t -> held(t, holder)).toList(),
                                        BOOK.stations(),
                                        BOOK.panelRules(),
                                        BOOK.rows()),
                                task.reading(),
                                task.order(),
                                task.bed(),
                                task.choices()));
        assertThat(run.run().refused()).isEmpty();
        return Prover.withAllRules().prove(run.proofInput(), Map.of()).findings().stream()
                .filter(f -> f.rule().equals(rule))
                .map(Finding::sentence)
                .toList();
    }

    private static Tool held(Tool tool, Tool.Holder holder) {
        return tool.kind().looks().isEmpty()
                ? tool
                : new Tool(
                        tool.number(),
                        tool.name(),
                        tool.form(),
                        tool.edges(),
                        tool.shank(),
                        tool.limits(),
                        holder);
    }

    private static List<RouterUnit.Stop> stop(double x, double y, double height) {
        return List.of(new RouterUnit.Stop("left", x, y, 20, 20, height));
    }

    private static Tool.Holder wide() {
        return new Tool.Holder(List.of(new Tool.Holder.Step(60, 100)));
    }

    /** The lowest of the drill is 5 mm above the table. */
    @Test
    void aStopBesideTheEdgeThatIsDrilledIsInItsWay() {
        assertThat(found("table", stop(-25, 40, 12), List.of(), Tool.Holder.USUAL))
                .hasSize(1)
                .allMatch(s -> s.contains("comes to stop left"));
        assertThat(found("table", stop(-25, 40, 4.9), List.of(), Tool.Holder.USUAL)).isEmpty();
        assertThat(found("table", stop(-25, 55, 12), List.of(), Tool.Holder.USUAL)).isEmpty();
        assertThat(found("table", stop(-25, 53, 12), List.of(), Tool.Holder.USUAL)).hasSize(1);
    }

    /**
     * It begins 60 mm behind the tip, 35 mm beside the edge when the hole is as deep as it will be.
     */
    @Test
    void aStopInTheWayOfTheHousingIsFound() {
        assertThat(found("holder", stop(-55.1, 75, 12), List.of(), wide()))
                .hasSize(1)
                .allMatch(s -> s.contains("comes to stop left"));
        assertThat(found("holder", stop(-34, 75, 12), List.of(), wide())).isEmpty();
        assertThat(found("holder", stop(-55.1, 81, 12), List.of(), wide())).isEmpty();
        // a housing of which nobody said anything is at most 6 mm below its axis, and 6 beside it
        assertThat(found("holder", stop(-55.1, 75, 12), List.of(), Tool.Holder.USUAL)).isEmpty();
        assertThat(found("holder", stop(-55.1, 50, 12), List.of(), Tool.Holder.USUAL)).hasSize(1);
    }

    /** Pods are as high as the underside of the panel: only a large housing comes to one. */
    @Test
    void aPodBesideThePanelIsInTheWayOfALargeHousing() {
        List<KeepOut> beside = List.of(new KeepOut(-80, 20, 60, 140, 50));
        // on its way there and at the hole
        assertThat(found("holder", List.of(), beside, wide()))
                .isNotEmpty()
                .allMatch(s -> s.contains("comes to pod 1"));
        assertThat(found("holder", List.of(), beside, Tool.Holder.USUAL)).isEmpty();
        assertThat(found("table", List.of(), beside, wide())).isEmpty();
        List<KeepOut> under = List.of(new KeepOut(5, 20, 60, 140, 50));
        assertThat(found("holder", List.of(), under, wide())).isEmpty();
    }
}
