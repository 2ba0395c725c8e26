package dev.oleander.work.router.deed;

import dev.oleander.drawing.Label;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Depths that texts in a drawing say: a text belongs to the innermost closed contour that it stands
 * in, as far as that is worked from its inside, or else to the line that it stands beside.
 */
final class DepthTexts {

    /** 8, 8 mm, 8 DEEP, DEPTH 8, T8, Z-8. */
    private static final Pattern DEPTH =
            Pattern.compile(
                    "(?:(?:DEPTH|DEEP|T|Z)\\s*[=:]?\\s*)?-?(\\d+(?:[.,]\\d+)?)\\s*(?:MM)?\\s*(?:DEEP)?");

    /** mm from a line within which a text stands beside it. */
    private static final double BESIDE = 6;

    private final Map<String, Double> byFeature = new HashMap<>();

    DepthTexts(Reading reading) {
        for (Label label : reading.drawing().labels()) {
            Matcher depth = DEPTH.matcher(label.text().toUpperCase(Locale.ROOT));
            if (depth.matches()) {
                double mm = Double.parseDouble(depth.group(1).replace(',', '.'));
                of(label, reading.features()).ifPresent(f -> byFeature.putIfAbsent(f.id(), mm));
            }
        }
    }

    /** What a text says about a feature, mm. */
    Optional<Double> of(Feature feature) {
        return Optional.ofNullable(byFeature.get(feature.id()));
    }

    private static Optional<Feature> of(Label label, List<Feature> features) {
        Feature innermost = null;
        for (Feature feature : features) {
            boolean in =
                    feature.isClosed()
                            && feature.kind() != Feature.Kind.OUTLINE
                            && feature.chain().box().contains(label.place())
                            && feature.contour().contains(label.place());
            if (in && (innermost == null || feature.area() < innermost.area())) {
                innermost = feature;
            }
        }
        return innermost == null ? beside(label, features) : Optional.of(innermost);
    }

    private static Optional<Feature> beside(Label label, List<Feature> features) {
        Feature nearest = null;
        double least = BESIDE;
        Box place = new Box(label.place(), label.place());
        for (Feature feature : features) {
            boolean far =
                    feature.kind() == Feature.Kind.OUTLINE
                            || feature.chain().box().distance(place) >= least;
            double away =
                    far
                            ? Double.POSITIVE_INFINITY
                            : feature.chain()
                                    .nearest(label.place())
                                    .point()
                                    .distance(label.place());
            if (away < least) {
                least = away;
                nearest = feature;
            }
        }
        return Optional.ofNullable(nearest);
    }
}
