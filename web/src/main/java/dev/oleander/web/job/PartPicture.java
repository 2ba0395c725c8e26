package dev.oleander.web.job;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.paper.SvgPaths;
import java.util.Locale;

/** Draws what a drawing was read as, as SVG with true arcs: kept material filled, lines over it. */
final class PartPicture {

    /** Height and width of the picture without its border, in its own units. */
    private static final double SIZE = 200;

    private static final double BORDER = 6;

    private final Reading reading;
    private final Box box;
    private final SvgPaths paths;

    PartPicture(Reading reading) {
        this.reading = reading;
        this.box = reading.workBox();
        this.paths = new SvgPaths(box, SIZE, BORDER);
    }

    /** An svg element without size, so that the page decides; styled by classes of the page. */
    String svg() {
        StringBuilder svg = new StringBuilder();
        svg.append(
                String.format(
                        Locale.ROOT,
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.1f %.1f\" "
                                + "class=\"part-picture\" role=\"img\" aria-label=\"%s\">",
                        paths.width(),
                        paths.height(),
                        label()));
        for (Part part : reading.parts()) {
            svg.append("<path class=\"kept\" fill-rule=\"evenodd\" d=\"");
            part.region().contours().forEach(c -> paths.append(svg, c));
            svg.append("\"/>");
        }
        for (Feature feature : reading.features()) {
            boolean bounding = feature.purpose() == Purpose.CUT && feature.isClosed();
            if (!bounding && feature.purpose() != Purpose.IGNORE) {
                svg.append("<path class=\"")
                        .append(feature.purpose() == Purpose.CUT ? "loose" : "mark")
                        .append("\" d=\"");
                paths.append(svg, feature.chain());
                svg.append("\"/>");
            }
        }
        return svg.append("</svg>").toString();
    }

    private String label() {
        return "%s by %s mm"
                .formatted(Numbers.plain(box.width(), 1), Numbers.plain(box.height(), 1));
    }
}
