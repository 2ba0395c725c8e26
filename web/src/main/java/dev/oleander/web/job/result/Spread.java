package dev.oleander.web.job.result;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.Map;
import java.util.TreeMap;

/**
 * Where the drawings of several jobs are shown side by side; each was drawn about a zero of its
 * own, and would lie upon the others.
 */
public final class Spread {

    /** Share of the width of a drawing that is left before the next. */
    private static final double BETWEEN = 0.12;

    private final Map<String, Transform> shifts = new TreeMap<>();

    public Spread(Reading reading) {
        Map<String, Box> boxes = new TreeMap<>();
        for (Feature feature : reading.features()) {
            boxes.merge(FeatureKey.sourceOf(feature.id()), feature.chain().box(), Box::union);
        }
        double right = Double.NaN;
        for (Map.Entry<String, Box> entry : boxes.entrySet()) {
            Box box = entry.getValue();
            double by = Double.isNaN(right) ? 0 : right - box.min().x();
            shifts.put(entry.getKey(), Transform.translation(new Point(by, 0)));
            right = box.max().x() + by + BETWEEN * box.width();
        }
    }

    /** Whether there is more than one drawing. */
    public boolean isSeveral() {
        return shifts.size() > 1;
    }

    /** Where the drawing of a feature or part is shown. */
    public Transform of(String id) {
        return shifts.getOrDefault(FeatureKey.sourceOf(id), Transform.translation(Point.ORIGIN));
    }

    /** Round all of a reading as it is shown, mm. */
    public Box box(Reading reading) {
        return Box.around(
                reading.features().stream()
                        .map(f -> f.chain().transformed(of(f.id())).box())
                        .toList());
    }
}
