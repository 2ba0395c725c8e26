package dev.oleander.proof.rule;

import dev.oleander.plan.Refusal;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;

/** Openings and necks that the kerf does not fit into. */
public final class NarrowRule implements ProofRule {

    @Override
    public String id() {
        return "narrow";
    }

    @Override
    public String title() {
        return "the kerf fits into every contour";
    }

    @Override
    public Outcome check(ProofInput input) {
        return new Outcome(
                input.run().stops().size(), RefusedStops.of(input, Refusal.Kind.TOO_NARROW));
    }
}
