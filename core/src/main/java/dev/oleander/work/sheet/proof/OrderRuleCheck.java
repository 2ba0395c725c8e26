package dev.oleander.work.sheet.proof;

import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.work.sheet.plan.Precedence;
import java.util.List;
import java.util.Optional;

/** Nothing is cut in a piece that is free already. */
public final class OrderRuleCheck implements SheetRule {

    @Override
    public String id() {
        return "order";
    }

    @Override
    public String title() {
        return "nothing is cut in a piece that is already free";
    }

    @Override
    public Outcome check(ProofInput input) {
        Optional<Precedence.Breach> breach =
                new Precedence(input.reading().byId()).firstBreach(input.run().stops());
        List<Finding> findings =
                breach
                        .map(
                                b ->
                                        Finding.of(
                                                Severity.MUST_FIX,
                                                b.late().id(),
                                                b.late().path().map(p -> p.pierce()).orElse(null),
                                                b.late().number(),
                                                b.early().number(),
                                                b.sentence()))
                        .stream()
                        .toList();
        return new Outcome(input.run().stops().size(), findings);
    }
}
