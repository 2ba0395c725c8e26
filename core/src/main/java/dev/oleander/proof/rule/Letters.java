package dev.oleander.proof.rule;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.plan.bed.Placement;
import dev.oleander.proof.ProofInput;
import java.util.HashMap;
import java.util.Map;

/** Tells the letters of a drawing, which were written here, from all other line work. */
final class Letters {

    private final Map<String, String> types = new HashMap<>();

    Letters(Reading reading) {
        for (Entity entity : reading.drawing().entities()) {
            types.put(entity.key(), entity.type());
        }
    }

    /** Whether it is made of nothing but letters. */
    boolean are(Feature feature) {
        return !feature.sources().isEmpty()
                && feature.sources().stream().allMatch(s -> Entity.TEXT.equals(types.get(s)));
    }

    /** Where a place of the drawing lies on the sheet, of the first copy. */
    static Point onSheet(ProofInput input, Point place) {
        return input.run().layout().placements().stream()
                .findFirst()
                .map(Placement::transform)
                .map(t -> t.apply(place))
                .orElse(place);
    }
}
