package dev.oleander.plan.wire;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What of a wire's run must come before what. */
public final class WireOrderCheck {

    private final Map<String, Set<String>> before = new HashMap<>();

    WireOrderCheck(List<SubjectPlan> plans) {
        Map<String, List<String>> visitsOf = new HashMap<>();
        for (SubjectPlan plan : plans) {
            visitsOf.put(plan.id(), plan.visits().stream().map(WireVisit::stop).toList());
        }
        for (SubjectPlan plan : plans) {
            String earlier = null;
            for (WireVisit visit : plan.visits()) {
                Set<String> must = before.computeIfAbsent(visit.stop(), k -> new HashSet<>());
                if (earlier != null) {
                    must.add(earlier);
                }
                if (visit.frees()) {
                    plan.inside().forEach(in -> must.addAll(visitsOf.getOrDefault(in, List.of())));
                }
                earlier = visit.stop();
            }
        }
    }

    /** Ids of a plan's visits that must come first and are among those still to come. */
    List<String> blockers(String stop, Collection<String> toCome) {
        List<String> blockers = new ArrayList<>();
        for (String must : before.getOrDefault(stop, Set.of())) {
            if (toCome.contains(must)) {
                blockers.add(must);
            }
        }
        blockers.sort(null);
        return blockers;
    }

    /** A stop that comes before one that it must come after. */
    public record Breach(String stop, String must) {}

    /** The first place at which an order of ids is not possible. */
    public Optional<Breach> breach(List<String> order) {
        Set<String> toCome = new HashSet<>(order);
        for (String stop : order) {
            toCome.remove(stop);
            List<String> blockers = blockers(stop, toCome);
            if (!blockers.isEmpty()) {
                return Optional.of(new Breach(stop, blockers.get(0)));
            }
        }
        return Optional.empty();
    }
}
