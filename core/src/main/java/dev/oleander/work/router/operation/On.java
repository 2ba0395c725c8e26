package dev.oleander.work.router.operation;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import java.util.List;
import java.util.Optional;

/**
 * Which features something is done to: those that all of what is said fits.
 *
 * @param layer by its name; empty: on any
 * @param contours by their ids; none: any
 * @param diameter of whole circles, mm; empty: of any, and of other forms
 */
public record On(Optional<String> layer, List<String> contours, Optional<Double> diameter) {

    /** mm within which diameters are equal. */
    public static final double SAME = 0.01;

    public On {
        contours = List.copyOf(contours);
    }

    public static On layer(String name) {
        return new On(Optional.of(name), List.of(), Optional.empty());
    }

    public static On contours(List<String> ids) {
        return new On(Optional.empty(), ids, Optional.empty());
    }

    /** In the order of the drawing. */
    public List<Feature> of(Reading reading) {
        return reading.features().stream().filter(this::fits).toList();
    }

    private boolean fits(Feature feature) {
        return layer.map(feature.layer()::equals).orElse(true)
                && (contours.isEmpty() || contours.contains(feature.id()))
                && diameter.map(d -> hasDiameter(feature, d)).orElse(true);
    }

    /** Whether it is a circle of a diameter, mm. */
    public static boolean hasDiameter(Feature feature, double diameter) {
        return feature.circleDiameter().isPresent()
                && Math.abs(feature.circleDiameter().getAsDouble() - diameter) <= SAME;
    }

    /** For people: layer RECESS. */
    public String sentence() {
        return layer.map(l -> "layer " + l)
                .orElseGet(() -> contours.isEmpty() ? "everything" : String.join(", ", contours));
    }
}
