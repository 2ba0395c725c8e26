package dev.oleander.web.product;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.product.ProductJobTable.Link;
import dev.oleander.web.product.ProductJobTable.Tick;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The work of a product in its order: each clamping of each panel, with what is banded afterwards.
 *
 * @param seconds of the machine for all of them, as far as programs are there
 */
public record ProductOrder(List<Row> rows, double seconds) {

    /**
     * A clamping.
     *
     * @param number from 1, of its panel
     * @param of how many clampings the panel has
     * @param count how many panels, with those that are the same body
     * @param up the face that is up
     * @param corner of the panel at the stops
     * @param job null: there is none yet
     * @param revision released; null: none
     * @param seconds for one panel; null: there is no program
     * @param bands that come after the last clamping, by edge
     * @param done how many of them are, as people at the machine say
     * @param doneBy who said so last; empty: nobody
     */
    public record Row(
            String panel,
            String name,
            String size,
            int number,
            int of,
            int count,
            String up,
            String corner,
            int turn,
            Long job,
            String revision,
            Double seconds,
            String bands,
            int done,
            String doneBy) {

        /** As a clock shows it; empty when it is not known. */
        public String time() {
            return seconds == null ? "" : Numbers.duration(seconds);
        }
    }

    public ProductOrder {
        rows = List.copyOf(rows);
    }

    static ProductOrder of(ProductState state, List<Link> links, List<Tick> ticks) {
        List<Row> rows = new ArrayList<>();
        double seconds = 0;
        for (Panel panel : state.product().made()) {
            List<Clamping> clampings = state.decision(panel).clampings();
            boolean twin = state.twins().equalTo(panel.id()).isPresent();
            for (int i = 0; i < clampings.size() && !twin; i++) {
                int number = i + 1;
                Link link =
                        links.stream()
                                .filter(l -> l.panel().equals(panel.id()) && l.clamping() == number)
                                .findFirst()
                                .orElse(null);
                Row row = row(state, panel, number, link, ticks);
                rows.add(row);
                seconds += row.seconds() == null ? 0 : row.seconds() * row.count();
            }
        }
        return new ProductOrder(rows, seconds);
    }

    private static Row row(
            ProductState state, Panel panel, int number, Link link, List<Tick> ticks) {
        Optional<Tick> tick =
                ticks.stream()
                        .filter(t -> t.panel().equals(panel.id()) && t.clamping() == number)
                        .findFirst();
        List<Clamping> clampings = state.decision(panel).clampings();
        Clamping clamping = clampings.get(number - 1);
        return new Row(
                panel.id(),
                panel.name(),
                ProductView.size(panel),
                number,
                clampings.size(),
                state.countWithTwins(panel),
                clamping.lying().up().label(),
                clamping.corner(),
                clamping.lying().turn(),
                link == null ? null : link.program(),
                link == null ? null : link.revision(),
                link == null ? null : link.seconds(),
                number == clampings.size() ? bands(panel) : "",
                tick.map(Tick::done).orElse(0),
                tick.map(Tick::by).orElse(""));
    }

    static String bands(Panel panel) {
        List<String> bands = new ArrayList<>();
        for (Map.Entry<Face, String> band : panel.bandIds().entrySet()) {
            bands.add("%s %s".formatted(band.getKey().label(), band.getValue()));
        }
        return String.join(", ", bands);
    }
}
