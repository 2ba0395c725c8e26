package dev.oleander.drawing.read;

import dev.oleander.drawing.mend.MendOptions;
import java.util.Map;
import java.util.Set;

/**
 * What people decided about a drawing.
 *
 * @param rules purposes by layer, colour and line type
 * @param features purpose by feature, before all rules
 * @param turned features of which the other side is kept than nesting says
 * @param settled keys of faults that a person left as they are
 * @param circle mm; how far arcs of one contour may differ and still be one circle, and how far
 *     diameters of one group of holes may lie apart
 */
public record ReadOptions(
        PurposeRules rules,
        Map<String, Purpose> features,
        Set<String> turned,
        Set<String> settled,
        MendOptions mend,
        double circle) {

    public ReadOptions {
        features = Map.copyOf(features);
        turned = Set.copyOf(turned);
        settled = Set.copyOf(settled);
    }

    public static ReadOptions defaults() {
        return new ReadOptions(
                PurposeRules.NONE, Map.of(), Set.of(), Set.of(), MendOptions.defaults(), 0.01);
    }

    public ReadOptions withRules(PurposeRules wanted) {
        return new ReadOptions(wanted, features, turned, settled, mend, circle);
    }

    public ReadOptions withFeatures(Map<String, Purpose> purposes) {
        return new ReadOptions(rules, purposes, turned, settled, mend, circle);
    }

    public ReadOptions withTurned(Set<String> ids) {
        return new ReadOptions(rules, features, ids, settled, mend, circle);
    }

    public ReadOptions withSettled(Set<String> keys) {
        return new ReadOptions(rules, features, turned, keys, mend, circle);
    }

    public ReadOptions withMend(MendOptions options) {
        return new ReadOptions(rules, features, turned, settled, options, circle);
    }
}
