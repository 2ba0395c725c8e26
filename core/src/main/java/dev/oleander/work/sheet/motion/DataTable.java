package dev.oleander.work.sheet.motion;

import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The rows of cutting data a run uses, in order of first use: row 1, row 2, ... of its program. */
public final class DataTable {

    private DataTable() {}

    public static List<CutRow> of(Run run) {
        Set<CutRow> rows = new LinkedHashSet<>();
        CutRow last = null;
        for (Stop stop : run.stops()) {
            CutRow row = stop.path().isPresent() ? SheetCut.of(stop).row().orElse(null) : null;
            // most stops use the very row of the one before
            if (row != null && row != last) {
                rows.add(row);
                last = row;
            }
        }
        return List.copyOf(rows);
    }
}
