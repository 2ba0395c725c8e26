package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Optional;

/** What a feature is called on the run line. */
final class FeatureNames {

    /** Share of the size within which sides of a slot count as equal. */
    private static final double EQUAL = 1e-4;

    private FeatureNames() {}

    static String of(Feature feature) {
        if (!feature.isClosed()) {
            return "Line " + size(feature.chain().length());
        }
        boolean outline = feature.kind() == Feature.Kind.OUTLINE;
        if (feature.circleDiameter().isPresent()) {
            String kind = outline ? "Disc Ø " : "Hole Ø ";
            return kind + size(feature.circleDiameter().getAsDouble());
        }
        if (outline) {
            return "Outline";
        }
        Box box = feature.chain().box();
        return slot(feature).orElse("Opening " + size(box.width()) + " × " + size(box.height()));
    }

    /** Two half circles of one radius joined by two lines. */
    private static Optional<String> slot(Feature feature) {
        List<Segment> segments = feature.chain().segments();
        List<Arc> arcs =
                segments.stream().filter(Arc.class::isInstance).map(Arc.class::cast).toList();
        List<Segment> lines = segments.stream().filter(Line.class::isInstance).toList();
        if (arcs.size() != 2 || lines.size() != 2) {
            return Optional.empty();
        }
        double radius = arcs.get(0).radius();
        boolean halves =
                arcs.stream()
                        .allMatch(
                                a ->
                                        Math.abs(a.bulge() - 1) < EQUAL
                                                && Math.abs(a.radius() - radius) < EQUAL * radius);
        double straight = lines.get(0).length();
        if (!halves || Math.abs(straight - lines.get(1).length()) > EQUAL * straight) {
            return Optional.empty();
        }
        return Optional.of("Slot " + size(2 * radius) + " × " + size(straight + 2 * radius));
    }

    private static String size(double mm) {
        return Numbers.plain(mm, 2);
    }
}
