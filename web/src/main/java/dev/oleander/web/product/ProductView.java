package dev.oleander.web.product;

import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Role;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The table of the panels of a product. */
record ProductView(List<Row> rows, int shown, List<String> states) {

    /**
     * A panel.
     *
     * @param ups faces that are up, in the order of the clampings
     * @param like equal to, or the mirror image of, another; empty: neither
     * @param urgent whether somebody has to do something before there is a program
     * @param refused what cannot be made of it; empty: nothing
     * @param jobs of its clampings
     */
    record Row(
            String id,
            String name,
            int count,
            String size,
            String material,
            String state,
            List<String> ups,
            String why,
            String like,
            boolean wished,
            boolean urgent,
            String refused,
            List<Long> jobs) {

        public boolean isMade() {
            return !state.equals(Role.HELPER.word()) && !state.equals(Role.BOUGHT.word());
        }
    }

    /**
     * @param text that name or id contains; empty: all
     * @param state empty: all
     */
    static ProductView of(ProductState state, PanelStates states, String text, String only) {
        List<Row> all =
                state.product().panels().stream().map(p -> row(state, states.of(p), p)).toList();
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        List<Row> rows =
                all.stream()
                        .filter(
                                r ->
                                        (r.id() + " " + r.name())
                                                .toLowerCase(Locale.ROOT)
                                                .contains(wanted))
                        .filter(r -> only.isEmpty() || r.state().equals(only))
                        .toList();
        return new ProductView(
                rows, all.size(), all.stream().map(Row::state).distinct().sorted().toList());
    }

    private static Row row(ProductState state, PanelStates.State of, Panel panel) {
        Decision decision = state.decision(panel);
        List<String> ups = new ArrayList<>();
        for (Clamping clamping : decision.clampings()) {
            int turn = clamping.lying().turn();
            ups.add(clamping.lying().up().label() + (turn == 0 ? "" : " %d°".formatted(turn)));
        }
        return new Row(
                panel.id(),
                panel.name(),
                state.product().count(panel),
                size(panel),
                panel.material(),
                of.word(),
                ups,
                of.sentence(),
                like(state, panel),
                !state.document().wishes(panel.id()).isNone(),
                of.urgent(),
                refused(decision),
                of.jobs());
    }

    /** How it lies in a clamping: top up, turned 90°, front left. */
    static String lies(Clamping clamping) {
        int turn = clamping.lying().turn();
        return "%s up%s, %s"
                .formatted(
                        clamping.lying().up().label(),
                        turn == 0 ? "" : ", turned %d°".formatted(turn),
                        clamping.onBoard() ? "from a board" : clamping.corner());
    }

    private static String refused(Decision decision) {
        int count = decision.refused().size();
        return count == 0
                ? ""
                : "%d %s refused".formatted(count, count == 1 ? "feature" : "features");
    }

    static String size(Panel panel) {
        return "%s × %s × %s"
                .formatted(
                        Numbers.plain(panel.size().length(), 1),
                        Numbers.plain(panel.size().width(), 1),
                        Numbers.plain(panel.size().thickness(), 1));
    }

    private static String like(ProductState state, Panel panel) {
        Optional<String> equal =
                state.twins().equalTo(panel.id()).map(other -> "equal to " + other);
        return equal.or(
                        () ->
                                state.twins()
                                        .mirrorOf(panel.id())
                                        .map(other -> "mirror image of " + other))
                .orElse("");
    }
}
