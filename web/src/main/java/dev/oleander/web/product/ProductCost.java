package dev.oleander.web.product;

import dev.oleander.book.Book;
import dev.oleander.machine.Machine;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.whole.CutList;
import dev.oleander.price.PriceList;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What all products cost, in the shop's currency.
 *
 * @param machine time of the machine at its hourly rate
 * @param setUp once for every clamping that has a program
 * @param material of the panels as they are sawn, without what is left of boards
 * @param seconds of the machine
 * @param without clampings that have no program yet
 * @param unknown materials whose price nobody knows
 */
public record ProductCost(
        double machine,
        double setUp,
        double material,
        double seconds,
        int without,
        List<String> unknown,
        int products) {

    private static final double HOUR = 3600;

    static ProductCost of(
            ProductState state,
            ProductOrder order,
            Machine machine,
            Book<?> book,
            PriceList prices) {
        Product product = state.product();
        int without = (int) order.rows().stream().filter(r -> r.seconds() == null).count();
        int with = order.rows().size() - without;
        List<String> unknown = new ArrayList<>();
        double material = 0;
        for (Map.Entry<String, CutList.Total> of : state.cutList().totals().entrySet()) {
            Optional<PriceList.Material> price =
                    ProductMaterials.called(state, of.getKey(), book).flatMap(prices::find);
            double thick = product.materials().get(of.getKey()).thickness();
            if (price.isEmpty()) {
                unknown.add(of.getKey());
            } else {
                material += price.get().price(of.getValue().area() * 1e6, thick);
            }
        }
        return new ProductCost(
                order.seconds() / HOUR * machine.hourlyRate(),
                with * machine.setUpMinutes() * 60 / HOUR * machine.hourlyRate(),
                material,
                order.seconds(),
                without,
                unknown,
                product.quantity());
    }

    /** Of all of them. */
    public double total() {
        return machine + setUp + material;
    }

    /** Of one. */
    public double each() {
        return total() / products;
    }
}
