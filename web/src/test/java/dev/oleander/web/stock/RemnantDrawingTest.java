package dev.oleander.web.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.nesting.choice.Loops;
import dev.oleander.web.job.document.RefusedEditException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class RemnantDrawingTest {

    private static final Loop OUTLINE =
            new Loop(List.of(0.0, 0.0, 0.0, 600.0, 0.0, 0.0, 600.0, 300.0, 0.0, 0.0, 300.0, 0.0));

    /** A disc with a diameter of 40 mm. */
    private static final Loop BAD_SPOT = new Loop(List.of(500.0, 100.0, 1.0, 540.0, 100.0, 1.0));

    private static byte[] drawing(Loop... loops) {
        List<WrittenChain> chains =
                Stream.of(loops)
                        .map(loop -> new WrittenChain("STOCK", loop.contour("outline"), false))
                        .toList();
        return DxfWriter.write(chains).getBytes(StandardCharsets.US_ASCII);
    }

    @Test
    void whatIsDrawnWithinTheOutlineIsNoMaterial() {
        List<Loop> loops = RemnantDrawing.outline("rest.dxf", drawing(BAD_SPOT, OUTLINE));
        assertThat(loops).hasSize(2);
        Region region = Loops.region(loops, "remnant");
        assertThat(region.area()).isCloseTo(600 * 300 - Math.PI * 20 * 20, within(1e-6));
    }

    @Test
    void aDrawingThatIsNotOneOutlineIsRefused() {
        Loop apart =
                new Loop(
                        List.of(
                                700.0, 0.0, 0.0, 900.0, 0.0, 0.0, 900.0, 100.0, 0.0, 700.0, 100.0,
                                0.0));
        assertThatThrownBy(() -> RemnantDrawing.outline("two.dxf", drawing(OUTLINE, apart)))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("two.dxf shows 2 pieces of material");
        assertThatThrownBy(() -> RemnantDrawing.outline("nothing.dxf", new byte[0]))
                .isInstanceOf(DrawingException.class)
                .hasMessageContaining("is empty");
        assertThatThrownBy(() -> RemnantDrawing.outline("large.dxf", new byte[3 << 20]))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("3072 kB", "2048 kB");
    }

    @Test
    void anOutlineThatIsNotClosedIsRefused() {
        String open =
                """
                <svg xmlns="http://www.w3.org/2000/svg" width="600mm" height="300mm" viewBox="0 0 600 300">
                <path d="M0 0 H600 V300 H0" fill="none" stroke="black"/></svg>
                """;
        assertThatThrownBy(
                        () ->
                                RemnantDrawing.outline(
                                        "open.svg", open.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("1 open contour");
    }
}
