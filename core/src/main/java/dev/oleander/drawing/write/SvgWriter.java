package dev.oleander.drawing.write;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Writes SVG in mm, one group for each layer; the page is as large as the drawing. */
public final class SvgWriter {

    private final Box box;
    private final StringBuilder out = new StringBuilder();

    private SvgWriter(Box box) {
        this.box = box;
    }

    /**
     * The text of a file.
     *
     * @param box of all chains, mm
     */
    public static String write(List<WrittenChain> chains, Box box) {
        return new SvgWriter(box).file(chains);
    }

    private String file(List<WrittenChain> chains) {
        out.append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        out.append("<svg xmlns=\"http://www.w3.org/2000/svg\"")
                .append(" width=\"%smm\" height=\"%smm\"".formatted(box.width(), box.height()))
                .append(" viewBox=\"0 0 %s %s\">%n".formatted(box.width(), box.height()));
        Map<String, List<WrittenChain>> byLayer = new LinkedHashMap<>();
        chains.forEach(c -> byLayer.computeIfAbsent(c.layer(), l -> new ArrayList<>()).add(c));
        byLayer.forEach(this::group);
        return out.append("</svg>\n").toString();
    }

    private void group(String layer, List<WrittenChain> chains) {
        out.append(
                "<g id=\"%s\" fill=\"none\" stroke=\"black\" stroke-width=\"0.1\">%n"
                        .formatted(escaped(layer)));
        chains.forEach(this::path);
        out.append("</g>\n");
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }

    private void path(WrittenChain written) {
        if (written.circle()) {
            Box round = written.chain().box();
            out.append(
                    "<circle cx=\"%s\" cy=\"%s\" r=\"%s\"/>%n"
                            .formatted(
                                    x(round.centre().x()),
                                    y(round.centre().y()),
                                    round.width() / 2));
            return;
        }
        out.append("<path d=\"M ");
        place(written.chain().segments().get(0).start().x(), written.chain().start().y());
        written.chain().segments().forEach(this::segment);
        out.append(written.chain() instanceof Contour ? " Z\"/>\n" : "\"/>\n");
    }

    private void segment(Segment segment) {
        if (segment instanceof Arc arc) {
            // the page counts y down, so that what turns left turns right on it
            out.append(
                    " A %s %s 0 %d %d "
                            .formatted(
                                    arc.radius(),
                                    arc.radius(),
                                    Math.abs(arc.sweep()) > Math.PI ? 1 : 0,
                                    arc.isLeft() ? 0 : 1));
        } else {
            out.append(" L ");
        }
        place(segment.end().x(), segment.end().y());
    }

    private void place(double px, double py) {
        out.append(x(px)).append(' ').append(y(py));
    }

    private double x(double px) {
        return px - box.min().x();
    }

    private double y(double py) {
        return box.max().y() - py;
    }
}
