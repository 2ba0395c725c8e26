package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What of a drawing is cut by a wire, as what, and from which drawn holes. */
final class Subjects {

    private final Reading reading;
    private final WireChoices choices;
    private final Map<String, List<Feature>> holes = new HashMap<>();
    private final Set<String> uppers = new HashSet<>();

    Subjects(Reading reading, WireChoices choices) {
        this.reading = reading;
        this.choices = choices;
        for (Feature feature : reading.features()) {
            if (feature.purpose() == Purpose.START) {
                feature.place()
                        .startOf()
                        .ifPresent(
                                of ->
                                        holes.computeIfAbsent(of, k -> new ArrayList<>())
                                                .add(feature));
            }
        }
        choices.stops().values().stream()
                .filter(c -> c.upper() != null)
                .forEach(c -> uppers.add(c.upper().feature()));
    }

    /**
     * Features that are cut; an upper contour is cut with its lower one, an open line only when a
     * person said so.
     */
    List<Feature> all() {
        return reading.cut()
                .filter(f -> f.isClosed() || f.onPurpose())
                .filter(f -> !uppers.contains(f.id()))
                .toList();
    }

    /** Drawn start holes of a contour. */
    List<Feature> holesOf(Feature feature) {
        return holes.getOrDefault(feature.id(), List.of());
    }

    /**
     * A contour with its start hole inside is an opening, with the hole outside a punch; without a
     * hole, or where a person turned it, what the reading says.
     */
    WireKind kindOf(Feature feature) {
        if (!feature.isClosed()) {
            return WireKind.OPEN;
        }
        List<Feature> own = holesOf(feature);
        if (!own.isEmpty() && !feature.place().turned()) {
            Contour contour = feature.contour();
            boolean inside = own.stream().anyMatch(h -> contour.contains(centre(h)));
            return inside ? WireKind.OPENING : WireKind.PUNCH;
        }
        return feature.kind() == Feature.Kind.OPENING ? WireKind.OPENING : WireKind.PUNCH;
    }

    static Point centre(Feature hole) {
        return hole.contour().centroid();
    }

    /** Whether a contour is cut as a die and, beside it, as the punch for it. */
    boolean isSet(Feature feature) {
        return choices.sets().contains(feature.id());
    }
}
