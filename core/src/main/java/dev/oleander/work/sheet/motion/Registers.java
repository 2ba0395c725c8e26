package dev.oleander.work.sheet.motion;

import dev.oleander.machine.Compensation;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.List;

/**
 * Registers of a controller that offsets paths: for each row of cutting data one that holds half
 * the kerf, and one for wear, which begins at 0.
 */
public final class Registers {

    /** Between the register of a row and that for its wear. */
    private static final int WEAR = 50;

    private Registers() {}

    /**
     * Number of the register of a stop.
     *
     * @param rows of the run, in the order of {@link DataTable}
     */
    public static int of(Stop stop, List<CutRow> rows) {
        int row = rows.indexOf(SheetCut.of(stop).row().orElseThrow()) + 1;
        return stop.compensation() == Compensation.BOTH ? row + WEAR : row;
    }

    /** mm that the register of a stop holds to begin with. */
    public static double value(Stop stop) {
        return stop.compensation() == Compensation.CONTROLLER
                ? SheetCut.of(stop).row().orElseThrow().kerf() / 2
                : 0;
    }
}
