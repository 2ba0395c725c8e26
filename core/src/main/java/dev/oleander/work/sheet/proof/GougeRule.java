package dev.oleander.work.sheet.proof;

import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.KeptMaterial.Nearness;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** The swath of a cut reaches into kept material, or the cut runs on the wrong side. */
public final class GougeRule implements SheetRule {

    @Override
    public String id() {
        return "gouge";
    }

    @Override
    public String title() {
        return "no cut reaches into kept material";
    }

    @Override
    public Outcome check(ProofInput input) {
        Swath swath = new Swath(input);
        List<Finding> findings = new ArrayList<>();
        swath.intrusions((stop, segment) -> !Swath.isLead(stop, segment))
                .forEach((stop, near) -> findings.add(finding(stop, near)));
        return new Outcome(swath.checked(), findings);
    }

    private static Finding finding(Stop stop, Nearness near) {
        double depth = near.intrusion(Swath.halfKerf(stop));
        boolean own = near.piece().part().equals(stop.part()) && near.piece().copy() == stop.copy();
        String what =
                near.inside() && own
                        ? "%s runs on the wrong side: it cuts %s into %s."
                        : own
                                ? "%s cuts %s into %s."
                                : "%s cuts %s into %s, which lies too close. Move them apart.";
        String sentence =
                what.formatted(ProofInput.named(stop), Numbers.length(depth), near.piece().label());
        return Finding.of(Severity.MUST_FIX, stop.id(), near.place(), depth, 0, sentence);
    }
}
