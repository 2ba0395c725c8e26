package dev.oleander.work.router.proof;

import dev.oleander.plan.RunRules;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.ToolRow;
import dev.oleander.work.router.run.RouterPlan;
import java.util.Optional;

/** Operations that cannot be done as they are set, and an order in which they cannot. */
public final class RefusedRule extends RouterRule {

    public RefusedRule() {
        super("operation", "every operation can be done with its tool, in this order");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        RouterPlan plan = proof.plan();
        findings.checked(plan.stops().size());
        for (Stop stop : plan.run().refused()) {
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    stop.refusal().orElseThrow().place(),
                    0,
                    0,
                    stop.refusal().orElseThrow().sentence());
        }
        Optional<RunRules.Breach> breach = plan.rules().breach(plan.run().stops());
        breach.ifPresent(b -> findings.add(Severity.MUST_FIX, "", null, 0, 0, b.sentence()));
        plan.rowsInUse().stream()
                .filter(ToolRow::interpolated)
                .forEach(row -> between(row, findings));
    }

    private static void between(ToolRow row, Findings findings) {
        findings.add(
                Severity.NOTE,
                "",
                null,
                row.diameter(),
                0,
                "The data for %s tools of %s mm in %s lie between two rows of the book."
                        .formatted(row.kind(), Numbers.plain(row.diameter(), 3), row.material()));
    }
}
