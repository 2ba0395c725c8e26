package dev.oleander.plan.panel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.plan.panel.file.Amount;
import dev.oleander.plan.panel.file.FaceDrawings;
import dev.oleander.plan.panel.file.FaceDrawings.Drawn;
import dev.oleander.plan.panel.file.ProductFile;
import dev.oleander.plan.panel.file.ProductReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Faces of panels as drawings. */
class FaceDrawingsTest {

    private static final ProductFile.Panel NOTHING =
            new ProductFile.Panel(
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    Amount.of(18.0),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    null);

    private static Drawn drawn(String name) {
        return FaceDrawings.read(name, Panels.text(name).getBytes(StandardCharsets.ISO_8859_1));
    }

    private static Product product(List<Drawn> faces) {
        ProductFile.Panel panel = FaceDrawings.panel(faces, "ply18", Amount.of(1.0), NOTHING);
        ProductFile locker = Panels.file();
        return ProductReader.read(
                new ProductFile(
                        "Drawn",
                        Amount.of(1.0),
                        Map.of(),
                        locker.materials(),
                        List.of(),
                        List.of(panel)));
    }

    /** Holes by face, place, diameter and depth. */
    private static List<String> holes(Panel panel) {
        return panel.features().stream()
                .filter(PanelFeature::isHole)
                .map(
                        f ->
                                "%s %.3f %.3f %.3f %s"
                                        .formatted(
                                                f.face(),
                                                f.middle().x(),
                                                f.middle().y(),
                                                f.diameter(),
                                                f.through() ? "through" : f.depth()))
                .sorted()
                .toList();
    }

    @Test
    void drawnFaceByFaceAPanelHasTheSameFeatures() {
        requireSame("side-r", List.of("side-r.top.dxf", "side-r.bottom.dxf"));
        requireSame("bottom", List.of("bottom.top.dxf", "bottom.left.dxf", "bottom.right.dxf"));
    }

    private static void requireSame(String name, List<String> files) {
        Panel known = Panels.locker().panel(name).orElseThrow();
        Panel drawn = product(files.stream().map(FaceDrawingsTest::drawn).toList()).panels().get(0);
        assertThat(drawn.id()).isEqualTo(name);
        assertThat(drawn.size()).isEqualTo(known.size());
        assertThat(holes(drawn)).isEqualTo(holes(known));
        assertThat(areas(drawn)).isCloseTo(areas(known), within(1e-6));
        assertThat(drawn.features()).hasSameSizeAs(known.features());
    }

    private static double areas(Panel panel) {
        return panel.features().stream()
                .flatMap(f -> f.area().stream())
                .mapToDouble(a -> a.area())
                .sum();
    }

    @Test
    void whatIsWrittenReadsTheSame() {
        for (Panel panel : Panels.locker().made()) {
            List<Drawn> faces = new ArrayList<>();
            for (Face face : Face.values()) {
                String name = "%s.%s.dxf".formatted(panel.id(), face.word());
                byte[] dxf = FaceDrawings.write(panel, face).getBytes(StandardCharsets.ISO_8859_1);
                faces.add(FaceDrawings.read(name, dxf));
            }
            boolean thin = panel.material().equals("ply6");
            if (!thin) {
                assertThat(holes(product(faces).panels().get(0))).isEqualTo(holes(panel));
            }
            assertThat(faces.stream().mapToInt(f -> f.features().size()).sum())
                    .isEqualTo(panel.features().size());
        }
    }

    private static byte[] dxf(String layer, Contour what, double length) {
        Contour outline = Contour.rectangle(Box.of(Point.ORIGIN, new Point(length, 18)));
        List<WrittenChain> chains =
                Stream.of(
                                new WrittenChain("OUTLINE", outline, false),
                                new WrittenChain(layer, what, false))
                        .toList();
        return DxfWriter.write(chains).getBytes(StandardCharsets.ISO_8859_1);
    }

    @Test
    void whatCannotBeIsSaid() {
        Contour box = Contour.rectangle(Box.of(new Point(5, 5), new Point(9, 9)));
        assertThatThrownBy(() -> FaceDrawings.read("side.dxf", new byte[0]))
                .isInstanceOf(PanelException.class)
                .hasMessageContaining("panel.face.dxf");
        assertThatThrownBy(() -> FaceDrawings.read("side.under.dxf", new byte[0]))
                .hasMessageContaining("'under' is unknown");
        assertThatThrownBy(() -> FaceDrawings.read("a.left.dxf", dxf("POCKET", box, 400)))
                .hasMessageContaining("POCKET says no depth");
        assertThatThrownBy(() -> FaceDrawings.read("a.left.dxf", dxf("NOTES", box, 400)))
                .hasMessageContaining("layer NOTES");
        assertThatThrownBy(() -> FaceDrawings.read("a.left.dxf", dxf("HOLE 8", box, 400)))
                .hasMessageContaining("is no circle");
        Drawn left = FaceDrawings.read("side-r.left.dxf", dxf("POCKET 3", box, 560));
        assertThatThrownBy(() -> product(List.of(drawn("side-r.top.dxf"), left)))
                .hasMessageContaining("left face of side-r is 560 long")
                .hasMessageContaining("380 wide")
                .hasMessageContaining("it may be the front");
    }
}
