package dev.oleander.web.product;

import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.whole.Mates;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A feature on the page of its panel.
 *
 * @param place on its face
 * @param made in which clamping; empty when it is refused
 * @param refused why it cannot be made; empty when it can
 * @param partners what is said of its partner; empty: nothing
 * @param wished the face that a person wants up for it; empty: none
 */
record FeatureView(
        String id,
        String title,
        String face,
        String place,
        String tag,
        String made,
        String refused,
        List<String> partners,
        boolean choosable,
        String wished) {

    static FeatureView of(ProductState state, Panel panel, PanelFeature feature) {
        Decision decision = state.decision(panel);
        String wished =
                state.document().wishes(panel.id()).clampingOf().getOrDefault(feature.id(), "");
        return new FeatureView(
                feature.id(),
                title(feature),
                feature.belongsToNone() ? "through" : feature.face().label(),
                "%s, %s".formatted(mm(feature.middle().x()), mm(feature.middle().y())),
                feature.tag(),
                made(decision, feature),
                decision.refused().stream()
                        .filter(r -> r.feature().equals(feature.id()))
                        .map(Decision.Refused::sentence)
                        .findFirst()
                        .orElse(""),
                partners(state.mates(), new Mates.Hole(panel.id(), feature.id())),
                feature.belongsToNone() || feature.face().isEdge(),
                wished);
    }

    /** Hole h3, Ø 8, 13 deep. */
    static String title(PanelFeature feature) {
        String size = feature.isHole() ? ", Ø %s".formatted(mm(feature.diameter())) : "";
        String depth = feature.through() ? "through" : mm(feature.depth()) + " deep";
        String kind = feature.kind().label();
        return "%s%s %s%s, %s"
                .formatted(
                        kind.substring(0, 1).toUpperCase(java.util.Locale.ROOT),
                        kind.substring(1),
                        feature.id(),
                        size,
                        depth);
    }

    private static String made(Decision decision, PanelFeature feature) {
        for (int i = 0; i < decision.clampings().size(); i++) {
            if (decision.clampings().get(i).features().contains(feature.id())) {
                return "clamping %d, %s up"
                        .formatted(i + 1, decision.clampings().get(i).lying().up().label());
            }
        }
        return "";
    }

    private static List<String> partners(Mates mates, Mates.Hole hole) {
        List<String> partners = new ArrayList<>();
        for (Mates.Pair pair : mates.pairs()) {
            Optional<Mates.Hole> other =
                    pair.first().equals(hole)
                            ? Optional.of(pair.second())
                            : Optional.of(pair.first()).filter(h -> pair.second().equals(hole));
            other.ifPresent(h -> partners.add("meets " + h));
        }
        mates.faults().stream()
                .filter(f -> f.holes().contains(hole))
                .forEach(f -> partners.add(f.sentence()));
        return partners;
    }

    private static String mm(double value) {
        return Numbers.plain(value, 2);
    }
}
