package dev.oleander.web.letter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.longwork.WorkState;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A picture beside its line work, and line work that takes long. */
class PictureLooksTest extends WebTest {

    @Autowired private PictureLooks looks;
    @Autowired private Pictures pictures;
    @Autowired private TraceWork work;
    @Autowired private ShapeEdits edits;

    private long job(String sha256) {
        JobDocument.Order order =
                new JobDocument.Order("Sign", "teasel", "mild steel", Typed.of(2), 1, "");
        long id = jobs.create(List.of(), order, d -> d, person("mira"));
        Map<String, String> values =
                Map.of("x", "10", "y", "20", "picture", sha256, "pixel", "0.5", "turn", "90");
        jobs.edit(
                id,
                "Picture",
                edits.draw(new ShapeEdits.Wish("picture", null, List.of(), values)),
                person("mira"));
        return id;
    }

    private String disc() throws IOException {
        byte[] file = Files.readAllBytes(Path.of("..", "samples", "lettering", "disc_grey.png"));
        return pictures.bring(file, "disc.png", person("mira")).sha256();
    }

    /** A disc in a picture of that many pixels along each side. */
    private static byte[] large(int side) throws IOException {
        BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, side, side);
        g.setColor(Color.BLACK);
        g.fillOval(side / 4, side / 4, side / 2, side / 2);
        g.dispose();
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageIO.write(image, "png", file);
        return file.toByteArray();
    }

    @Test
    void aPictureLiesUnderItsLineWork() throws IOException {
        String sha256 = disc();
        long id = job(sha256);
        PictureLooks.Look look = looks.look(id, "d1");
        assertThat(look.href()).isEqualTo("/pictures/" + sha256);
        assertThat(look.place())
                .as("half a mm a pixel, a quarter turned, lower left corner at 10, 20")
                .usingComparatorWithPrecision(1e-9)
                .containsExactly(0, 0.5, -0.5, 0, 10, 20);
        assertThat(look.bars()).hasSize(64);
        assertThat(Arrays.stream(look.bars()).sum()).isEqualTo(look.width() * look.height());
        assertThat(look.level()).isBetween(100.0, 160.0);
        assertThat(look.told().get(0)).startsWith("1 outlines, 2 lines and arcs");
        assertThat(look.off()).hasSize(2);
        assertThat(look.off().get(0)[5]).isCloseTo(look.greatest(), within(1e-12));
        assertThatThrownBy(() -> looks.look(id, "d9")).isInstanceOf(NotFoundException.class);
    }

    @Test
    void smallPicturesAreAtHand() throws IOException {
        long id = job(disc());
        assertThat(looks.work(id, Map.of("drawn", "d1", "field", "corner", "value", "50"), who()))
                .isEqualTo(PictureLooks.Making.DONE);
        assertThat(looks.work(id, Map.of("drawn", "d1", "field", "corner", "value", "x"), who()))
                .as("what is wrong is told by the edit")
                .isEqualTo(PictureLooks.Making.DONE);
        Map<String, String> none =
                Map.of("command", "picture", "v.picture", "-1", "v.x", "0", "v.y", "0");
        assertThat(looks.work(id, none, who())).isEqualTo(PictureLooks.Making.DONE);
        assertThatThrownBy(() -> looks.levels("-1")).isInstanceOf(NotFoundException.class);
    }

    private SignedIn who() {
        return person("mira");
    }

    @Test
    void lineWorkOfLargePicturesIsLongWork() throws Exception {
        String sha256 = pictures.bring(large(2100), "large.png", who()).sha256();
        assertThat(pictures.isLong(sha256, TraceSpec.USUAL)).isTrue();
        WorkState state = work.want(sha256, TraceSpec.USUAL, who());
        for (int i = 0; i < 300 && !state.phase().isOver(); i++) {
            Thread.sleep(100);
            state = work.want(sha256, TraceSpec.USUAL, who());
        }
        assertThat(state.phase()).isEqualTo(WorkState.Phase.DONE);
        assertThat(pictures.isLong(sha256, TraceSpec.USUAL)).isFalse();
        // what is looked at meanwhile lies in the same place
        var whole = pictures.trace(sha256, TraceSpec.USUAL).trace().contours().get(0);
        TraceSpec other =
                new TraceSpec(
                        TraceSpec.Mode.OUTLINE,
                        Optional.of(120.0),
                        false,
                        false,
                        0,
                        4,
                        4,
                        Optional.empty(),
                        40,
                        TraceSpec.Polish.ALL);
        var rough = pictures.rough().trace(sha256, other).trace().contours().get(0);
        assertThat(rough.centroid().distance(whole.centroid())).isLessThan(1);
        assertThat(pictures.isLong(sha256, other)).isTrue();
    }

    @Test
    void howItIsTracedIsReadAsItWasWritten() {
        TraceSpec spec =
                new TraceSpec(
                        TraceSpec.Mode.CENTRE,
                        Optional.of(97.5),
                        true,
                        true,
                        1.25,
                        9,
                        12,
                        Optional.of(0.4),
                        28,
                        new TraceSpec.Polish(false, true));
        assertThat(TraceWork.read(TraceWork.written(spec))).isEqualTo(spec);
        assertThat(TraceWork.read(TraceWork.written(TraceSpec.USUAL))).isEqualTo(TraceSpec.USUAL);
    }
}
