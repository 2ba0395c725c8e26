package dev.oleander.work.sheet.proof;

import dev.oleander.proof.ProofRule;

/** A rule about what is cut from a sheet. */
interface SheetRule extends ProofRule {

    @Override
    default String work() {
        return SheetProof.WORK;
    }
}
