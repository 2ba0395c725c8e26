package dev.oleander.work.sheet.motion;

import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;

/** Gas, abrasive, energy and wear, by the cut book. */
public final class RunningCost {

    private RunningCost() {}

    /** Of one sheet, money. */
    public static double of(Run run, Timeline timeline) {
        double sum = 0;
        for (Stop stop : run.stops()) {
            if (stop.path().isPresent() && SheetCut.of(stop).row().isPresent()) {
                CutRow.Cost cost = SheetCut.of(stop).row().get().cost();
                Seconds seconds = timeline.byStop().get(stop.id());
                double hours = (seconds.cutting() + seconds.piercing()) / 3600;
                int pierces = stop.kind() == Stop.Kind.MARK ? 0 : 1 + stop.tabs().size();
                sum += hours * cost.hour() + pierces * cost.pierce();
            }
        }
        return sum;
    }
}
