package dev.oleander.plan;

import dev.oleander.machine.Machine;
import java.util.List;
import java.util.Optional;

/**
 * The ordered cuts for one machine and one clamping of the stock.
 *
 * @param drilled holes that are left for drilling, with or without a mark
 */
public record Run(
        Machine machine,
        OrderRule order,
        SheetLayout layout,
        List<Stop> stops,
        List<DrillHole> drilled) {

    public Run {
        stops = List.copyOf(stops);
        drilled = List.copyOf(drilled);
    }

    public Optional<Stop> stop(String id) {
        return stops.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** Stops that cannot be cut as they are set. */
    public List<Stop> refused() {
        return stops.stream().filter(s -> s.refusal().isPresent()).toList();
    }
}
