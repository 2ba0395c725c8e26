package dev.oleander.work.sheet.proof;

import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import java.util.List;

/** Findings from stops that the planner refused. */
final class RefusedStops {

    private RefusedStops() {}

    static List<Finding> of(ProofInput input, Refusal.Kind kind) {
        return input.run().refused().stream()
                .filter(s -> s.refusal().orElseThrow().kind() == kind)
                .map(RefusedStops::finding)
                .toList();
    }

    private static Finding finding(Stop stop) {
        Refusal refusal = stop.refusal().orElseThrow();
        return Finding.of(
                Severity.MUST_FIX,
                stop.id(),
                refusal.place(),
                refusal.value(),
                refusal.limit(),
                stop.refusalSentence().orElseThrow());
    }
}
