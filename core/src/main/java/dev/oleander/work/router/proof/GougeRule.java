package dev.oleander.work.router.proof;

import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;

/** What is gone beyond what operations ask for. */
public final class GougeRule extends RouterRule {

    public GougeRule() {
        super("router-gouge", "nothing is taken away beyond what the drawing asks for");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        findings.checked(proof.plan().done().size());
        if (proof.plan().turns()) {
            return;
        }
        proof.difference()
                .gouge()
                .ifPresent(
                        gouge ->
                                findings.add(
                                        Severity.MUST_FIX,
                                        "",
                                        gouge.place(),
                                        gouge.area(),
                                        0,
                                        "%s mm² are cut beyond what is asked for, over %s mm of height."
                                                .formatted(
                                                        Numbers.plain(gouge.area(), 2),
                                                        Numbers.plain(gouge.height(), 3))));
    }
}
