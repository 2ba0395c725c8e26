package dev.oleander.motion;

import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** The way of the head as a DXF drawing: what is cut, what is marked, and the ways between. */
public final class PathDxf {

    private final List<WrittenChain> chains = new ArrayList<>();
    private final List<Segment> run = new ArrayList<>();
    private String layer = "";

    private PathDxf() {}

    /** The text of a file with the layers CUT, MARK and TRAVEL, and UPPER for an upper guide. */
    public static String write(Program program) {
        PathDxf drawing = new PathDxf();
        PathDxf upper = new PathDxf();
        boolean marks = false;
        for (Item item : program.items()) {
            if (item instanceof Item.Event event) {
                marks =
                        event.kind() == EventKind.MARK_ON
                                || (marks && event.kind() != EventKind.PIERCE);
            } else if (item instanceof Item.Rapid rapid) {
                drawing.add("TRAVEL", new Line(rapid.from(), rapid.to()));
            } else if (item instanceof Item.AtFeed feed) {
                String layer = !feed.on() ? "TRAVEL" : marks ? "MARK" : "CUT";
                feed.way().ifPresent(segment -> drawing.add(layer, segment));
                if (feed instanceof Item.TwoPlane both && both.upper().length() > 0) {
                    upper.add("UPPER", new Line(both.upper().from(), both.upper().to()));
                }
            }
        }
        drawing.end();
        upper.end();
        drawing.chains.addAll(upper.chains);
        return DxfWriter.write(drawing.chains);
    }

    private void add(String of, Segment segment) {
        boolean goesOn =
                !run.isEmpty()
                        && of.equals(layer)
                        && run.get(run.size() - 1).end().equals(segment.start());
        if (!goesOn) {
            end();
        }
        layer = of;
        run.add(segment);
    }

    private void end() {
        if (!run.isEmpty()) {
            chains.add(new WrittenChain(layer, new Path(run), false));
            run.clear();
        }
    }
}
