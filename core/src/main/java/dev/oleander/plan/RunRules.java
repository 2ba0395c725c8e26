package dev.oleander.plan;

import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** What of a run must come before what, and what can be kept together. */
public final class RunRules {

    private final Map<String, ? extends Collection<String>> before;
    private final Why why;
    private final Function<Stop, ?> sort;

    /** Gives the reason, as the end of a sentence, why a stop must come after another. */
    public interface Why {
        String of(Stop stop, Stop must);
    }

    /**
     * @param before by id of a stop: ids of those that must come before it. What follows from two
     *     of them need not be said
     * @param sort what a stop is; only stops of one sort can be kept together
     */
    public RunRules(
            Map<String, ? extends Collection<String>> before, Why why, Function<Stop, ?> sort) {
        this.before = Map.copyOf(before);
        this.why = why;
        this.sort = sort;
    }

    /** A stop that comes before one that it must come after. */
    public record Breach(Stop stop, Stop must, String why) {

        public String sentence() {
            return "Stop %d (%s) must come after stop %d (%s): %s."
                    .formatted(stop.number(), stop.name(), must.number(), must.name(), why);
        }
    }

    /** Ids of those that must come before a stop. */
    Collection<String> before(Stop stop) {
        Collection<String> all = before.get(stop.id());
        return all == null ? List.of() : all;
    }

    /** The first place at which an order is not possible. */
    public Optional<Breach> breach(List<Stop> order) {
        Set<String> toCome = new HashSet<>();
        order.forEach(s -> toCome.add(s.id()));
        for (Stop stop : order) {
            toCome.remove(stop.id());
            Optional<String> must =
                    before(stop).stream().filter(toCome::contains).sorted().findFirst();
            if (must.isPresent()) {
                Stop late =
                        order.stream()
                                .filter(s -> s.id().equals(must.get()))
                                .findFirst()
                                .orElseThrow();
                return Optional.of(new Breach(stop, late, why.of(stop, late)));
            }
        }
        return Optional.empty();
    }

    /** Whether stops are of one sort, so that they can be kept together. */
    public boolean areAlike(Collection<Stop> stops) {
        return stops.stream().map(sort).distinct().count() == 1;
    }

    /** Whether stretches can be kept together with what must come before what. */
    public boolean permits(List<Stop> stops, List<List<String>> pins) {
        return Grouping.of(stops, pins, this).isKept();
    }

    /** A possible order, as near to the given one as can be, with stretches kept together. */
    public List<Stop> arranged(List<Stop> wished, List<List<String>> pins) {
        List<Stop> arranged = new ArrayList<>(wished.size());
        Grouping.of(wished, pins, this).groups().forEach(arranged::addAll);
        return arranged;
    }
}
