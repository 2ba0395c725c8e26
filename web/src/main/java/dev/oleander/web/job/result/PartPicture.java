package dev.oleander.web.job.result;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.paper.SvgPaths;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;

/** Draws what a drawing was read as, as SVG with true arcs: kept material filled, lines over it. */
final class PartPicture {

    /** Height and width of the picture without its border, in its own units. */
    private static final double SIZE = 200;

    private static final double BORDER = 6;

    /** Lines and arcs from which on what is too small to be seen is left out. */
    private static final int MANY = 3_000;

    /** Units of the picture: what is smaller is a dot. */
    private static final int DOT = 4;

    /** Units of the picture: corners that are nearer to each other are one. */
    private static final double LEAST = 0.5;

    private final Reading reading;
    private final Spread spread;
    private final Box box;
    private final SvgPaths paths;
    private final double least;
    private final Set<Long> dotted = new HashSet<>();

    PartPicture(Reading reading) {
        this.reading = reading;
        this.spread = new Spread(reading);
        this.box = spread.isSeveral() ? spread.box(reading) : reading.workBox();
        this.paths = new SvgPaths(box, SIZE, BORDER);
        long segments =
                reading.features().stream().mapToLong(f -> f.chain().segments().size()).sum();
        this.least = segments > MANY ? LEAST : 0;
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
        StringBuilder dots = new StringBuilder();
        for (Part part : reading.parts()) {
            Region region = part.region().transformed(spread.of(part.id()));
            if (isDot(region.outer().box())) {
                dot(dots, region.outer().box());
            } else {
                appendPart(svg, region);
            }
        }
        if (!dots.isEmpty()) {
            svg.append("<path class=\"kept\" d=\"").append(dots).append("\"/>");
        }
        for (Feature feature : reading.features()) {
            boolean bounding = feature.purpose() == Purpose.CUT && feature.isClosed();
            boolean seen = !bounding && feature.purpose() != Purpose.IGNORE;
            if (seen && !isDot(feature.chain().box())) {
                svg.append("<path class=\"")
                        .append(feature.purpose() == Purpose.CUT ? "loose" : "mark")
                        .append("\" d=\"");
                paths.append(svg, feature.chain().transformed(spread.of(feature.id())), least);
                svg.append("\"/>");
            }
        }
        return svg.append("</svg>").toString();
    }

    private void appendPart(StringBuilder svg, Region region) {
        svg.append("<path class=\"kept\" fill-rule=\"evenodd\" d=\"");
        for (Contour contour : region.contours()) {
            if (!isDot(contour.box())) {
                paths.append(svg, contour, least);
            }
        }
        svg.append("\"/>");
    }

    private boolean isDot(Box of) {
        return least > 0 && paths.extent(of) < DOT;
    }

    /** A square that stands for all that is too small there. */
    private void dot(StringBuilder svg, Box of) {
        Point centre = paths.shown(of.centre());
        long column = (long) (centre.x() / DOT);
        long row = (long) (centre.y() / DOT);
        if (dotted.add(row << 32 | column)) {
            svg.append("M%d %dh%dv%dh-%dz".formatted(column * DOT, row * DOT, DOT, DOT, DOT));
        }
    }

    private String label() {
        return "%s by %s mm"
                .formatted(Numbers.plain(box.width(), 1), Numbers.plain(box.height(), 1));
    }
}
