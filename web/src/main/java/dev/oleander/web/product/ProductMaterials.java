package dev.oleander.web.product;

import dev.oleander.book.Book;
import dev.oleander.machine.Machine;
import dev.oleander.plan.panel.Panel;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What the book of a machine calls the materials of a product. */
final class ProductMaterials {

    private static final int LEAST = 3;

    private ProductMaterials() {}

    /**
     * As somebody said, or one that is called alike: ply18 and birch plywood.
     *
     * @param material id in the product
     */
    static Optional<String> called(ProductState state, String material, Book<?> book) {
        String said = state.document().materials().get(material);
        List<String> known = book.materials();
        if (said != null) {
            return known.stream().filter(said::equalsIgnoreCase).findFirst();
        }
        String letters = material.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}]+", "");
        return known.stream()
                .filter(k -> letters.length() >= LEAST)
                .filter(
                        k ->
                                k.toLowerCase(Locale.ROOT)
                                        .replaceAll("[^\\p{L}]+", "")
                                        .contains(letters))
                .findFirst();
    }

    static RefusedEditException unknown(Panel panel, Machine machine, Book<?> book) {
        return new RefusedEditException(
                "Panel %s is of %s; say what the cut book of %s calls it: %s."
                        .formatted(
                                panel.id(),
                                panel.material(),
                                machine.name(),
                                String.join(", ", book.materials())));
    }
}
