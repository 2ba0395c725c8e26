package dev.oleander.plan;

import dev.oleander.machine.Machine;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.DrillHole;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Named;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The ordered cuts for one machine and one clamping of the stock.
 *
 * @param order the rule by which the stops were put in order
 * @param events what happens at stops besides their cuts, by id; stops without any are not in it
 * @param drilled holes that are left for drilling, with or without a mark
 */
public record Run(
        Machine machine,
        Named order,
        SheetLayout layout,
        List<Stop> stops,
        Map<String, List<StopEvent>> events,
        List<DrillHole> drilled) {

    public Run {
        stops = List.copyOf(stops);
        events = Map.copyOf(events);
        drilled = List.copyOf(drilled);
    }

    /** What happens at a stop besides its cut. */
    public List<StopEvent> eventsOf(Stop stop) {
        return events.getOrDefault(stop.id(), List.of());
    }

    public Optional<Stop> stop(String id) {
        return stops.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** Stops that have a path, in their order. */
    public List<Stop> cut() {
        return stops.stream().filter(s -> s.path().isPresent()).toList();
    }

    /** The same run with some of its stops only, by id, and without holes to be drilled. */
    public Run only(Set<String> ids) {
        List<Stop> some = stops.stream().filter(s -> ids.contains(s.id())).toList();
        return new Run(machine, order, layout, some, events, List.of());
    }

    /** Stops that cannot be cut as they are set. */
    public List<Stop> refused() {
        return stops.stream().filter(s -> s.refusal().isPresent()).toList();
    }
}
