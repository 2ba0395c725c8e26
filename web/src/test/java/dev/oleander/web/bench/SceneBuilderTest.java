package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.result.JobResult;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SceneBuilderTest extends WebTest {

    @Test
    void theTableGetsEveryStopMoveAndRegion() {
        JobView job = jobs.view(makeJob("cleat_backing_plate", "Scene", 3));
        JobResult result = job.result();
        Scene scene = SceneBuilder.build(job.step(), result, true, Map.of());
        assertThat(scene.stops()).hasSize(24);
        assertThat(scene.placements()).hasSize(3);
        assertThat(scene.parts()).hasSize(1);
        assertThat(scene.parts().get(0)).hasSize(8);
        List<Item.Rapid> rapids =
                result.timeline().program().items().stream()
                        .filter(Item.Rapid.class::isInstance)
                        .map(Item.Rapid.class::cast)
                        .toList();
        assertThat(scene.travel()).hasSameSizeAs(rapids);
        for (int i = 0; i < rapids.size(); i++) {
            double[] row = scene.travel().get(i);
            assertThat(row[0]).as("head up or down").isIn(0.0, 1.0);
            assertThat(row[1]).isCloseTo(rapids.get(i).from().x(), within(1e-5));
            assertThat(row[4]).isCloseTo(rapids.get(i).to().y(), within(1e-5));
        }
    }

    @Test
    void everyChainSaysWhichLayerItLiesOn() {
        long id = makeJob("flag_socket_islands", "Layers", 1);
        JobView job = jobs.view(id);
        Scene scene = SceneBuilder.build(job.step(), job.result(), false, Map.of());
        assertThat(scene.features()).isNotEmpty();
        scene.features()
                .forEach(
                        f ->
                                assertThat(scene.notes().layers().get(f.layer()))
                                        .isEqualTo(
                                                job.result().reading().byId().get(f.id()).layer()));
    }

    @Test
    void flatPathsKeepEndsAndBulges() {
        JobResult result = jobs.view(makeJob("cleat_backing_plate", "Flat", 1)).result();
        for (Stop stop : result.run().stops()) {
            double[] flat = SceneBuilder.flat(stop.path().orElseThrow().main());
            assertThat(flat).hasSize(2 + 3 * stop.path().orElseThrow().main().size());
            Point start = stop.path().orElseThrow().start();
            assertThat(flat[0]).isCloseTo(start.x(), within(1e-5));
            // closed: the last end is the start
            assertThat(flat[flat.length - 3]).isCloseTo(flat[0], within(1e-5));
            assertThat(flat[flat.length - 2]).isCloseTo(flat[1], within(1e-5));
        }
        assertThat(SceneBuilder.flat(List.of())).isEmpty();
    }

    @Test
    void theScrapLiesLeftOfEveryPath() {
        JobView job = jobs.view(makeJob("cleat_backing_plate", "Scrap", 2));
        Scene scene = SceneBuilder.build(job.step(), job.result(), true, Map.of());
        assertThat(scene.stops()).allMatch(s -> s.scrap() == 1);
        assertThat(job.result().run().stops()).allMatch(s -> s.side() != Side.ON);
    }

    @Test
    void mirroredCopiesKeepTheirScrapSide() {
        long id = makeJob("sheave_cheek_plate", "Mirrored", 2);
        JobView job =
                jobs.edit(
                        id,
                        "x",
                        b ->
                                b.document()
                                        .withSheet(
                                                BedValues.MIRRORED.put(
                                                        b.document().sheet(), "true")),
                        person("mira"));
        Scene scene = SceneBuilder.build(job.step(), job.result(), true, Map.of());
        assertThat(scene.stops()).extracting(Scene.StopShape::copy).contains(1, 2);
        assertThat(scene.stops()).allMatch(s -> s.scrap() == 1);
        assertThat(job.result().proof().releasable()).isTrue();
    }

    @Test
    void withoutASheetTheDrawingIsStillShown() {
        JobView job =
                unplanned(jobs, makeJob("cleat_backing_plate", "No sheet", 1), person("mira"));
        Scene scene = SceneBuilder.build(job.step(), job.result(), true, Map.of());
        assertThat(scene.stock()).isNull();
        assertThat(scene.stops()).isEmpty();
        assertThat(scene.features()).hasSize(8);
    }

    /** A job whose sheet cannot be laid out. */
    static JobView unplanned(JobService jobs, long id, SignedIn who) {
        return jobs.edit(
                id,
                "x",
                b -> b.document().withSheet(BedValues.COLUMNS.put(b.document().sheet(), "1.5")),
                who);
    }
}
