package dev.oleander.work.sheet.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.KeptMaterial.Nearness;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;

/** Leads that reach into kept material, and pierces too near to it. */
public final class LeadRule implements SheetRule {

    @Override
    public String id() {
        return "lead";
    }

    @Override
    public String title() {
        return "leads and pierces keep clear of kept material";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<Finding> findings = new ArrayList<>(RefusedStops.of(input, Refusal.Kind.LEAD_BITES));
        Swath swath = new Swath(input);
        swath.intrusions(Swath::isLead)
                .forEach((stop, near) -> findings.add(intrusion(stop, near)));
        int pierces = 0;
        for (Stop stop : input.run().stops()) {
            boolean pierced = stop.kind() == Stop.Kind.PROFILE && stop.path().isPresent();
            if (pierced && stop.side() != Side.ON && !beginsInKerf(stop)) {
                pierces++;
                checkPierce(input, stop, findings);
            }
        }
        return new Outcome(swath.checked() + pierces, findings);
    }

    /** On a common line nothing is burnt through: the kerf is open already. */
    private static boolean beginsInKerf(Stop stop) {
        return !SheetCut.of(stop).shared().isEmpty()
                && stop.path().orElseThrow().leadIn().isEmpty();
    }

    private static Finding intrusion(Stop stop, Nearness near) {
        double half = Swath.halfKerf(stop);
        String sentence =
                "The lead of stop %d (%s) cuts %s into %s. Shorten it, turn it, or let Oleander place it."
                        .formatted(
                                stop.number(),
                                stop.name(),
                                Numbers.length(near.intrusion(half)),
                                near.piece().label());
        return Finding.of(
                Severity.MUST_FIX, stop.id(), near.place(), near.intrusion(half), 0, sentence);
    }

    private static void checkPierce(ProofInput input, Stop stop, List<Finding> findings) {
        double needed = SheetCut.of(stop).row().orElseThrow().pierceClearance();
        Point pierce = stop.path().orElseThrow().pierce();
        // a point as a line of a micrometre, far below what is measured
        Line spot = new Line(pierce, pierce.plus(new Point(1e-3, 0)));
        Nearness near = input.kept().nearest(spot, needed);
        boolean tooNear = near != null && !near.inside() && near.distance() < needed - 1e-2;
        if (tooNear) {
            String sentence =
                    "The pierce of stop %d (%s) lies %s from %s; its data asks for %s."
                            .formatted(
                                    stop.number(),
                                    stop.name(),
                                    Numbers.length(near.distance()),
                                    near.piece().label(),
                                    Numbers.length(needed));
            findings.add(
                    Finding.of(
                            Severity.LOOK, stop.id(), pierce, near.distance(), needed, sentence));
        }
    }
}
