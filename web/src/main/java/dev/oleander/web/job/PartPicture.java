package dev.oleander.web.job;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import java.util.Locale;

/** Draws what a drawing was read as, as SVG with true arcs: kept material filled, lines over it. */
final class PartPicture {

    /** Height and width of the picture without its border, in its own units. */
    private static final double SIZE = 200;

    private static final double BORDER = 6;

    private final Reading reading;
    private final Box box;
    private final double scale;

    PartPicture(Reading reading) {
        this.reading = reading;
        this.box = reading.workBox();
        this.scale = SIZE / Math.max(Math.max(box.width(), box.height()), 1e-9);
    }

    /** An svg element without size, so that the page decides; styled by classes of the page. */
    String svg() {
        StringBuilder svg = new StringBuilder();
        svg.append(
                String.format(
                        Locale.ROOT,
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.1f %.1f\" "
                                + "class=\"part-picture\" role=\"img\" aria-label=\"%s\">",
                        box.width() * scale + 2 * BORDER,
                        box.height() * scale + 2 * BORDER,
                        label()));
        for (Part part : reading.parts()) {
            svg.append("<path class=\"kept\" fill-rule=\"evenodd\" d=\"");
            part.region().contours().forEach(c -> append(svg, c));
            svg.append("\"/>");
        }
        for (Feature feature : reading.features()) {
            boolean bounding = feature.purpose() == Purpose.CUT && feature.isClosed();
            if (!bounding && feature.purpose() != Purpose.IGNORE) {
                svg.append("<path class=\"")
                        .append(feature.purpose() == Purpose.CUT ? "loose" : "mark")
                        .append("\" d=\"");
                append(svg, feature.chain());
                svg.append("\"/>");
            }
        }
        return svg.append("</svg>").toString();
    }

    private String label() {
        return "%s by %s mm"
                .formatted(Numbers.plain(box.width(), 1), Numbers.plain(box.height(), 1));
    }

    private void append(StringBuilder svg, Chain chain) {
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

    /** The picture's y axis points down. */
    private Point shown(Point p) {
        return new Point(
                (p.x() - box.min().x()) * scale + BORDER, (box.max().y() - p.y()) * scale + BORDER);
    }
}
