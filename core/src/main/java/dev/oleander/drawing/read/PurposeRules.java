package dev.oleander.drawing.read;

import dev.oleander.drawing.Style;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What people decided line work is for, by layer, colour and line type; the layer is asked first.
 *
 * @param startDiameters mm; circles of these diameters are start holes
 */
public record PurposeRules(
        Map<String, Purpose> layers,
        Map<String, Purpose> colours,
        Map<String, Purpose> lineTypes,
        List<Double> startDiameters) {

    public static final PurposeRules NONE =
            new PurposeRules(Map.of(), Map.of(), Map.of(), List.of());

    /** What a rule goes by. */
    public enum By {
        LAYER,
        COLOUR,
        LINE_TYPE
    }

    public PurposeRules {
        layers = Map.copyOf(layers);
        colours = Map.copyOf(colours);
        lineTypes = Map.copyOf(lineTypes);
        startDiameters = List.copyOf(startDiameters);
    }

    /** Rules for layers only. */
    public static PurposeRules ofLayers(Map<String, Purpose> layers) {
        return new PurposeRules(layers, Map.of(), Map.of(), List.of());
    }

    public Map<String, Purpose> by(By by) {
        return switch (by) {
            case LAYER -> layers;
            case COLOUR -> colours;
            case LINE_TYPE -> lineTypes;
        };
    }

    /** These rules with one more; null takes it away. */
    public PurposeRules with(By by, String value, Purpose purpose) {
        Map<String, Purpose> changed = new TreeMap<>(by(by));
        if (purpose == null) {
            changed.remove(value);
        } else {
            changed.put(value, purpose);
        }
        return new PurposeRules(
                by == By.LAYER ? changed : layers,
                by == By.COLOUR ? changed : colours,
                by == By.LINE_TYPE ? changed : lineTypes,
                startDiameters);
    }

    public PurposeRules withStartDiameters(List<Double> millimetres) {
        return new PurposeRules(layers, colours, lineTypes, millimetres);
    }

    /**
     * What is decided for a layer, null when nothing is. Names of layers are alike whatever their
     * case, as in DXF; where two differ by case alone, each has its own rule.
     */
    public Purpose ofLayer(String name) {
        Purpose exact = layers.get(name);
        return exact != null
                ? exact
                : layers.entrySet().stream()
                        .filter(e -> e.getKey().equalsIgnoreCase(name))
                        .map(Map.Entry::getValue)
                        .findFirst()
                        .orElse(null);
    }

    /** What the first rule says that fits, or what the names suggest. */
    public Purpose of(Style style) {
        Purpose decided = ofLayer(style.layer());
        decided = decided == null ? colours.get(style.colour()) : decided;
        decided = decided == null ? lineTypes.get(style.lineType()) : decided;
        return decided == null ? Purpose.guess(style) : decided;
    }
}
