package dev.oleander.drawing.write;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.List;
import java.util.Locale;

/** Writes DXF of the year 2000 form that every reader takes: polylines with bulges, circles, mm. */
public final class DxfWriter {

    private static final int MILLIMETRES = 4;

    private final StringBuilder out = new StringBuilder();
    private int handle = 0x100;

    private DxfWriter() {}

    /** The text of a file. */
    public static String write(List<WrittenChain> chains) {
        return new DxfWriter().file(chains);
    }

    private String file(List<WrittenChain> chains) {
        pair(0, "SECTION").pair(2, "HEADER");
        pair(9, "$INSUNITS").pair(70, MILLIMETRES);
        pair(0, "ENDSEC");
        layers(chains.stream().map(WrittenChain::layer).distinct().toList());
        pair(0, "SECTION").pair(2, "ENTITIES");
        chains.forEach(this::entity);
        pair(0, "ENDSEC").pair(0, "EOF");
        return out.toString();
    }

    private void layers(List<String> names) {
        pair(0, "SECTION").pair(2, "TABLES").pair(0, "TABLE").pair(2, "LAYER");
        pair(70, names.size());
        for (String name : names) {
            pair(0, "LAYER").pair(2, oneLine(name)).pair(70, 0).pair(62, 7).pair(6, "CONTINUOUS");
        }
        pair(0, "ENDTAB").pair(0, "ENDSEC");
    }

    private static String oneLine(String text) {
        return text.replaceAll("[\\r\\n]", " ");
    }

    private void entity(WrittenChain written) {
        if (written.circle()) {
            Box box = written.chain().box();
            head("CIRCLE", written);
            place(10, box.centre()).number(40, box.width() / 2);
            return;
        }
        Chain chain = written.chain();
        List<Segment> segments = chain.segments();
        boolean closed = chain instanceof Contour;
        head("LWPOLYLINE", written);
        pair(90, segments.size() + (closed ? 0 : 1)).pair(70, closed ? 1 : 0);
        for (Segment segment : segments) {
            place(10, segment.start());
            if (segment.bulge() != 0) {
                number(42, segment.bulge());
            }
        }
        if (!closed) {
            place(10, chain.end());
        }
    }

    private void head(String type, WrittenChain written) {
        pair(0, type).pair(5, Integer.toHexString(handle++).toUpperCase(Locale.ROOT));
        pair(8, oneLine(written.layer()));
    }

    private DxfWriter place(int code, Point p) {
        return number(code, p.x()).number(code + 10, p.y());
    }

    /** All digits a number has, so that nothing moves on the way. */
    private DxfWriter number(int code, double value) {
        return pair(code, Double.toString(value));
    }

    private DxfWriter pair(int code, Object value) {
        out.append(code).append('\n').append(value).append('\n');
        return this;
    }
}
