package dev.oleander.drawing.read;

import dev.oleander.drawing.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/** Readings of several jobs as one, in which every id names its source. */
public final class JoinedReading {

    private JoinedReading() {}

    /**
     * @param sources by name: letters, digits and hyphens only; one may have none, and keeps its
     *     ids
     * @return all features and parts, each where it is in the drawing of its source
     * @throws IllegalArgumentException when there are none, or a name is not possible
     */
    public static Reading of(Map<String, Reading> sources) {
        List<Feature> features = new ArrayList<>();
        List<Part> parts = new ArrayList<>();
        List<HoleGroup> holes = new ArrayList<>();
        List<Fault> faults = new ArrayList<>();
        Map<String, Purpose> layers = new TreeMap<>();
        sources.forEach(
                (name, reading) -> {
                    if (!name.matches("[A-Za-z0-9-]*")) {
                        throw new IllegalArgumentException("not a name of a source: " + name);
                    }
                    UnaryOperator<String> id = old -> FeatureKey.inSource(name, old);
                    reading.features().forEach(f -> features.add(renamed(f, id)));
                    reading.parts().forEach(p -> parts.add(renamed(p, id)));
                    reading.holes()
                            .forEach(
                                    h ->
                                            holes.add(
                                                    new HoleGroup(
                                                            h.diameter(), all(h.features(), id))));
                    reading.faults().forEach(f -> faults.add(f.of(all(f.features(), id))));
                    layers.putAll(reading.layerPurposes());
                });
        Reading first =
                sources.values().stream()
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("no sources"));
        return new Reading(first.drawing(), features, parts, holes, faults, layers);
    }

    private static Feature renamed(Feature f, UnaryOperator<String> id) {
        Feature.Place at = f.place();
        return new Feature(
                id.apply(f.id()),
                f.chain(),
                f.form(),
                f.purpose(),
                f.style(),
                new Feature.Place(
                        at.kind(),
                        at.depth(),
                        renamed(at.parent(), id),
                        renamed(at.part(), id),
                        at.turned(),
                        renamed(at.startOf(), id)),
                f.onPurpose(),
                f.sources());
    }

    private static Part renamed(Part p, UnaryOperator<String> id) {
        return new Part(
                id.apply(p.id()),
                id.apply(p.outline()),
                all(p.openings(), id),
                p.region(),
                renamed(p.copyOf(), id),
                p.mirrored());
    }

    private static Optional<String> renamed(Optional<String> old, UnaryOperator<String> id) {
        return old.map(id);
    }

    private static List<String> all(List<String> old, UnaryOperator<String> id) {
        return old.stream().map(id).toList();
    }
}
