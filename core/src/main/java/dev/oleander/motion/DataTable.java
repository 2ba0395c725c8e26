package dev.oleander.motion;

import dev.oleander.machine.CutRow;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import java.util.List;
import java.util.Optional;

/** The rows of cutting data a run uses, in order of first use: row 1, row 2, ... of its program. */
public final class DataTable {

    private DataTable() {}

    public static List<CutRow> of(Run run) {
        return run.stops().stream()
                .filter(s -> s.path().isPresent())
                .map(Stop::row)
                .flatMap(Optional::stream)
                .distinct()
                .toList();
    }
}
