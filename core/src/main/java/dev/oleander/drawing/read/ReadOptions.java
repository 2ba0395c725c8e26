package dev.oleander.drawing.read;

import dev.oleander.drawing.mend.MendOptions;
import java.util.Map;

/**
 * What people decided about a drawing.
 *
 * @param layers purpose by layer; others are guessed from the name
 * @param features purpose by feature, before that of its layer
 * @param circle mm; how far arcs of one contour may differ and still be one circle, and how far
 *     diameters of one group of holes may lie apart
 */
public record ReadOptions(
        Map<String, Purpose> layers,
        Map<String, Purpose> features,
        MendOptions mend,
        double circle) {

    public ReadOptions {
        layers = Map.copyOf(layers);
        features = Map.copyOf(features);
    }

    public static ReadOptions defaults() {
        return new ReadOptions(Map.of(), Map.of(), MendOptions.defaults(), 0.01);
    }

    public ReadOptions withLayers(Map<String, Purpose> purposes) {
        return new ReadOptions(purposes, features, mend, circle);
    }

    public ReadOptions withFeatures(Map<String, Purpose> purposes) {
        return new ReadOptions(layers, purposes, mend, circle);
    }

    public Purpose purposeOf(String layer) {
        Purpose decided = layers.get(layer);
        return decided != null ? decided : Purpose.guess(layer);
    }
}
