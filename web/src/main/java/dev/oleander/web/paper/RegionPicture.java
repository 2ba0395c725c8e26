package dev.oleander.web.paper;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Region;
import java.util.List;
import java.util.Locale;

/** Draws regions as SVG with true arcs; styled by classes of the page. */
public final class RegionPicture {

    /** Units of the picture: corners that are nearer to each other are one. */
    private static final double LEAST = 0.3;

    private RegionPicture() {}

    /**
     * One region, seen as a decoration.
     *
     * @param size of its longer side in the units of the picture
     */
    public static String of(Region region, double size) {
        return svg(region.box(), List.of(region), size, "aria-hidden=\"true\"");
    }

    /**
     * Regions within a box.
     *
     * @param label for those who do not see it
     */
    public static String of(Box box, List<Region> regions, double size, String label) {
        return svg(box, regions, size, "role=\"img\" aria-label=\"%s\"".formatted(label));
    }

    private static String svg(Box box, List<Region> regions, double size, String told) {
        SvgPaths paths = new SvgPaths(box, size, 1);
        StringBuilder svg =
                new StringBuilder(
                        String.format(
                                Locale.ROOT,
                                "<svg viewBox=\"0 0 %.1f %.1f\" class=\"part-picture\" %s>",
                                paths.width(),
                                paths.height(),
                                told));
        for (Region region : regions) {
            svg.append("<path class=\"kept\" fill-rule=\"evenodd\" d=\"");
            region.contours().forEach(contour -> paths.append(svg, contour, LEAST));
            svg.append("\"/>");
        }
        return svg.append("</svg>").toString();
    }
}
