package dev.oleander.web.bench;

import dev.oleander.motion.Seconds;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.bench.RunLineView.Alike;
import dev.oleander.web.bench.RunLineView.CopiedPart;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** Finds what copies of a part have in common, so that it is told and edited once. */
final class CopiedParts {

    private final JobResult result;
    private final Map<String, Severity> worst;
    private final Set<String> selected;

    CopiedParts(JobResult result, Map<String, Severity> worst, Set<String> selected) {
        this.result = result;
        this.worst = worst;
        this.selected = selected;
    }

    /**
     * Parts with more than one copy, in the order in which the run comes to them; a feature that is
     * visited several times is told by visit.
     */
    List<CopiedPart> all() {
        Map<String, Map<String, List<Stop>>> byPart = new LinkedHashMap<>();
        for (Stop stop : result.run().stops()) {
            byPart.computeIfAbsent(stop.part(), p -> new LinkedHashMap<>())
                    .computeIfAbsent(stop.feature() + " " + stop.name(), f -> new ArrayList<>())
                    .add(stop);
        }
        List<CopiedPart> parts = new ArrayList<>();
        byPart.forEach(
                (part, features) -> {
                    int copies = features.values().stream().mapToInt(List::size).max().orElse(0);
                    if (copies > 1) {
                        parts.add(part(part, copies, features));
                    }
                });
        return parts;
    }

    private CopiedPart part(String part, int copies, Map<String, List<Stop>> features) {
        double seconds =
                features.values().stream()
                        .flatMap(List::stream)
                        .mapToDouble(
                                s ->
                                        result.timeline()
                                                .byStop()
                                                .getOrDefault(s.id(), Seconds.NONE)
                                                .total())
                        .sum();
        String title = part.isEmpty() ? "Loose lines" : PartRef.label(part);
        return new CopiedPart(
                title,
                copies,
                Numbers.duration(seconds),
                features.values().stream().map(this::alike).toList());
    }

    private Alike alike(List<Stop> stops) {
        List<String> ids = stops.stream().map(Stop::id).toList();
        String flag =
                ids.stream()
                        .map(worst::get)
                        .filter(Objects::nonNull)
                        .min(Severity::compareTo)
                        .map(Severity::word)
                        .orElse("");
        List<String> notes =
                stops.stream().map(s -> RunLineView.note(s, result)).distinct().toList();
        return new Alike(
                stops.get(0).name(),
                ids,
                notes.size() == 1 ? notes.get(0) : "",
                flag,
                selected.containsAll(ids));
    }
}
