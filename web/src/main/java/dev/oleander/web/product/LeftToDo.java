package dev.oleander.web.product;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is still to be done to a panel when it has come off its board.
 *
 * @param count how many panels, with those that are the same body
 * @param steps sentences, in their order
 */
public record LeftToDo(String panel, String name, int count, List<String> steps) {

    private static final int NAMED = 6;

    public LeftToDo {
        steps = List.copyOf(steps);
    }

    /** Of all panels that are cut from boards; those of which nothing is left are in it too. */
    static List<LeftToDo> of(ProductState state) {
        List<LeftToDo> all = new ArrayList<>();
        for (Panel panel : state.product().made()) {
            List<Clamping> clampings = state.decision(panel).clampings();
            boolean first = state.twins().equalTo(panel.id()).isEmpty();
            if (first && !clampings.isEmpty() && clampings.get(0).onBoard()) {
                all.add(
                        new LeftToDo(
                                panel.id(),
                                panel.name(),
                                state.countWithTwins(panel),
                                steps(state, panel, clampings)));
            }
        }
        return all;
    }

    private static List<String> steps(ProductState state, Panel panel, List<Clamping> clampings) {
        List<String> steps = new ArrayList<>();
        if (state.document().trim() > 0) {
            steps.add("saw to size, %s mm all round".formatted(mm(state.document().trim())));
        }
        boolean bandedFirst = panel.machined() == Panel.Machined.AFTER;
        Optional<String> bands = bands(panel);
        bands.filter(b -> bandedFirst).ifPresent(steps::add);
        for (Clamping clamping : clampings.subList(1, clampings.size())) {
            steps.add(
                    "%s up, %s at the stops: %s"
                            .formatted(
                                    clamping.lying().up().label(),
                                    clamping.corner(),
                                    byFace(panel, clamping)));
        }
        bands.filter(b -> !bandedFirst).ifPresent(steps::add);
        return steps;
    }

    private static String byFace(Panel panel, Clamping clamping) {
        Map<Face, List<String>> byFace = new EnumMap<>(Face.class);
        for (String id : clamping.features()) {
            PanelFeature feature = panel.feature(id).orElseThrow();
            byFace.computeIfAbsent(feature.face(), f -> new ArrayList<>()).add(id);
        }
        List<String> parts = new ArrayList<>();
        byFace.forEach(
                (face, ids) ->
                        parts.add(
                                "%s %s"
                                        .formatted(
                                                face.isEdge()
                                                        ? face.label() + " edge"
                                                        : face.label(),
                                                ids.size() <= NAMED
                                                        ? String.join(", ", ids)
                                                        : "%d features".formatted(ids.size()))));
        return String.join("; ", parts);
    }

    private static Optional<String> bands(Panel panel) {
        if (panel.bandIds().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of("band " + ProductOrder.bands(panel));
    }

    private static String mm(double value) {
        return Numbers.plain(value, 2);
    }
}
