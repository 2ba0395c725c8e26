package dev.oleander.proof.rule;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.List;

/** Lines meant to be cut that do not close and that nobody decided on. */
public final class OpenLineRule implements ProofRule {

    @Override
    public String id() {
        return "open";
    }

    @Override
    public String title() {
        return "every line to be cut is closed, or was chosen to stay open";
    }

    @Override
    public Work work() {
        return Work.ANY;
    }

    @Override
    public Outcome check(ProofInput input) {
        List<Feature> cut = input.reading().cut().toList();
        List<Finding> findings =
                cut.stream()
                        .filter(f -> !f.isClosed() && !f.onPurpose())
                        .map(f -> finding(input, f))
                        .toList();
        return new Outcome(cut.size(), findings);
    }

    private static Finding finding(ProofInput input, Feature feature) {
        Point start = feature.chain().start();
        double gap = start.distance(feature.chain().end());
        String sentence =
                "Line %s on layer %s is open and is not cut: its ends are %s apart. Close it in the drawing, cut it as a line, or ignore it (Shape)."
                        .formatted(feature.id(), feature.layer(), Numbers.length(gap));
        Point place =
                input.run().layout().placements().stream()
                        .findFirst()
                        .map(p -> p.transform().apply(start))
                        .orElse(start);
        return Finding.of(Severity.MUST_FIX, "", place, gap, 0, sentence);
    }
}
