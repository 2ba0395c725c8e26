package dev.oleander.work.wire.proof;

import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.LinkedHashSet;
import java.util.Set;

/** Stops that cannot be cut as they are set, and data that were computed between two heights. */
public final class WireRefusedRule extends WireRule {

    @Override
    public String id() {
        return "wire-cut";
    }

    @Override
    public String title() {
        return "every profile can be cut with its data, passes and holds";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        findings.checked(plan.run().stops().size());
        for (Stop stop : plan.run().refused()) {
            Refusal refusal = stop.refusal().orElseThrow();
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    refusal.place(),
                    refusal.value(),
                    refusal.limit(),
                    stop.refusalSentence().orElseThrow());
        }
        Set<String> between = new LinkedHashSet<>();
        for (WireSettings settings : plan.settings().values()) {
            if (settings.row().interpolated()) {
                between.add(settings.row().label());
            }
        }
        for (String label : between) {
            findings.add(
                    Severity.LOOK,
                    "",
                    null,
                    plan.task().height(),
                    0,
                    "The data for %s were computed between two heights of the book. Cut a trial."
                            .formatted(label));
        }
    }
}
