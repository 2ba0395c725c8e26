package dev.oleander.web.product;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.web.paper.SvgPaths;
import java.util.Locale;
import org.springframework.web.util.HtmlUtils;

/** An SVG picture that is put together: line work, words, links. */
final class SvgFigure {

    private static final double BORDER = 14;

    private final StringBuilder svg = new StringBuilder();
    private final SvgPaths paths;

    /**
     * @param box what it shows, mm
     * @param size of its longer side in the units of the picture
     * @param label for those who do not see it
     */
    SvgFigure(Box box, double size, String label) {
        this.paths = new SvgPaths(box, size, BORDER);
        svg.append(
                String.format(
                        Locale.ROOT,
                        "<svg viewBox=\"0 0 %.1f %.1f\" class=\"panel-picture\" role=\"group\" aria-label=\"%s\">",
                        paths.width(),
                        paths.height(),
                        HtmlUtils.htmlEscape(label)));
    }

    void path(Chain chain, String css) {
        svg.append("<path class=\"").append(css).append("\" d=\"");
        paths.append(svg, chain);
        svg.append("\"/>");
    }

    /** Words about a place, which lies in their middle. */
    void text(Point at, String words, String css) {
        Point shown = paths.shown(at);
        svg.append(
                String.format(
                        Locale.ROOT,
                        "<text class=\"%s\" x=\"%.1f\" y=\"%.1f\">%s</text>",
                        css,
                        shown.x(),
                        shown.y(),
                        HtmlUtils.htmlEscape(words)));
    }

    /** Begins the picture of a feature, which is a link to it. */
    void open(String feature, String css, String title) {
        String id = HtmlUtils.htmlEscape(feature);
        svg.append("<a href=\"?feature=")
                .append(id)
                .append("\" class=\"")
                .append(css)
                .append("\" aria-label=\"")
                .append(HtmlUtils.htmlEscape(title))
                .append("\"><title>")
                .append(HtmlUtils.htmlEscape(title))
                .append("</title>");
    }

    void close() {
        svg.append("</a>");
    }

    String svg() {
        return svg + "</svg>";
    }
}
