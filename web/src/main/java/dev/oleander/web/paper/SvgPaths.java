package dev.oleander.web.paper;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;

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
        place(svg.append('M'), last);
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
                place(svg.append('L'), end);
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
        number(svg.append('A'), radius, 3);
        number(svg.append(' '), radius, 3);
        svg.append(Math.abs(arc.sweep()) > Math.PI ? " 0 1 " : " 0 0 ");
        place(svg.append(arc.isLeft() ? "0 " : "1 "), end);
    }

    private static void place(StringBuilder svg, Point at) {
        number(svg, at.x(), 2);
        number(svg.append(' '), at.y(), 2);
    }

    /**
     * Adds a number without needless zeros. Pages have thousands of them, and formatting by a
     * pattern takes longer than all else about a picture.
     *
     * @param decimals at most 9
     */
    public static void number(StringBuilder text, double value, int decimals) {
        long unit = 1;
        for (int i = 0; i < decimals; i++) {
            unit *= 10;
        }
        long rounded = Math.round(Math.abs(value) * unit);
        if (value < 0 && rounded > 0) {
            text.append('-');
        }
        text.append(rounded / unit);
        long rest = rounded % unit;
        if (rest > 0) {
            text.append('.');
            for (long digit = unit / 10; rest > 0; digit /= 10) {
                text.append((char) ('0' + rest / digit));
                rest %= digit;
            }
        }
    }
}
