package dev.oleander.work.wire.proof;

import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.flank.LeanCheck;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.HashMap;
import java.util.Map;

/** The wire leans no more than the machine can; where it comes near to that, somebody looks. */
public final class LeanRule extends WireRule {

    private static final double NEAR = 0.85;

    @Override
    public String id() {
        return "wire-angle";
    }

    @Override
    public String title() {
        return "the wire leans no more than guides and machine can";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        WireUnit wire = WireUnit.of(plan.task().machine());
        LeanCheck check = new LeanCheck(wire, plan.task().height());
        Map<Stop, LeanCheck.Lean> worst = new HashMap<>();
        visits(
                plan,
                (stop, visit) -> {
                    for (WireCut cut : visit.cuts()) {
                        if (cut.isLeaning()) {
                            findings.checked(cut.way().size());
                            worst.merge(stop, check.greatest(cut.way()), LeanCheck.Lean::orMore);
                        }
                    }
                });
        for (Stop stop : plan.run().stops()) {
            LeanCheck.Lean lean = worst.get(stop);
            if (lean != null && lean.angle() > NEAR * wire.greatestAngle()) {
                boolean beyond = lean.angle() > wire.greatestAngle() + 1e-9;
                findings.add(
                        beyond ? Severity.MUST_FIX : Severity.LOOK,
                        stop.id(),
                        lean.place(),
                        lean.angle(),
                        wire.greatestAngle(),
                        "%s: the wire leans by %s°; the machine can %s°."
                                .formatted(
                                        ProofInput.named(stop),
                                        Numbers.plain(lean.angle(), 2),
                                        Numbers.plain(wire.greatestAngle(), 1)));
            }
            if (lean != null && lean.guides() > wire.uvTravel() + 1e-9) {
                findings.add(
                        Severity.MUST_FIX,
                        stop.id(),
                        lean.guidesAt(),
                        lean.guides(),
                        wire.uvTravel(),
                        "%s: the guides would be %s apart along one axis; they can %s."
                                .formatted(
                                        ProofInput.named(stop),
                                        Numbers.length(lean.guides()),
                                        Numbers.length(wire.uvTravel())));
            }
        }
    }
}
