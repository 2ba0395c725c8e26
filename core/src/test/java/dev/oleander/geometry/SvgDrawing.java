package dev.oleander.geometry;

import dev.oleander.geometry.flat.Vertices;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A small drawing of lines, arcs and points, for the pages that explain the algorithms. */
public final class SvgDrawing {

    private static final double MARGIN = 8;

    private final List<String> parts = new ArrayList<>();
    private final double scale;
    private Box box;

    /**
     * @param scale pixels per mm
     */
    public SvgDrawing(double scale) {
        this.scale = scale;
    }

    public SvgDrawing chain(Chain chain, String style) {
        grow(chain.box());
        parts.add("<path style=\"%s\" d=\"%s\"/>".formatted(style, path(chain.vertices())));
        return this;
    }

    public SvgDrawing segment(Segment segment, String style) {
        return chain(new Path(List.of(segment)), style);
    }

    public SvgDrawing dot(Point p, double radius, String style) {
        grow(new Box(p, p));
        parts.add(
                line(
                        "<circle style=\"%s\" cx=\"%.2f\" cy=\"%.2f\" r=\"%.2f\"/>",
                        style, x(p.x()), y(p.y()), radius));
        return this;
    }

    public SvgDrawing text(Point p, String text) {
        grow(new Box(p, p));
        parts.add(
                line(
                        "<text font-family=\"sans-serif\" font-size=\"13\" x=\"%.2f\" y=\"%.2f\">%s</text>",
                        x(p.x()), y(p.y()), text));
        return this;
    }

    private void grow(Box more) {
        box = box == null ? more : box.union(more);
    }

    private double x(double mm) {
        return mm * scale;
    }

    private double y(double mm) {
        return -mm * scale;
    }

    private String path(Vertices v) {
        StringBuilder d = new StringBuilder(line("M%.2f %.2f", x(v.x(0)), y(v.y(0))));
        for (int i = 0; i < v.edges(); i++) {
            int j = v.endOf(i);
            if (v.bulge(i) == 0) {
                d.append(line("L%.2f %.2f", x(v.x(j)), y(v.y(j))));
            } else {
                Arc arc = new Arc(new Point(v.x(i), v.y(i)), new Point(v.x(j), v.y(j)), v.bulge(i));
                // y points down on the page, so an arc to the left sweeps against its clock
                d.append(
                        line(
                                "A%.2f %.2f 0 %d %d %.2f %.2f",
                                arc.radius() * scale,
                                arc.radius() * scale,
                                Math.abs(arc.bulge()) > 1 ? 1 : 0,
                                arc.isLeft() ? 0 : 1,
                                x(v.x(j)),
                                y(v.y(j))));
            }
        }
        return v.isClosed() ? d.append("Z").toString() : d.toString();
    }

    private static String line(String format, Object... values) {
        return String.format(Locale.ROOT, format, values);
    }

    @Override
    public String toString() {
        double width = box.width() * scale + 2 * MARGIN;
        double height = box.height() * scale + 2 * MARGIN;
        String head =
                line(
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\" viewBox=\"%.2f %.2f %.2f %.2f\">",
                        width,
                        height,
                        x(box.min().x()) - MARGIN,
                        y(box.max().y()) - MARGIN,
                        width,
                        height);
        return head
                + "\n<rect x=\"-9999\" y=\"-9999\" width=\"19998\" height=\"19998\" fill=\"#fff\"/>\n"
                + String.join("\n", parts)
                + "\n</svg>\n";
    }
}
