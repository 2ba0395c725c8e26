package dev.oleander.work.wire.proof;

import dev.oleander.drawing.read.Reading;
import dev.oleander.material.MaterialState;
import dev.oleander.motion.Timeline;
import dev.oleander.proof.ProofInput;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.List;

/** What the rules about a wire look at. */
public final class WireProof {

    /** Word of the kind of work. */
    public static final String WORK = "wire";

    private WireProof() {}

    /** What comes free its own rules say. */
    public static ProofInput input(Reading reading, WirePlan plan, Timeline timeline) {
        return ProofInput.of(
                WORK, reading, plan.run(), timeline, new MaterialState(List.of()), plan);
    }
}
