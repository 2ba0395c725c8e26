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
        return ProofInput.of(
                WORK, reading, run, timeline, MaterialState.of(reading, run, timeline), run);
    }
}
