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

    /** The longer side of a box in the units of the picture. */
    public double extent(Box of) {
        return scale * Math.max(of.width(), of.height());
    }

    /** Adds a chain to path data. */
    public void append(StringBuilder svg, Chain chain) {
        append(svg, chain, 0);
    }

    /**
     * Adds a chain to path data, and passes over what is too small to be seen.
     *
     * @param least units of the picture; what leads less far is drawn together with what follows
     */
    public void append(StringBuilder svg, Chain chain, double least) {
        Point last = shown(chain.start());
        svg.append(String.format(Locale.ROOT, "M%.2f %.2f", last.x(), last.y()));
        boolean passedOver = false;
        for (Segment segment : chain.segments()) {
            Point end = shown(segment.end());
            if (end.distance(last) < least && extent(segment.box()) < least) {
                passedOver = true;
                continue;
            }
            if (segment instanceof Arc arc && !passedOver) {
                append(svg, arc, end);
            } else {
                svg.append(String.format(Locale.ROOT, "L%.2f %.2f", end.x(), end.y()));
            }
            last = end;
            passedOver = false;
        }
        if (chain instanceof Contour) {
            svg.append('Z');
        }
    }

    private void append(StringBuilder svg, Arc arc, Point end) {
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
    }
}
