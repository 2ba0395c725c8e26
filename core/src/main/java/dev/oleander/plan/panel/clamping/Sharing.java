package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.clamping.ClampingPlanner.Clamped;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Shares features out to clampings: each to the only one that can make it; what several can, to
 * where most features with a tolerance are when it has one, else to the first.
 */
final class Sharing {

    private final Panel panel;
    private final List<Lying> lyings;
    private final List<Integer> possible;

    /**
     * @param possible for each feature, as bits, the ways to lie in which it can be made
     */
    Sharing(Panel panel, List<Lying> lyings, List<Integer> possible) {
        this.panel = panel;
        this.lyings = lyings;
        this.possible = possible;
    }

    List<Clamped> share(List<Integer> set, ClampingWishes wishes) {
        List<Integer> order = new ArrayList<>(set);
        order.sort(
                Comparator.<Integer>comparingInt(i -> isWished(i, wishes) ? 0 : 1)
                        .thenComparing(i -> -onlyIn(i, set))
                        .thenComparing(i -> i));
        Map<Integer, List<PanelFeature>> shared = new LinkedHashMap<>();
        order.forEach(i -> shared.put(i, new ArrayList<>()));
        Optional<Integer> precise = ofTolerances(order, set);
        for (int f = 0; f < possible.size(); f++) {
            PanelFeature feature = panel.features().get(f);
            int ways = possible.get(f);
            precise.filter(i -> feature.tolerance().isPresent() && can(ways, i))
                    .or(() -> order.stream().filter(i -> can(ways, i)).findFirst())
                    .ifPresent(i -> shared.get(i).add(feature));
        }
        return shared.entrySet().stream()
                .filter(e -> !e.getValue().isEmpty())
                .map(e -> new Clamped(lyings.get(e.getKey()), e.getValue()))
                .toList();
    }

    private boolean isWished(int lying, ClampingWishes wishes) {
        Optional<Face> up = wishes.up();
        return up.filter(face -> lyings.get(lying).up() == face).isPresent();
    }

    private static boolean can(int ways, int lying) {
        return (ways >> lying & 1) == 1;
    }

    /** How many features can be made in this clamping alone. */
    private long onlyIn(int lying, List<Integer> set) {
        return possible.stream()
                .filter(ways -> can(ways, lying))
                .filter(ways -> set.stream().filter(i -> can(ways, i)).count() == 1)
                .count();
    }

    private Optional<Integer> ofTolerances(List<Integer> order, List<Integer> set) {
        return order.stream()
                .max(
                        Comparator.comparingLong(
                                i -> {
                                    long count = 0;
                                    for (int f = 0; f < possible.size(); f++) {
                                        int ways = possible.get(f);
                                        boolean only =
                                                set.stream().filter(s -> can(ways, s)).count() == 1;
                                        boolean precise =
                                                panel.features().get(f).tolerance().isPresent();
                                        count += precise && only && can(ways, i) ? 1 : 0;
                                    }
                                    return count;
                                }));
    }
}
