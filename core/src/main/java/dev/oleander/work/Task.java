package dev.oleander.work;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Choices;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.LayoutPlanner;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.bed.UsualStock;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What a plan is made for.
 *
 * @param book of the machine
 * @param bed where the parts are wished to lie, and on what
 * @param together what holds where parts of several jobs lie on one sheet; empty for a job alone
 */
public record Task<C extends Choices<C, ?>>(
        Machine machine,
        Book<?> book,
        Reading reading,
        Order order,
        SheetChoices bed,
        C choices,
        Optional<Together<C>> together) {

    /** A job alone. */
    public Task(
            Machine machine,
            Book<?> book,
            Reading reading,
            Order order,
            SheetChoices bed,
            C choices) {
        this(machine, book, reading, order, bed, choices, Optional.empty());
    }

    /** What was decided in the job that a feature is of. */
    public C choices(String feature) {
        return together.flatMap(t -> t.choices(feature)).orElse(choices);
    }

    /** How many of what are to be laid on sheets. */
    public Demand demand() {
        return together.map(t -> Demand.on(t.layout().placements()))
                .orElseGet(() -> Demand.of(reading, order.quantity(), bed.parts()));
    }

    /**
     * Where all of it lies, as far as it finds room on one sheet.
     *
     * @param gap mm between copies where nothing was chosen
     * @param kerf mm between copies that share lines; empty when they do not
     * @throws dev.oleander.plan.bed.PlanException when the stock or the rows are not usable
     */
    public SheetLayout layout(double gap, Optional<Double> kerf) {
        return together.map(Together::layout)
                .orElseGet(
                        () ->
                                new LayoutPlanner(stock(), gap, kerf.orElse(null))
                                        .lay(reading, demand(), order.firstCopy()));
    }

    /** What is wished of the stock, with all that is as usual decided. */
    public SheetChoices stock() {
        return UsualStock.decided(bed, machine, reading.workBox());
    }

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

        private Order of(int copies, int first) {
            return new Order(material, thickness, copies, first, density);
        }
    }

    /**
     * For a set-up after the first.
     *
     * @param left what is still to be laid
     * @param firstCopy number of its first copy
     */
    Task<C> rest(Demand left, int firstCopy) {
        return new Task<>(
                machine,
                book,
                reading,
                order.of(left.of(PartRef.WHOLE), firstCopy),
                bed.ofRest(left),
                choices);
    }
}
