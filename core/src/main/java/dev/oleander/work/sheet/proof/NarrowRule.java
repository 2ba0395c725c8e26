package dev.oleander.work.sheet.proof;

import dev.oleander.plan.stop.Refusal;
import dev.oleander.proof.ProofInput;

/** Openings and necks that the kerf does not fit into. */
public final class NarrowRule implements SheetRule {

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
