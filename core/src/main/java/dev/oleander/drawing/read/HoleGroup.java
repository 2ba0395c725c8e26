package dev.oleander.drawing.read;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Round openings of one diameter, mm. */
public record HoleGroup(double diameter, List<String> features) {

    public HoleGroup {
        features = List.copyOf(features);
    }

    public int count() {
        return features.size();
    }

    /** Groups by diameter, the smallest first; within a group all lie within the tolerance. */
    static List<HoleGroup> of(List<Feature> features, double tolerance) {
        List<Feature> round =
                features.stream()
                        .filter(f -> PartBuilder.isCut(f, Feature.Kind.OPENING))
                        .filter(f -> f.circleDiameter().isPresent())
                        .sorted(Comparator.comparingDouble(HoleGroup::diameterOf))
                        .toList();
        List<HoleGroup> groups = new ArrayList<>();
        List<Feature> same = new ArrayList<>();
        for (Feature hole : round) {
            if (!same.isEmpty() && diameterOf(hole) - diameterOf(same.get(0)) > tolerance) {
                groups.add(group(same));
                same.clear();
            }
            same.add(hole);
        }
        if (!same.isEmpty()) {
            groups.add(group(same));
        }
        return groups;
    }

    private static HoleGroup group(List<Feature> same) {
        double mean = same.stream().mapToDouble(HoleGroup::diameterOf).average().orElseThrow();
        return new HoleGroup(mean, same.stream().map(Feature::id).toList());
    }

    private static double diameterOf(Feature hole) {
        return hole.circleDiameter().getAsDouble();
    }
}
