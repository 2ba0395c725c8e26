package dev.oleander;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fits;
import dev.oleander.drawing.Label;
import dev.oleander.drawing.Layer;
import dev.oleander.drawing.Style;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.LengthUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Drawings made in tests, entity by entity. */
public final class Drawn {

    private final List<Entity> entities = new ArrayList<>();
    private final List<Label> labels = new ArrayList<>();
    private final Map<String, Layer> layers = new LinkedHashMap<>();
    private String layer = "CUT";

    /** Layer of what is added from here on. */
    public Drawn on(String name) {
        layer = name;
        return this;
    }

    public Drawn line(double x0, double y0, double x1, double y1) {
        return add("LINE", List.of(new Line(p(x0, y0), p(x1, y1))), false);
    }

    /** Lines through all points, each an entity of its own. */
    public Drawn lines(double... xy) {
        for (int i = 0; i + 3 < xy.length; i += 2) {
            line(xy[i], xy[i + 1], xy[i + 2], xy[i + 3]);
        }
        return this;
    }

    public Drawn arc(double x0, double y0, double x1, double y1, double bulge) {
        return add("ARC", List.of(new Arc(p(x0, y0), p(x1, y1), bulge)), false);
    }

    public Drawn circle(double x, double y, double radius) {
        return add("CIRCLE", Contour.circle(p(x, y), radius).segments(), true);
    }

    /** A closed polyline of straight segments. */
    public Drawn closed(double... xy) {
        List<Segment> segments = new ArrayList<>();
        int n = xy.length / 2;
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            segments.add(new Line(p(xy[2 * i], xy[2 * i + 1]), p(xy[2 * j], xy[2 * j + 1])));
        }
        return add("LWPOLYLINE", segments, true);
    }

    public Drawn rectangle(double x, double y, double width, double height) {
        return closed(x, y, x + width, y, x + width, y + height, x, y + height);
    }

    private Drawn add(String type, List<Segment> segments, boolean closed) {
        layers.putIfAbsent(layer, Layer.plain(layer));
        int ordinal = entities.size();
        entities.add(
                new Entity(
                        ordinal,
                        String.valueOf(ordinal + 1),
                        type,
                        Style.onLayer(layer),
                        10 * ordinal + 1,
                        "",
                        segments,
                        closed));
        return this;
    }

    /** Text at a place. */
    public Drawn label(String text, double x, double y) {
        labels.add(new Label(text, new Point(x, y)));
        return this;
    }

    public Drawing drawing() {
        return new Drawing(
                "test.dxf",
                Optional.of(LengthUnit.MILLIMETRE),
                LengthUnit.MILLIMETRE,
                false,
                List.copyOf(layers.values()),
                entities,
                List.of(),
                List.copyOf(labels),
                List.of(),
                List.of(),
                Fits.none(0.01));
    }

    public List<Entity> entities() {
        return List.copyOf(entities);
    }

    public Reading reading() {
        return new DrawingReading(ReadOptions.defaults()).read(drawing());
    }

    private static Point p(double x, double y) {
        return new Point(x, y);
    }
}
