package dev.oleander.material;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import java.util.List;
import java.util.Map;

/** What is left of a run after its last move, compared with the drawing. */
public final class Remains {

    private Remains() {}

    /** All places of all copies, in the order of the run. */
    public static List<Leftover> of(Reading reading, Run run) {
        Map<String, Feature> features = reading.byId();
        Map<Integer, Transform> placed = run.layout().transforms();
        return run.stops().parallelStream()
                .flatMap(stop -> of(stop, features, placed).stream())
                .toList();
    }

    private static List<Leftover> of(
            Stop stop, Map<String, Feature> features, Map<Integer, Transform> placed) {
        return Leftover.of(stop, features.get(stop.feature()), placed.get(stop.copy()));
    }
}
