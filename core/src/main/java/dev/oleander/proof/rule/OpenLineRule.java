package dev.oleander.proof.rule;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

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
    public Outcome check(ProofInput input) {
        List<Feature> cut = input.reading().cut().toList();
        List<Finding> findings = new ArrayList<>();
        Set<String> dividing = new HashSet<>();
        Set<String> worked = new HashSet<>();
        for (Fault fault : input.reading().openFaults()) {
            if (fault.kind() == Fault.Kind.DIVISION) {
                dividing.addAll(fault.features());
                findings.add(dividing(input, fault));
            }
        }
        input.run().cut().forEach(stop -> worked.add(stop.feature()));
        cut.stream()
                .filter(f -> !f.isClosed() && !f.onPurpose())
                .filter(f -> !dividing.contains(f.id()) && !worked.contains(f.id()))
                .forEach(f -> findings.add(finding(input, f)));
        return new Outcome(cut.size(), findings);
    }

    private static Finding finding(ProofInput input, Feature feature) {
        Point start = feature.chain().start();
        double gap = start.distance(feature.chain().end());
        String sentence =
                "Line %s on layer %s is open and is not cut: its ends are %s apart. Close it in the drawing, cut it as a line, or ignore it (Shape)."
                        .formatted(feature.id(), feature.layer(), Numbers.length(gap));
        return Finding.of(Severity.MUST_FIX, "", placed(input, start), gap, 0, sentence);
    }

    /** Lines that divide something are told together. */
    private static Finding dividing(ProofInput input, Fault fault) {
        Point place = fault.place().map(p -> placed(input, p)).orElse(null);
        return Finding.of(Severity.MUST_FIX, "", place, fault.size(), 0, fault.sentence());
    }

    private static Point placed(ProofInput input, Point drawn) {
        return input.run().layout().placements().stream()
                .findFirst()
                .map(p -> p.transform().apply(drawn))
                .orElse(drawn);
    }
}
