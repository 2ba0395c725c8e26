package dev.oleander.work.pen;

import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import java.util.ArrayList;
import java.util.List;

/** The pen draws on the paper, not on the table. */
public final class OnPaperRule implements ProofRule {

    @Override
    public String id() {
        return "paper";
    }

    @Override
    public String title() {
        return "every line lies on the paper";
    }

    @Override
    public String work() {
        return "pen";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<Finding> findings = new ArrayList<>();
        for (Stop stop : input.run().stops()) {
            boolean on =
                    stop.path().orElseThrow().main().stream()
                            .allMatch(s -> s.box().beyond(input.run().layout().stock()) <= 1e-6);
            if (!on) {
                findings.add(
                        Finding.of(
                                Severity.MUST_FIX,
                                stop.id(),
                                stop.path().orElseThrow().start(),
                                0,
                                0,
                                "%s leaves the paper.".formatted(ProofInput.named(stop))));
            }
        }
        return new Outcome(input.run().stops().size(), findings);
    }
}
