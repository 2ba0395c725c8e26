package dev.oleander.work.sheet.order;

import dev.oleander.plan.Grouping;
import dev.oleander.plan.stop.Stop;
import java.util.List;

/**
 * Stops gathered into units by what is pinned, with what must come before what among them.
 *
 * @param units in an order that is permitted
 * @param after for each unit, numbers of those that must come before it
 */
record Units(List<Unit> units, List<List<Integer>> after) {

    /**
     * @param stops in a permitted order; all with a path
     * @param pins stretches of ids; those of stops that are not there are passed over
     */
    static Units of(List<Stop> stops, List<List<String>> pins, Precedence precedence) {
        Grouping grouping = Grouping.of(stops, pins, precedence.rules(stops));
        return new Units(grouping.groups().stream().map(Unit::new).toList(), grouping.after());
    }
}
