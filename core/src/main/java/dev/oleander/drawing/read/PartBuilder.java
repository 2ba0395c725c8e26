package dev.oleander.drawing.read;

import dev.oleander.geometry.Region;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes parts of nested contours and finds those that are equal. */
final class PartBuilder {

    private final CopyFinder copies;

    /**
     * @param tolerance mm; how far copies may differ
     */
    PartBuilder(double tolerance) {
        this.copies = new CopyFinder(tolerance);
    }

    List<Part> parts(List<Feature> features) {
        Map<String, List<Feature>> openingsOf = new HashMap<>();
        for (Feature feature : features) {
            if (isCut(feature, Feature.Kind.OPENING)) {
                String parent = feature.parent().orElse("");
                openingsOf.computeIfAbsent(parent, p -> new ArrayList<>()).add(feature);
            }
        }
        List<Part> parts = new ArrayList<>();
        for (Feature outline : features) {
            if (isCut(outline, Feature.Kind.OUTLINE)) {
                List<Feature> openings = openingsOf.getOrDefault(outline.id(), List.of());
                Region region =
                        new Region(
                                outline.contour(),
                                openings.stream().map(Feature::contour).toList());
                parts.add(
                        new Part(
                                "p" + (parts.size() + 1),
                                outline.id(),
                                openings.stream().map(Feature::id).toList(),
                                region,
                                Optional.empty(),
                                false));
            }
        }
        return copies.mark(parts);
    }

    static boolean isCut(Feature feature, Feature.Kind kind) {
        return feature.purpose() == Purpose.CUT && feature.kind() == kind;
    }

    static List<Feature> withParts(List<Feature> features, List<Part> parts) {
        Map<String, String> partOf = new HashMap<>();
        for (Part part : parts) {
            partOf.put(part.outline(), part.id());
            part.openings().forEach(o -> partOf.put(o, part.id()));
        }
        return features.stream()
                .map(
                        f -> {
                            String own = partOf.get(f.id());
                            String part = own != null ? own : partOf.get(f.parent().orElse(""));
                            return f.placed(f.place().inPart(Optional.ofNullable(part)));
                        })
                .toList();
    }
}
