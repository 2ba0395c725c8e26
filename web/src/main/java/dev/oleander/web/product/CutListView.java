package dev.oleander.web.product;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.whole.CutList;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The cut list for people: one table for each material. */
record CutListView(List<Material> materials, List<String> bands, List<Bought> bought) {

    /** A table. */
    record Material(String name, String total, List<Row> rows) {}

    /** A line of it. */
    record Row(
            String panel,
            String name,
            String size,
            String grain,
            int count,
            String bands,
            int clampings) {}

    /** What comes from elsewhere. */
    record Bought(String name, int count) {}

    static CutListView of(ProductState state) {
        CutList list = state.cutList();
        List<Material> materials = new ArrayList<>();
        for (Map.Entry<String, CutList.Total> of : list.totals().entrySet()) {
            List<Row> rows =
                    list.rows().stream()
                            .filter(r -> r.material().equals(of.getKey()))
                            .map(r -> row(state, r))
                            .toList();
            materials.add(new Material(of.getKey(), total(of.getValue()), rows));
        }
        List<String> bands = new ArrayList<>();
        CutList.bands(state.product())
                .forEach((id, m) -> bands.add("%s: %s m".formatted(id, Numbers.plain(m, 2))));
        List<Bought> bought =
                list.bought().stream().map(b -> new Bought(b.name(), b.count())).toList();
        return new CutListView(materials, bands, bought);
    }

    private static Row row(ProductState state, CutList.Row row) {
        List<String> bands = new ArrayList<>();
        for (Map.Entry<Face, String> band : row.bands().entrySet()) {
            bands.add("%s %s".formatted(band.getKey().label(), band.getValue()));
        }
        return new Row(
                row.panel(),
                row.name(),
                "%s × %s × %s"
                        .formatted(
                                Numbers.plain(row.length(), 1),
                                Numbers.plain(row.width(), 1),
                                Numbers.plain(row.thickness(), 1)),
                row.grain().word(),
                row.count(),
                String.join(", ", bands),
                state.decisions().get(row.panel()).clampings().size());
    }

    private static String total(CutList.Total total) {
        String mass = total.mass() > 0 ? ", %s kg".formatted(Numbers.plain(total.mass(), 1)) : "";
        return "%d pieces, %s m²%s, at least %d %s"
                .formatted(
                        total.pieces(),
                        Numbers.plain(total.area(), 2),
                        mass,
                        total.boards(),
                        total.boards() == 1 ? "board" : "boards");
    }
}
