package dev.oleander.drawing.read;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds, for a contour of a part, the same contour on every other part that is equal to it. */
public final class Counterparts {

    private final Reading reading;
    private final double tolerance;
    private final CopyFinder finder;

    /**
     * @param tolerance mm; how far a contour may lie from its counterpart
     */
    public Counterparts(Reading reading, double tolerance) {
        this.reading = reading;
        this.tolerance = tolerance;
        this.finder = new CopyFinder(tolerance);
    }

    /**
     * By id of a feature on another part: the motion that carries the given one onto it. Empty for
     * features of no part.
     */
    public Map<String, Transform> of(Feature feature) {
        Map<String, Transform> found = new LinkedHashMap<>();
        Optional<Part> own = part(feature.part().orElse(""));
        for (Part other : own.isEmpty() ? List.<Part>of() : reading.parts()) {
            if (!other.id().equals(own.get().id()) && root(other).equals(root(own.get()))) {
                boolean over = other.mirrored() != own.get().mirrored();
                finder.motion(own.get().region(), other.region(), over)
                        .ifPresent(motion -> add(found, feature, other, motion));
            }
        }
        return found;
    }

    /** How many other parts of a reading are equal to one; 0 for one that it does not have. */
    public static long count(Reading reading, String part) {
        return reading.parts().stream()
                .filter(p -> p.id().equals(part))
                .findFirst()
                .map(
                        own ->
                                reading.parts().stream()
                                                .filter(p -> root(p).equals(root(own)))
                                                .count()
                                        - 1)
                .orElse(0L);
    }

    private Optional<Part> part(String id) {
        return reading.parts().stream().filter(p -> p.id().equals(id)).findFirst();
    }

    private static String root(Part part) {
        return part.copyOf().orElse(part.id());
    }

    private void add(Map<String, Transform> found, Feature feature, Part other, Transform motion) {
        Point start = motion.apply(feature.chain().start());
        Point middle = motion.apply(feature.chain().segments().get(0).middle());
        reading.features().stream()
                .filter(f -> f.part().filter(other.id()::equals).isPresent())
                .filter(f -> f.kind() == feature.kind() && f.isClosed())
                .filter(f -> isOn(start, f) && isOn(middle, f))
                .findFirst()
                .ifPresent(f -> found.put(f.id(), motion));
    }

    private boolean isOn(Point p, Feature feature) {
        return feature.chain().nearest(p).point().distance(p) <= 2 * tolerance;
    }
}
