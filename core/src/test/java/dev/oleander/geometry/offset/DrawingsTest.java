package dev.oleander.geometry.offset;

import static dev.oleander.geometry.Shapes.p;
import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Shapes;
import dev.oleander.geometry.SvgDrawing;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.enclose.ConvexHull;
import dev.oleander.geometry.fit.ArcFitter;
import dev.oleander.geometry.fit.FitOptions;
import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.overlay.Overlay;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * The drawings of {@code docs/geometry.md} are what the code does: each is made anew and compared
 * with the one in the folder. {@code -Doleander.draw=true} writes them instead.
 */
class DrawingsTest {

    private static final java.nio.file.Path FOLDER = java.nio.file.Path.of("../docs/geometry");

    private static final String SOURCE = "fill:none;stroke:#222;stroke-width:2";
    private static final String RESULT = "fill:#1b7f3b22;stroke:#1b7f3b;stroke-width:2";
    private static final String SHIFTED = "fill:none;stroke:#2456b8;stroke-width:1.2";
    private static final String JOIN = "fill:none;stroke:#b5651d;stroke-width:1.2";
    private static final String DEAD =
            "fill:none;stroke:#c0265a;stroke-width:1.2;stroke-dasharray:4 3";
    private static final String NODE = "fill:#c0265a";

    private static final Contour DUMBBELL =
            RandomShapes.rounded(
                    Shapes.polygon(
                            0, 0, 40, 0, 40, 16, 62, 16, 62, 0, 100, 0, 100, 40, 62, 40, 62, 22, 40,
                            22, 40, 40, 0, 40),
                    2);

    @Test
    void rawCurveAndResult() throws IOException {
        SvgDrawing drawing = new SvgDrawing(7).chain(DUMBBELL, SOURCE);
        Offsetter.round()
                .offset(DUMBBELL, -5)
                .forEach(r -> r.contours().forEach(c -> drawing.chain(c, RESULT)));
        Edges source = new Edges(32);
        source.addLoop(DUMBBELL.vertices());
        Edges raw = RawCurve.of(source, 5, 1e-9, OffsetOptions.defaults(), false);
        for (int i = 0; i < raw.size(); i++) {
            String style =
                    switch (raw.tag(i) & 3) {
                        case RawCurve.SHIFTED -> SHIFTED;
                        case RawCurve.JOIN -> JOIN;
                        default -> DEAD;
                    };
            drawing.segment(
                    Segment.of(p(raw.x0(i), raw.y0(i)), p(raw.x1(i), raw.y1(i)), raw.bulge(i)),
                    style);
        }
        same("offset.svg", drawing);
    }

    @Test
    void corners() throws IOException {
        SvgDrawing drawing = new SvgDrawing(9);
        Path path =
                new Path(
                        List.of(
                                new Line(p(0, 0), p(14, 0)),
                                new Line(p(14, 0), p(20, 14)),
                                new Arc(p(20, 14), p(36, 14), -0.6),
                                new Line(p(36, 14), p(44, 0)),
                                new Line(p(44, 0), p(60, 0))));
        drawing.chain(path, SOURCE);
        List<Region> round = Offsetter.round().band(path, 3);
        round.forEach(r -> r.contours().forEach(c -> drawing.chain(c, RESULT)));
        Offsetter mitred =
                new Offsetter(
                        OffsetOptions.defaults().withMitres(2).withEnds(OffsetOptions.Ends.FLAT));
        mitred.band(path, 3).forEach(r -> r.contours().forEach(c -> drawing.chain(c, JOIN)));
        same("ends-and-corners.svg", drawing);
    }

    @Test
    void windingNumbers() throws IOException {
        Region a = RandomShapes.disc(p(0, 0), 10);
        Region b = RandomShapes.disc(p(12, 2), 9);
        Region plate =
                new Region(
                        Shapes.rectangle(16, 8).transformed(Transform.translation(p(-11, -12))),
                        List.of());
        SvgDrawing drawing = new SvgDrawing(10);
        Overlay.union(List.of(a, b, plate))
                .forEach(r -> r.contours().forEach(c -> drawing.chain(c, RESULT)));
        List<Chain> loops = List.of(a.outer(), b.outer(), plate.outer());
        loops.forEach(l -> drawing.chain(l, "fill:none;stroke:#222;stroke-width:1"));
        crossings(loops).forEach(c -> drawing.dot(c, 3.5, NODE));
        drawing.text(p(-6, 2), "1")
                .text(p(6, 2), "2")
                .text(p(15, 3), "1")
                .text(p(-3, -7), "2")
                .text(p(-10, -11), "1")
                .text(p(-9, 9), "0");
        same("windings.svg", drawing);
    }

    private static List<Point> crossings(List<Chain> loops) {
        List<Point> found = new ArrayList<>();
        for (int i = 0; i < loops.size(); i++) {
            for (int j = i + 1; j < loops.size(); j++) {
                for (Segment s : loops.get(i).segments()) {
                    for (Segment t : loops.get(j).segments()) {
                        Intersections.of(s, t, 1e-9).forEach(c -> found.add(c.point()));
                    }
                }
            }
        }
        return found;
    }

    @Test
    void fittedCurve() throws IOException {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= 400; i++) {
            double t = i / 400.0;
            points.add(p(90 * t, 18 * Math.sin(9 * t) + 6 * Math.cos(17 * t)));
        }
        SvgDrawing drawing = new SvgDrawing(8);
        Path fitted = new ArcFitter(FitOptions.within(0.3)).fit(points);
        drawing.chain(fitted, SHIFTED);
        for (int i = 0; i < points.size(); i += 4) {
            drawing.dot(points.get(i), 1.2, "fill:#222");
        }
        for (Segment segment : fitted.segments()) {
            drawing.dot(segment.start(), 3.5, NODE);
        }
        drawing.dot(fitted.end(), 3.5, NODE);
        same("fit.svg", drawing);
    }

    @Test
    void hull() throws IOException {
        List<Chain> parts =
                List.of(
                        Contour.circle(p(0, 0), 8),
                        Contour.circle(p(34, 6), 5),
                        Shapes.polygon(12, 14, 20, 22, 26, 12));
        SvgDrawing drawing = new SvgDrawing(9).chain(ConvexHull.of(parts), RESULT);
        parts.forEach(c -> drawing.chain(c, SOURCE));
        same("hull.svg", drawing);
    }

    private static void same(String name, SvgDrawing drawing) throws IOException {
        java.nio.file.Path file = FOLDER.resolve(name);
        if (Boolean.getBoolean("oleander.draw")) {
            Files.createDirectories(FOLDER);
            Files.writeString(file, drawing.toString());
        }
        String committed = Files.readString(file, StandardCharsets.UTF_8);
        assertThat(drawing.toString()).isEqualTo(committed);
    }
}
