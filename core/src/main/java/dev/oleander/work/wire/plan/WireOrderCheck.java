package dev.oleander.work.wire.plan;

import dev.oleander.plan.RunRules;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.wire.cut.WireVisit;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What of a wire's run must come before what. */
final class WireOrderCheck {

    private WireOrderCheck() {}

    static RunRules rules(List<SubjectPlan> plans) {
        Map<String, Set<String>> before = new HashMap<>();
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
        return new RunRules(before, WireOrderCheck::why, stop -> "cut");
    }

    private static String why(Stop stop, Stop must) {
        boolean same = stop.feature().equals(must.feature()) && stop.copy() == must.copy();
        if (!same) {
            return "the piece it lies in would be free before";
        }
        return stop.name().contains("cut-off")
                ? "the cut-off would come before its skims"
                : "it would come before what it follows from";
    }
}
