package dev.oleander.work.router.proof;

import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Engaged;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Manner;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.pocket.Engagement;
import dev.oleander.work.router.tool.Tool;
import java.util.Map;

/** Pockets that are to be cleared evenly are, but where the tool goes in. */
public final class EngagementRule extends RouterRule {

    /** Share by which it may be more than wished. */
    private static final double MORE = 1.05;

    /** Rounds of the entry, in circumferences of the tool, that are as wide as the tool. */
    private static final double ENTRY = 2;

    public EngagementRule() {
        super("engagement", "no tool is more in the work than wished where it clears evenly");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        // of all pockets, so that nobody who asks for it later has to wait
        Map<String, Engaged> engaged = proof.engaged();
        for (RouterStop stop : proof.plan().done()) {
            proof.plan()
                    .clearing(stop)
                    .filter(clear -> clear.manner().kind() == Manner.Kind.EVEN)
                    .ifPresent(clear -> even(proof, stop, clear, engaged.get(stop.id()), findings));
        }
    }

    private static void even(
            RouterProof proof, RouterStop stop, Clear clear, Engaged engaged, Findings findings) {
        findings.checked(1);
        double diameter = stop.tool().orElseThrow().diameter();
        Tool of = stop.tool().orElseThrow();
        double over = clear.over(of, proof.plan().task().steps().apply(of).over());
        Engagement tool = new Engagement(diameter / 2);
        double wished = Math.toDegrees(tool.straight(over * diameter));
        if (engaged.peak() > MORE * wished) {
            findings.add(
                    Severity.LOOK,
                    stop.id(),
                    stop.begin(),
                    engaged.peak(),
                    MORE * wished,
                    "the tool is in the work by up to %s°; wished are %s°."
                            .formatted(Numbers.plain(engaged.peak(), 1), Numbers.plain(wished, 1)));
        }
        double most = ENTRY * Math.PI * diameter;
        if (engaged.full() > most) {
            findings.add(
                    Severity.LOOK,
                    stop.id(),
                    stop.begin(),
                    engaged.full(),
                    most,
                    "the tool cuts as wide as it is on %s mm, where the pocket has no more room."
                            .formatted(Numbers.plain(engaged.full(), 1)));
        }
    }
}
