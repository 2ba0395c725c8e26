package dev.oleander.web.job.document;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.Plate;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.proof.Finding;
import dev.oleander.quantity.Typed;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * Everything people decided about a job; what follows from it is computed. One version of it is
 * kept per step.
 *
 * @param order what the job is about
 * @param shape its drawing
 * @param sheet what the parts are made of and where they lie on it
 * @param acceptances reasons by key of a finding
 * @param work what was decided about the work, by the word of its kind; a kind of which all is as
 *     usual is not in it
 * @param nest how parts are nested; empty where they lie in rows and columns
 */
public record JobDocument(
        Order order,
        ShapeChoices shape,
        SheetChoices sheet,
        Map<String, String> acceptances,
        Map<String, Choices<?, ?>> work,
        @JsonInclude(JsonInclude.Include.NON_ABSENT) Optional<NestDocument> nest) {

    public JobDocument {
        acceptances = Map.copyOf(acceptances);
        work = decided(work);
    }

    /** Without kinds of which all is as usual, so that equal documents are equal. */
    private static Map<String, Choices<?, ?>> decided(Map<String, Choices<?, ?>> work) {
        Map<String, Choices<?, ?>> decided = new TreeMap<>(work);
        Kinds.all().forEach(kind -> decided.remove(kind.word(), kind.usual()));
        return Map.copyOf(decided);
    }

    /** A document of which nothing is decided about the work. */
    public JobDocument(
            Order order, ShapeChoices shape, SheetChoices sheet, Map<String, String> acceptances) {
        this(order, shape, sheet, acceptances, Map.of(), Optional.empty());
    }

    /**
     * The values a job is about before anybody planned it.
     *
     * @param machine id of the machine
     * @param thickness mm
     * @param customer whose conventions hold; empty when nobody's do
     */
    public record Order(
            String name,
            String machine,
            String material,
            Typed thickness,
            int quantity,
            String customer) {

        /** An order of nobody in particular. */
        public Order(String name, String machine, String material, Typed thickness, int quantity) {
            this(name, machine, material, thickness, quantity, "");
        }

        /** The same order on another machine, by its id. */
        public Order withMachine(String value) {
            return new Order(name, value, material, thickness, quantity, customer);
        }

        /** The same order of another material. */
        public Order withMaterial(String value) {
            return new Order(name, machine, value, thickness, quantity, customer);
        }

        public Order withName(String value) {
            return new Order(value, machine, material, thickness, quantity, customer);
        }

        /**
         * @param value mm
         */
        public Order withThickness(Typed value) {
            return new Order(name, machine, material, value, quantity, customer);
        }

        /** The same order for so many. */
        public Order withQuantity(int value) {
            return new Order(name, machine, material, thickness, value, customer);
        }

        public Order withCustomer(String value) {
            return new Order(name, machine, material, thickness, quantity, value);
        }
    }

    /** The same without the names of job and customer, which nothing is computed from. */
    public JobDocument unnamed() {
        Order unnamed =
                new Order("", machine(), order.material(), order.thickness(), order.quantity());
        return withOrder(unnamed);
    }

    public String name() {
        return order.name();
    }

    public String machine() {
        return order.machine();
    }

    public String material() {
        return order.material();
    }

    public Typed thickness() {
        return order.thickness();
    }

    /** What the sheet is of. */
    public Plate plate() {
        return new Plate(material(), thickness().value());
    }

    public int quantity() {
        return order.quantity();
    }

    /** How many are wanted: copies of the drawing, or nested parts. */
    public int wanted() {
        return nest.map(n -> n.choices().demand().all()).orElseGet(order::quantity);
    }

    public JobDocument withOrder(Order value) {
        return new JobDocument(value, shape, sheet, acceptances, work, nest);
    }

    public JobDocument withShape(ShapeChoices value) {
        return new JobDocument(order, value, sheet, acceptances, work, nest);
    }

    /** The document with its drawing changed. */
    public JobDocument reshaped(UnaryOperator<ShapeChoices> change) {
        return withShape(change.apply(shape));
    }

    public JobDocument withSheet(SheetChoices value) {
        return new JobDocument(order, shape, value, acceptances, work, nest);
    }

    /** The document with its parts nested another way. */
    public JobDocument withNest(Optional<NestDocument> value) {
        return new JobDocument(order, shape, sheet, acceptances, work, value);
    }

    /** What was decided about a kind of work. */
    public <C extends Choices<C, S>, S extends Choice<S>> C choices(Work<C, S> kind) {
        Choices<?, ?> known = work.get(kind.word());
        return known == null ? kind.usual() : kind.choices().cast(known);
    }

    public <C extends Choices<C, S>, S extends Choice<S>> JobDocument with(
            Work<C, S> kind, C choices) {
        Map<String, Choices<?, ?>> changed = new TreeMap<>(work);
        changed.put(kind.word(), choices);
        return new JobDocument(order, shape, sheet, acceptances, changed, nest);
    }

    /** The document with what was decided about a kind of work changed. */
    public <C extends Choices<C, S>, S extends Choice<S>> JobDocument changed(
            Work<C, S> kind, UnaryOperator<C> change) {
        return with(kind, change.apply(choices(kind)));
    }

    /** The document with the run of a kind of work changed. */
    public <C extends Choices<C, S>, S extends Choice<S>> JobDocument rerun(
            Work<C, S> kind, UnaryOperator<RunChoices> change) {
        return changed(kind, choices -> choices.withRun(change.apply(choices.run())));
    }

    /** The same for a new version of the drawing: what was decided about every kind of work. */
    public JobDocument carried(Carrying to) {
        JobDocument carried = this;
        for (Work<?, ?> kind : Kinds.all()) {
            carried = carried.carried(kind, to);
        }
        // last, when all that is stale is known
        return carried.withAcceptances(Finding.carried(acceptances, to));
    }

    private <C extends Choices<C, S>, S extends Choice<S>> JobDocument carried(
            Work<C, S> kind, Carrying to) {
        return changed(kind, choices -> choices.carried(to));
    }

    private JobDocument withAcceptances(Map<String, String> value) {
        return new JobDocument(order, shape, sheet, value, work, nest);
    }

    /** Null takes an acceptance back. */
    public JobDocument withAcceptance(String key, String reason) {
        Map<String, String> changed = new TreeMap<>(acceptances);
        if (reason == null) {
            changed.remove(key);
        } else {
            changed.put(key, reason);
        }
        return withAcceptances(changed);
    }
}
