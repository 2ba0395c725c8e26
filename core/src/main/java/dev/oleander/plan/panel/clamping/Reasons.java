package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.clamping.ClampingPlanner.Clamped;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Says why a panel is clamped as it is, with figures. */
final class Reasons {

    private static final int NAMED = 4;

    private final Panel panel;
    private final ClampingWishes wishes;
    private final int refused;

    Reasons(Panel panel, ClampingWishes wishes, int refused) {
        this.panel = panel;
        this.wishes = wishes;
        this.refused = refused;
    }

    /** Of one clamping of some. */
    String of(Clamped clamped, int clampings) {
        List<PanelFeature> features = clamped.features();
        int all = panel.features().size() - refused;
        long here = features.stream().filter(f -> isBlind(f)).count();
        long through = features.stream().filter(PanelFeature::belongsToNone).count();
        long edges = features.size() - here - through;
        List<String> also = new ArrayList<>();
        if (through > 0) {
            also.add("%d %s through".formatted(through, through == 1 ? "goes" : "go"));
        }
        if (edges > 0) {
            also.add("%d %s in edges".formatted(edges, edges == 1 ? "lies" : "lie"));
        }
        String rest = also.isEmpty() ? "" : "; " + String.join(", ", also);
        String wished = wishes.isNone() ? "" : " As wished.";
        return "%s up: %d of %d features lie there%s.%s%s"
                .formatted(
                        capital(clamped.lying().up().label()),
                        here,
                        all,
                        rest,
                        clampings == 1 ? " One clamping." : "",
                        wished);
    }

    /** Of the whole panel: what cannot be done together. */
    String ofAll(List<Clamped> clamped) {
        if (clamped.isEmpty()) {
            return "No clamping can make any of its features.";
        }
        if (clamped.size() == 1) {
            return of(clamped.get(0), 1);
        }
        Map<String, List<String>> blind = new LinkedHashMap<>();
        for (Clamped one : clamped) {
            String up = one.lying().up().label();
            one.features().stream()
                    .filter(Reasons::isBlind)
                    .forEach(f -> blind.computeIfAbsent(up, u -> new ArrayList<>()).add(f.id()));
        }
        List<String> parts = new ArrayList<>();
        blind.forEach((up, ids) -> parts.add("%s blind on the %s".formatted(named(ids), up)));
        String number = clamped.size() == 2 ? "Two clampings" : "Three clampings";
        String why =
                parts.size() > 1 ? String.join(", ", parts) : "edges that no unit reaches from one";
        return "%s: %s.%s".formatted(number, why, wishes.isNone() ? "" : " As wished.");
    }

    private static boolean isBlind(PanelFeature feature) {
        return !feature.face().isEdge() && !feature.through();
    }

    private static String named(List<String> ids) {
        String verb = ids.size() == 1 ? " is" : " are";
        if (ids.size() <= NAMED) {
            return String.join(", ", ids) + verb;
        }
        return "%s and %d more are"
                .formatted(String.join(", ", ids.subList(0, NAMED - 1)), ids.size() - NAMED + 1);
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
