package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;

/** A rule about a wire's plan. */
abstract class WireRule implements ProofRule {

    private static final double MM3_PER_M3 = 1e9;

    @Override
    public final String work() {
        return WireProof.WORK;
    }

    @Override
    public final Outcome check(ProofInput input) {
        Findings findings = new Findings();
        check(input.own(WirePlan.class), input, findings);
        return new Outcome(findings.checked, findings.all);
    }

    abstract void check(WirePlan plan, ProofInput input, Findings findings);

    /** Collects what a rule found. */
    static final class Findings {
        private final List<Finding> all = new ArrayList<>();
        private int checked;

        void checked(int more) {
            checked += more;
        }

        void add(
                Severity severity,
                String stop,
                Point place,
                double value,
                double limit,
                String sentence) {
            all.add(Finding.of(severity, stop, place, value, limit, sentence));
        }
    }

    /** Of a piece of the work, kg; its area in mm2. */
    static double mass(WirePlan plan, double area) {
        return area * plan.task().height() / MM3_PER_M3 * plan.task().density();
    }

    /** Every visit with its stop, in the order of the run. */
    static void visits(WirePlan plan, BiConsumer<Stop, WireVisit> each) {
        for (Stop stop : plan.run().stops()) {
            plan.visit(stop.id()).ifPresent(visit -> each.accept(stop, visit));
        }
    }
}
