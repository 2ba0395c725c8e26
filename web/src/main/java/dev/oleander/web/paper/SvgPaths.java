package dev.oleander.web.paper;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.Locale;

/** Line work as path data of an SVG picture, with true arcs. */
public final class SvgPaths {

    private final Box box;
    private final double scale;
    private final double border;

    /**
     * @param box what the picture shows, mm
     * @param size of its longer side in the units of the picture
     * @param border round it
     */
    public SvgPaths(Box box, double size, double border) {
        this.box = box;
        this.scale = size / Math.max(Math.max(box.width(), box.height()), 1e-9);
        this.border = border;
    }

    public double width() {
        return box.width() * scale + 2 * border;
    }

    public double height() {
        return box.height() * scale + 2 * border;
    }

    /** A place in the picture, whose y axis points down. */
    public Point shown(Point p) {
        return new Point(
                (p.x() - box.min().x()) * scale + border, (box.max().y() - p.y()) * scale + border);
    }

    /** Adds a chain to path data. */
    public void append(StringBuilder svg, Chain chain) {
        Point start = shown(chain.start());
        svg.append(String.format(Locale.ROOT, "M%.2f %.2f", start.x(), start.y()));
        for (Segment segment : chain.segments()) {
            Point end = shown(segment.end());
            if (segment instanceof Arc arc) {
                double radius = arc.radius() * scale;
                svg.append(
                        String.format(
                                Locale.ROOT,
                                "A%.3f %.3f 0 %d %d %.2f %.2f",
                                radius,
                                radius,
                                Math.abs(arc.sweep()) > Math.PI ? 1 : 0,
                                arc.isLeft() ? 0 : 1,
                                end.x(),
                                end.y()));
            } else {
                svg.append(String.format(Locale.ROOT, "L%.2f %.2f", end.x(), end.y()));
            }
        }
        if (chain instanceof Contour) {
            svg.append('Z');
        }
    }
}
