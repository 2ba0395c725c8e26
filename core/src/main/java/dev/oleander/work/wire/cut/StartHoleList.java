package dev.oleander.work.wire.cut;

import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Locale;

/** The start holes of a job for the one who drills them. */
public final class StartHoleList {

    private StartHoleList() {}

    /** As a table: number, x, y, diameter in mm, stop, where it comes from. */
    public static String csv(List<StartHole> holes) {
        StringBuilder csv = new StringBuilder("number,x,y,diameter,stop,origin\r\n");
        for (int i = 0; i < holes.size(); i++) {
            StartHole hole = holes.get(i);
            csv.append(i + 1)
                    .append(',')
                    .append(Numbers.plain(hole.at().x(), 4))
                    .append(',')
                    .append(Numbers.plain(hole.at().y(), 4))
                    .append(',')
                    .append(Numbers.plain(hole.diameter(), 3))
                    .append(',')
                    .append(hole.stop())
                    .append(',')
                    .append(hole.given().label())
                    .append("\r\n");
        }
        return csv.toString();
    }

    /** As circles on the layer START_HOLES, mm. */
    public static String dxf(List<StartHole> holes) {
        StringBuilder dxf =
                new StringBuilder(
                        "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n");
        for (StartHole hole : holes) {
            dxf.append(
                    String.format(
                            Locale.ROOT,
                            "0\nCIRCLE\n8\nSTART_HOLES\n10\n%.6f\n20\n%.6f\n30\n0.0\n40\n%.6f\n",
                            hole.at().x(),
                            hole.at().y(),
                            hole.diameter() / 2));
        }
        return dxf.append("0\nENDSEC\n0\nEOF\n").toString();
    }
}
