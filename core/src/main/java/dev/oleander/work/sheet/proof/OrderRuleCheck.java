package dev.oleander.work.sheet.proof;

import dev.oleander.plan.RunRules;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.work.sheet.order.Precedence;
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
        List<Stop> stops = input.run().stops();
        Optional<RunRules.Breach> breach =
                new Precedence(input.reading().byId()).rules(stops).breach(stops);
        List<Finding> findings =
                breach
                        .map(
                                b ->
                                        Finding.of(
                                                Severity.MUST_FIX,
                                                b.must().id(),
                                                b.must().path().map(p -> p.pierce()).orElse(null),
                                                b.must().number(),
                                                b.stop().number(),
                                                b.sentence()))
                        .stream()
                        .toList();
        return new Outcome(stops.size(), findings);
    }
}
