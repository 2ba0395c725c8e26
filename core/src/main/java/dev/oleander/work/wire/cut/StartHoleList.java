package dev.oleander.work.wire.cut;

import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Contour;
import dev.oleander.quantity.Cells;
import dev.oleander.quantity.Numbers;
import java.util.List;

/** The start holes of a job for the one who drills them. */
public final class StartHoleList {

    private StartHoleList() {}

    /** As a table: number, x, y, diameter in mm, stop, where it comes from. */
    public static String csv(List<StartHole> holes) {
        StringBuilder csv =
                new StringBuilder(Cells.line("number", "x", "y", "diameter", "stop", "origin"));
        for (int i = 0; i < holes.size(); i++) {
            StartHole hole = holes.get(i);
            csv.append(
                    Cells.line(
                            i + 1,
                            Numbers.plain(hole.at().x(), 4),
                            Numbers.plain(hole.at().y(), 4),
                            Numbers.plain(hole.diameter(), 3),
                            hole.stop(),
                            hole.given().label()));
        }
        return csv.toString();
    }

    /** As circles on the layer START_HOLES, mm. */
    public static String dxf(List<StartHole> holes) {
        return DxfWriter.write(holes.stream().map(StartHoleList::circle).toList());
    }

    private static WrittenChain circle(StartHole hole) {
        Contour contour = Contour.circle(hole.at(), hole.diameter() / 2);
        return new WrittenChain("START_HOLES", contour, true);
    }
}
