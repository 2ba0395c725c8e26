package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.Collector;
import dev.oleander.drawing.intake.Outline;
import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.List;

/** Turns shapes into outlines on the page, in mm. */
final class ShapeBuilder {

    private final Transform map;
    private final View view;
    private final PathWriter writer;

    /**
     * @param view what percentages are shares of
     */
    ShapeBuilder(Collector collector, Transform map, View view) {
        this.map = map;
        this.view = view;
        this.writer = new PathWriter(collector, map);
    }

    /**
     * @throws UnreadableException when its numbers do not make a shape
     */
    List<Outline> build(SvgNode node) {
        double area = Math.abs(map.a() * map.d() - map.b() * map.c());
        double size = Math.hypot(map.a(), map.b()) * Math.hypot(map.c(), map.d());
        if (!(area > 1e-9 * size)) {
            throw new UnreadableException("its transform squeezes it to a line");
        }
        switch (node.name()) {
            case "path" -> path(node);
            case "rect" -> rect(node);
            case "circle" -> {
                double r = positive(node, "r");
                ellipse(node, r, r);
            }
            case "ellipse" -> ellipse(node, positive(node, "rx"), positive(node, "ry"));
            case "line" -> line(node);
            default -> points(node);
        }
        return writer.outlines();
    }

    private double positive(SvgNode node, String attribute) {
        double value = Lengths.user(node, attribute, 0, view);
        if (!(value > 0)) {
            throw new UnreadableException(
                    "its %s is %s".formatted(attribute, node.text(attribute)));
        }
        return value;
    }

    private void path(SvgNode node) {
        new PathData(node.text("d"), writer).draw();
    }

    private void rect(SvgNode node) {
        double x = Lengths.user(node, "x", 0, view);
        double y = Lengths.user(node, "y", 0, view);
        double w = positive(node, "width");
        double h = positive(node, "height");
        double givenX = Lengths.user(node, "rx", Double.NaN, view);
        double givenY = Lengths.user(node, "ry", Double.NaN, view);
        // one radius that is missing is like the other (SVG 1.1, 9.2)
        double rx = Math.min(w / 2, orElse(givenX, orElse(givenY, 0)));
        double ry = Math.min(h / 2, orElse(givenY, orElse(givenX, 0)));
        writer.move(x + rx, y);
        writer.line(x + w - rx, y);
        corner(rx, ry, x + w, y + ry);
        writer.line(x + w, y + h - ry);
        corner(rx, ry, x + w - rx, y + h);
        writer.line(x + rx, y + h);
        corner(rx, ry, x, y + h - ry);
        writer.line(x, y + ry);
        corner(rx, ry, x + rx, y);
        writer.closePath();
    }

    private static double orElse(double value, double otherwise) {
        return Double.isNaN(value) ? otherwise : value;
    }

    private void corner(double rx, double ry, double x, double y) {
        if (rx > 0 && ry > 0) {
            writer.ellipticalArc(rx, ry, 0, false, true, x, y);
        }
    }

    private void ellipse(SvgNode node, double rx, double ry) {
        Point centre =
                new Point(Lengths.user(node, "cx", 0, view), Lengths.user(node, "cy", 0, view));
        writer.move(centre.x() + rx, centre.y());
        Transform toEllipse = new Transform(rx, 0, 0, ry, centre.x(), centre.y());
        writer.arcOf(toEllipse, Arc.about(Point.ORIGIN, 1, 0, Math.PI));
        writer.arcOf(toEllipse, Arc.about(Point.ORIGIN, 1, Math.PI, Math.PI));
        writer.closePath();
    }

    private void line(SvgNode node) {
        writer.move(Lengths.user(node, "x1", 0, view), Lengths.user(node, "y1", 0, view));
        writer.line(Lengths.user(node, "x2", 0, view), Lengths.user(node, "y2", 0, view));
    }

    private void points(SvgNode node) {
        Scanner scanner = new Scanner(node.text("points"), "list of points");
        boolean first = true;
        while (scanner.isAtNumber()) {
            double x = scanner.number();
            double y = scanner.number();
            if (first) {
                writer.move(x, y);
            } else {
                writer.line(x, y);
            }
            first = false;
        }
        if (scanner.hasMore()) {
            throw scanner.broken();
        }
        if (node.name().equals("polygon")) {
            writer.closePath();
        }
    }
}
