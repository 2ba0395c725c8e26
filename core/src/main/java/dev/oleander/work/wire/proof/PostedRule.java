package dev.oleander.work.wire.proof;

import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;

/** What is written for the controller moves the wire as planned, above and below. */
public final class PostedRule extends WireRule {

    /** mm */
    private static final double LIMIT = 1e-3;

    @Override
    public String id() {
        return "wire-posted";
    }

    @Override
    public String title() {
        return "offset by its registers, the written contour moves the wire as planned";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        WireMotion motion = WireMotion.of(plan);
        findings.checked(motion.posted().size());
        WireReplay.Result result =
                WireReplay.compare(
                        motion.wire(), motion.posted(), plan.registers(), plan.task().height());
        for (String fault : result.faults()) {
            findings.add(Severity.MUST_FIX, "", null, 0, 0, fault);
        }
        if (result.deviation() > LIMIT) {
            findings.add(
                    Severity.MUST_FIX,
                    "",
                    null,
                    result.deviation(),
                    LIMIT,
                    "The controller would move the wire up to %s off the plan."
                            .formatted(Numbers.length(result.deviation())));
        }
    }
}
