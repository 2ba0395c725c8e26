package dev.oleander.work.router.proof;

import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Difference.Piece;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;

/** Stock that is left of what operations ask for, whatever their tools and allowances do. */
public final class RestRule extends RouterRule {

    public RestRule() {
        super("rest", "nothing is left of what the drawing asks to be taken away");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        findings.checked(proof.plan().done().size());
        if (proof.plan().turns()) {
            return;
        }
        RouterTask task = proof.plan().task();
        for (Piece rest : proof.difference().rests()) {
            boolean through =
                    proof.plan().stop(rest.stop()).filter(s -> goesThrough(s, task)).isPresent();
            findings.add(
                    through ? Severity.MUST_FIX : Severity.LOOK,
                    rest.stop(),
                    rest.place(),
                    rest.area(),
                    0,
                    "%s mm² of stock is left, %s mm high."
                            .formatted(
                                    Numbers.plain(rest.area(), 2),
                                    Numbers.plain(rest.height(), 3)));
        }
    }

    private static boolean goesThrough(RouterStop stop, RouterTask task) {
        return stop.wanted().depth() >= task.thickness();
    }
}
