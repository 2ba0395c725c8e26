package dev.oleander.drawing.read;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Openings of one form and size that are not round: slots, keyholes, windows. */
public record FormGroup(Form form, List<String> features) {

    public FormGroup {
        features = List.copyOf(features);
    }

    public int count() {
        return features.size();
    }

    /** Groups in the order of their first feature; forms without a name are left out. */
    static List<FormGroup> of(List<Feature> features) {
        Map<String, List<Feature>> byLabel = new LinkedHashMap<>();
        for (Feature f : features) {
            if (PartBuilder.isCut(f, Feature.Kind.OPENING) && isNamed(f)) {
                byLabel.computeIfAbsent(f.form().orElseThrow().label(), l -> new ArrayList<>())
                        .add(f);
            }
        }
        return byLabel.values().stream()
                .map(
                        same ->
                                new FormGroup(
                                        same.get(0).form().orElseThrow(),
                                        same.stream().map(Feature::id).toList()))
                .toList();
    }

    private static boolean isNamed(Feature f) {
        Form.Kind kind = f.form().map(Form::kind).orElse(Form.Kind.OTHER);
        return kind != Form.Kind.OTHER && kind != Form.Kind.CIRCLE;
    }
}
