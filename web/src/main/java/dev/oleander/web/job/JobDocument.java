package dev.oleander.web.job;

import dev.oleander.drawing.read.Purpose;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.SheetChoices;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Everything people decided about a job; what follows from it is computed. One version of it is
 * kept per step.
 *
 * @param machine id of the machine
 * @param thickness mm
 * @param files ids of the drawing files, side by side in this order
 * @param unit taken instead of what the files say; null: as they say
 * @param layers purpose by layer
 * @param features purpose by feature, before that of its layer
 * @param gap mm; ends closer than this are joined without asking
 * @param acceptances reasons by key of a finding
 */
public record JobDocument(
        String name,
        String machine,
        String material,
        Typed thickness,
        int quantity,
        List<Long> files,
        LengthUnit unit,
        Map<String, Purpose> layers,
        Map<String, Purpose> features,
        Typed gap,
        PlanChoices plan,
        SheetChoices sheet,
        Map<String, String> acceptances) {

    public JobDocument {
        files = List.copyOf(files);
        layers = Map.copyOf(layers);
        features = Map.copyOf(features);
        acceptances = Map.copyOf(acceptances);
    }

    /** The values a job is about before anybody planned it. */
    public record Order(
            String name, String machine, String material, Typed thickness, int quantity) {}

    public Order order() {
        return new Order(name, machine, material, thickness, quantity);
    }

    public JobDocument withOrder(Order order) {
        return new JobDocument(
                order.name(),
                order.machine(),
                order.material(),
                order.thickness(),
                order.quantity(),
                files,
                unit,
                layers,
                features,
                gap,
                plan,
                sheet,
                acceptances);
    }

    public JobDocument withUnit(LengthUnit value) {
        return withReading(value, layers, features, gap);
    }

    public JobDocument withLayer(String layer, Purpose purpose) {
        return withReading(unit, with(layers, layer, purpose), features, gap);
    }

    /** Null takes the purpose of the layer again. */
    public JobDocument withFeature(String feature, Purpose purpose) {
        return withReading(unit, layers, with(features, feature, purpose), gap);
    }

    public JobDocument withGap(Typed value) {
        return withReading(unit, layers, features, value);
    }

    private JobDocument withReading(
            LengthUnit newUnit,
            Map<String, Purpose> newLayers,
            Map<String, Purpose> newFeatures,
            Typed newGap) {
        return new JobDocument(
                name,
                machine,
                material,
                thickness,
                quantity,
                files,
                newUnit,
                newLayers,
                newFeatures,
                newGap,
                plan,
                sheet,
                acceptances);
    }

    public JobDocument withPlan(PlanChoices value) {
        return withDecisions(value, sheet, acceptances);
    }

    public JobDocument withSheet(SheetChoices value) {
        return withDecisions(plan, value, acceptances);
    }

    /** Null takes an acceptance back. */
    public JobDocument withAcceptance(String key, String reason) {
        return withDecisions(plan, sheet, with(acceptances, key, reason));
    }

    private JobDocument withDecisions(
            PlanChoices newPlan, SheetChoices newSheet, Map<String, String> newAcceptances) {
        return new JobDocument(
                name,
                machine,
                material,
                thickness,
                quantity,
                files,
                unit,
                layers,
                features,
                gap,
                newPlan,
                newSheet,
                newAcceptances);
    }

    private static <V> Map<String, V> with(Map<String, V> map, String key, V value) {
        Map<String, V> changed = new TreeMap<>(map);
        if (value == null) {
            changed.remove(key);
        } else {
            changed.put(key, value);
        }
        return changed;
    }
}
