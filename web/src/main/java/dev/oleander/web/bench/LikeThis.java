package dev.oleander.web.bench;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Stops that are like a selected one in some way, to be selected together. */
final class LikeThis {

    /**
     * Stops that have something in common.
     *
     * @param label what it is, and how many there are: same size: 24
     * @param stops their ids, apart by commas
     */
    public record Choice(String label, String stops) {}

    private LikeThis() {}

    /** Ways in which others are like a stop; those that only it has are left out. */
    static List<Choice> of(JobResult result, Stop stop) {
        Map<String, Feature> features = result.reading().byId();
        Map<String, Function<Stop, Object>> ways = new LinkedHashMap<>();
        ways.put("size and form", Stop::name);
        ways.put("kind", s -> List.of(s.kind(), s.side(), isRound(features, s)));
        ways.put("layer", s -> features.get(s.feature()).layer());
        ways.put("part", s -> List.of(s.part(), s.copy()));
        List<Choice> choices = new ArrayList<>();
        ways.forEach(
                (word, way) -> {
                    Object wanted = way.apply(stop);
                    List<String> ids =
                            result.run().stops().stream()
                                    .filter(s -> way.apply(s).equals(wanted))
                                    .map(Stop::id)
                                    .collect(Collectors.toList());
                    if (ids.size() > 1) {
                        String label = "same %s: %d".formatted(word, ids.size());
                        choices.add(new Choice(label, String.join(",", ids)));
                    }
                });
        return choices;
    }

    private static boolean isRound(Map<String, Feature> features, Stop stop) {
        return features.get(stop.feature()).circleDiameter().isPresent();
    }
}
