package dev.oleander.work.wire.proof;

import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.List;

/** The wire is threaded where a hole is, and the hole is wide enough. */
public final class ThreadRule extends WireRule {

    /** mm */
    private static final double AT_HOLE = 1e-6;

    /** mm of room for the wire in a hole. */
    private static final double ROOM = 0.1;

    @Override
    public String id() {
        return "wire-thread";
    }

    @Override
    public String title() {
        return "the wire is threaded only where a hole is";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        List<StartHole> holes = plan.holes();
        visits(
                plan,
                (stop, visit) -> {
                    for (WireVisit.Step step : visit.steps()) {
                        if (step instanceof WireVisit.Thread thread) {
                            findings.checked(1);
                            thread(plan, holes, stop, thread, findings);
                        }
                    }
                });
        long proposed = holes.stream().filter(h -> h.given() == StartHole.Given.PROPOSED).count();
        if (proposed > 0) {
            findings.add(
                    Severity.NOTE,
                    "",
                    null,
                    proposed,
                    0,
                    "%d start %s not in the drawing and %s to be drilled: see the drilling list."
                            .formatted(
                                    proposed,
                                    proposed == 1 ? "hole is" : "holes are",
                                    proposed == 1 ? "has" : "have"));
        }
    }

    private static void thread(
            WirePlan plan,
            List<StartHole> holes,
            Stop stop,
            WireVisit.Thread thread,
            Findings findings) {
        StartHole hole =
                holes.stream()
                        .filter(h -> h.at().distance(thread.at()) < AT_HOLE)
                        .findFirst()
                        .orElse(null);
        if (hole == null) {
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    thread.at(),
                    0,
                    0,
                    "%s threads the wire where no hole is.".formatted(ProofInput.named(stop)));
            return;
        }
        double wire = plan.settings().get(stop.subject()).row().wireDiameter();
        boolean narrow = hole.given() != StartHole.Given.EDGE && hole.diameter() < wire + ROOM;
        if (narrow) {
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    hole.at(),
                    hole.diameter(),
                    wire + ROOM,
                    "%s: the start hole of %s is too narrow for a wire of %s."
                            .formatted(
                                    ProofInput.named(stop),
                                    Numbers.length(hole.diameter()),
                                    Numbers.length(wire)));
        }
    }
}
