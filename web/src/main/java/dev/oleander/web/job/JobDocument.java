package dev.oleander.web.job;

import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.SheetChoices;
import dev.oleander.plan.wire.WireChoices;
import dev.oleander.quantity.Typed;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * Everything people decided about a job; what follows from it is computed. One version of it is
 * kept per step.
 *
 * @param order what the job is about
 * @param shape its drawing
 * @param acceptances reasons by key of a finding
 * @param wire what is cut how where the machine has a wire
 */
public record JobDocument(
        Order order,
        ShapeChoices shape,
        PlanChoices plan,
        SheetChoices sheet,
        Map<String, String> acceptances,
        WireChoices wire) {

    public JobDocument {
        acceptances = Map.copyOf(acceptances);
        wire = wire == null ? WireChoices.NOTHING : wire;
    }

    /** A document that says nothing about wires. */
    public JobDocument(
            Order order,
            ShapeChoices shape,
            PlanChoices plan,
            SheetChoices sheet,
            Map<String, String> acceptances) {
        this(order, shape, plan, sheet, acceptances, WireChoices.NOTHING);
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

        /** The same order for so many. */
        public Order withQuantity(int value) {
            return new Order(name, machine, material, thickness, value, customer);
        }

        public Order withCustomer(String value) {
            return new Order(name, machine, material, thickness, quantity, value);
        }
    }

    /** The same without the names of job and customer, which nothing is computed from. */
    JobDocument unnamed() {
        Order unnamed =
                new Order("", machine(), order.material(), order.thickness(), order.quantity());
        return new JobDocument(unnamed, shape, plan, sheet, acceptances, wire);
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

    public int quantity() {
        return order.quantity();
    }

    public JobDocument withOrder(Order value) {
        return new JobDocument(value, shape, plan, sheet, acceptances, wire);
    }

    public JobDocument withShape(ShapeChoices value) {
        return new JobDocument(order, value, plan, sheet, acceptances, wire);
    }

    /** The document with its drawing changed. */
    public JobDocument reshaped(UnaryOperator<ShapeChoices> change) {
        return withShape(change.apply(shape));
    }

    public JobDocument withPlan(PlanChoices value) {
        return new JobDocument(order, shape, value, sheet, acceptances, wire);
    }

    public JobDocument withSheet(SheetChoices value) {
        return new JobDocument(order, shape, plan, value, acceptances, wire);
    }

    public JobDocument withWire(WireChoices value) {
        return new JobDocument(order, shape, plan, sheet, acceptances, value);
    }

    JobDocument withAcceptances(Map<String, String> value) {
        return new JobDocument(order, shape, plan, sheet, value, wire);
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
