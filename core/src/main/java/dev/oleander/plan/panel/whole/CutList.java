package dev.oleander.plan.panel.whole;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Grain;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.Role;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What is to be sawn and banded for all products. Helpers are in it nowhere; what is bought stands
 * apart.
 *
 * @param rows by material, the largest first
 * @param bought how many of what comes from elsewhere
 */
public record CutList(List<Row> rows, List<Bought> bought, Map<String, Total> totals) {

    /**
     * A panel to be sawn.
     *
     * @param length before banding, mm
     * @param width likewise
     * @param count in all products
     * @param bands by edge
     */
    public record Row(
            String panel,
            String name,
            String material,
            double length,
            double width,
            double thickness,
            Grain grain,
            int count,
            Map<Face, String> bands) {

        public Row {
            bands = Collections.unmodifiableMap(new TreeMap<>(bands));
        }

        /** m2 of all of them. */
        public double area() {
            return length * width * count / 1e6;
        }
    }

    /** What comes from elsewhere. */
    public record Bought(String panel, String name, int count) {}

    /**
     * Of a material.
     *
     * @param area m2
     * @param mass kg; 0 when its density is not known
     * @param boards at least, by area
     */
    public record Total(double area, double mass, int boards, int pieces) {}

    public CutList {
        rows = List.copyOf(rows);
        bought = List.copyOf(bought);
        totals = Collections.unmodifiableMap(new TreeMap<>(totals));
    }

    /**
     * @param allowance mm that the bander mills off an edge before it bands it
     */
    public static CutList of(Product product, double allowance) {
        List<Row> rows =
                product.made().stream()
                        .map(p -> row(product, p, allowance))
                        .sorted(
                                Comparator.comparing(Row::material)
                                        .thenComparing(r -> -r.length() * r.width()))
                        .toList();
        Map<String, Total> totals = new TreeMap<>();
        for (Product.Material material : product.materials().values()) {
            List<Row> of = rows.stream().filter(r -> r.material().equals(material.id())).toList();
            if (!of.isEmpty()) {
                totals.put(material.id(), total(material, of));
            }
        }
        List<Bought> bought =
                product.panels().stream()
                        .filter(p -> p.role() == Role.BOUGHT)
                        .map(p -> new Bought(p.id(), p.name(), product.count(p)))
                        .toList();
        return new CutList(rows, bought, totals);
    }

    private static Row row(Product product, Panel panel, double allowance) {
        Face.Size cut = panel.cut(allowance);
        return new Row(
                panel.id(),
                panel.name(),
                panel.material(),
                cut.length(),
                cut.width(),
                cut.thickness(),
                panel.grain(),
                product.count(panel),
                panel.bandIds());
    }

    private static Total total(Product.Material material, List<Row> rows) {
        double area = rows.stream().mapToDouble(Row::area).sum();
        double board = material.board().length() * material.board().width() / 1e6;
        return new Total(
                area,
                area * material.thickness() / 1000 * material.density(),
                (int) Math.ceil(area / board - 1e-9),
                rows.stream().mapToInt(Row::count).sum());
    }

    /** m of each band for all panels, of the finished edges. */
    public static Map<String, Double> bands(Product product) {
        Map<String, Double> metres = new TreeMap<>();
        for (Panel panel : product.made()) {
            panel.bandIds()
                    .forEach(
                            (edge, id) -> {
                                double length = edge.across(panel.size()) / 1000;
                                metres.merge(id, length * product.count(panel), Double::sum);
                            });
        }
        return metres;
    }
}
