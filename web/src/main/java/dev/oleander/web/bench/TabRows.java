package dev.oleander.web.bench;

import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.List;

/** Rows of the slip about tabs that are put by pointing. */
public final class TabRows {

    private TabRows() {}

    /**
     * @param byHand how many stand where somebody put them
     */
    public static List<SlipRow> of(int byHand, List<Stop> stops) {
        List<SlipRow> rows = new ArrayList<>();
        if (byHand > 0) {
            rows.add(
                    SlipRow.Fixed.byHand(
                            "By hand",
                            byHand + " put by hand",
                            "tabs.at",
                            "Take away tabs put by hand"));
        }
        if (stops.size() == 1 && stops.get(0).path().isPresent()) {
            rows.add(
                    new SlipRow.Tools(
                            List.of(
                                    new SlipRow.Tools.Part(
                                            "put-tabs", "Put tabs by pointing, or drag them")),
                            false));
        }
        return rows;
    }
}
