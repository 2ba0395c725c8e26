package dev.oleander.plan.panel.clamping;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What wishes cost against what would be decided without them. */
public final class Cost {

    private Cost() {}

    /**
     * A sentence: 1 clamping more, h7 and h8 refused; empty when they cost nothing.
     *
     * @param free what would be decided without them
     */
    public static String of(Decision free, Decision wished) {
        List<String> parts = new ArrayList<>();
        int more = wished.clampings().size() - free.clampings().size();
        if (more > 0) {
            parts.add("%d %s more".formatted(more, more == 1 ? "clamping" : "clampings"));
        }
        Set<String> before =
                free.refused().stream().map(r -> r.feature()).collect(Collectors.toSet());
        List<String> now =
                wished.refused().stream()
                        .map(r -> r.feature())
                        .filter(f -> !before.contains(f))
                        .toList();
        if (!now.isEmpty()) {
            parts.add(String.join(" and ", now) + " refused");
        }
        return String.join(", ", parts);
    }
}
