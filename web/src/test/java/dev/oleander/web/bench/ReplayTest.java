package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.planning.Planning;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ReplayTest extends WebTest {

    @Autowired private PackedScenes scenes;
    @Autowired private JsonMapper json;

    @Test
    void everyItemOfTheProgramIsARowThatEndsWhenItEnds() {
        JobView job = jobs.view(makeJob("cleat_backing_plate", "Rows", 3));
        Timeline timeline = job.result().timeline();
        Replay replay = Replay.of(job.step(), job.result());
        assertThat(replay.motion()).hasSize(timeline.program().size());
        for (int i = 0; i < replay.motion().size(); i++) {
            Item item = timeline.program().items().get(i);
            double[] row = replay.motion().get(i);
            if (item instanceof Item.Rapid) {
                assertThat(row[0]).as("head up or down").isIn(0.0, 3.0);
            } else {
                assertThat(row[0]).isEqualTo(item instanceof Item.Feed ? 1 : 2);
            }
            assertThat(row[4]).isCloseTo(timeline.ends()[i], within(1e-5));
        }
    }

    @Test
    void theWireMovesAsItsLowerGuide() {
        JobView job = jobs.view(makeWireJob("hawse_funnel_die", "Funnel", 30));
        Replay replay = Replay.of(job.step(), job.result());
        for (int i = 0; i < replay.motion().size(); i++) {
            if (job.result().timeline().program().items().get(i) instanceof Item.TwoPlane both) {
                double[] row = replay.motion().get(i);
                assertThat(row[0]).isEqualTo(both.on() ? 1 : 4);
                assertThat(row[1]).isCloseTo(both.lower().to().x(), within(1e-5));
                assertThat(row[2]).isCloseTo(both.lower().to().y(), within(1e-5));
            }
        }
    }

    @Test
    void whatWasPackedIsWhatIsAskedFor() throws IOException {
        JobView job = jobs.view(makeJob("cleat_backing_plate", "Packed", 2));
        scenes.follow(new Planning.Ready(job.id()));
        JsonNode replay = unpacked(scenes.replay(job));
        JsonNode scene = unpacked(scenes.planned(job));
        assertThat(replay.get("step").asInt()).isEqualTo(job.step());
        assertThat(replay.get("motion")).hasSize(job.result().timeline().program().size());
        assertThat(replay.has("stops")).isFalse();
        assertThat(scene.get("stops")).hasSize(16);
        assertThat(scene.has("motion")).isFalse();
        // a cache that is full takes in what is asked for more often than what it holds
        boolean kept = false;
        for (int asked = 0; !kept && asked < 40; asked++) {
            kept = scenes.replay(job) == scenes.replay(job);
        }
        assertThat(kept).as("kept").isTrue();
    }

    @Test
    void nothingIsPlayedWithoutAPlan() {
        JobView job =
                SceneBuilderTest.unplanned(
                        jobs, makeJob("cleat_backing_plate", "Nothing", 1), person("mira"));
        Replay replay = Replay.of(job.step(), job.result());
        assertThat(replay.motion()).isEmpty();
        assertThat(replay.pieces()).isEmpty();
        assertThat(replay.halts()).isEmpty();
    }

    private JsonNode unpacked(byte[] packed) throws IOException {
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(packed))) {
            return json.readTree(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
    }
}
