package dev.oleander.work;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Choices;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetChoices;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a plan is made for.
 *
 * @param book of the machine
 * @param bed where the parts are wished to lie, and on what
 */
public record Task<C extends Choices<C, ?>>(
        Machine machine, Book<?> book, Reading reading, Order order, SheetChoices bed, C choices) {

    /** What formulas may use by name: t the thickness, r and d of a round feature; mm. */
    public Map<String, Double> names(Feature feature) {
        Map<String, Double> names = new TreeMap<>();
        names.put("t", order.thickness());
        feature.circleDiameter()
                .ifPresent(
                        diameter -> {
                            names.put("d", diameter);
                            names.put("r", diameter / 2);
                        });
        return names;
    }

    /**
     * What the job asks for.
     *
     * @param thickness of the material, mm
     * @param quantity copies of the drawing
     * @param firstCopy number of the first of them
     * @param density of the material, kg/m3; 0 when nobody knows
     */
    public record Order(
            String material, double thickness, int quantity, int firstCopy, double density) {

        /** With copies that are numbered from 1. */
        public Order(String material, double thickness, int quantity, double density) {
            this(material, thickness, quantity, 1, density);
        }

        /** The part of it that is one set-up. */
        Order of(SetUp setUp) {
            return new Order(material, thickness, setUp.copies(), setUp.firstCopy(), density);
        }
    }

    /** For a set-up after the first, which holds what is left of the quantity. */
    public Task<C> rest(SetUp setUp) {
        return new Task<>(machine, book, reading, order.of(setUp), bed.ofRest(), choices);
    }
}
