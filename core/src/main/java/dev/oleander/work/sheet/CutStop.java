package dev.oleander.work.sheet;

import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.List;

/**
 * What the values of a stop on a sheet are asked of.
 *
 * @param usualTab what the machine's tabs usually leave standing, mm
 * @param qualities that the cut book has for the job
 */
record CutStop(Stop stop, double usualTab, List<String> qualities) {

    /** What a tab leaves standing: the gap less the kerf that eats into it from both ends, mm. */
    double uncut() {
        return stop.tabs().isEmpty()
                ? usualTab
                : stop.tabs().get(0).to()
                        - stop.tabs().get(0).from()
                        - SheetCut.of(stop).row().orElseThrow().kerf();
    }

    long cuttingPasses() {
        return stop.passes().stream().filter(pass -> !pass.film()).count();
    }

    boolean burnsFilm() {
        return stop.passes().stream().anyMatch(pass -> pass.film());
    }
}
