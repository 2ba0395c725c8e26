package dev.oleander.work.sheet.proof;

import dev.oleander.drawing.read.Reading;
import dev.oleander.material.MaterialState;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.proof.ProofInput;

/** What the rules about sheets look at. */
public final class SheetProof {

    /** Word of the kind of work. */
    public static final String WORK = "sheet";

    private SheetProof() {}

    public static ProofInput input(Reading reading, Run run, Timeline timeline) {
        return input(reading, run, timeline, MaterialState.of(reading, run, timeline));
    }

    /** The same where it is known already which pieces come free. */
    public static ProofInput input(
            Reading reading, Run run, Timeline timeline, MaterialState material) {
        return ProofInput.of(WORK, reading, run, timeline, material, run);
    }
}
