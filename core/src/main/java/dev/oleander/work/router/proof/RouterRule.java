package dev.oleander.work.router.proof;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** A rule about a router's plan. */
abstract class RouterRule implements ProofRule {

    private final String id;
    private final String title;

    RouterRule(String id, String title) {
        this.id = id;
        this.title = title;
    }

    @Override
    public final String id() {
        return id;
    }

    @Override
    public final String title() {
        return title;
    }

    @Override
    public final String work() {
        return "router";
    }

    @Override
    public final Outcome check(ProofInput input) {
        Findings findings = new Findings(input);
        check(input.own(RouterProof.class), findings);
        return new Outcome(findings.checked, findings.all);
    }

    abstract void check(RouterProof proof, Findings findings);

    /** Collects what a rule found. */
    static final class Findings {

        private final ProofInput input;
        private final List<Finding> all = new ArrayList<>();
        private int checked;

        Findings(ProofInput input) {
            this.input = input;
        }

        void checked(int more) {
            checked += more;
        }

        /** What the program does that it must not, of one rule. */
        void faults(RouterProof proof, String rule) {
            faults(proof, rule, fault -> Severity.MUST_FIX);
        }

        /**
         * @param severity how bad each is
         */
        void faults(RouterProof proof, String rule, Function<Fault, Severity> severity) {
            for (Fault fault : proof.faults()) {
                if (fault.rule().equals(rule)) {
                    add(
                            severity.apply(fault),
                            fault.stop(),
                            fault.place(),
                            fault.value(),
                            fault.limit(),
                            fault.sentence());
                }
            }
        }

        /** Of a stop: its name, then what it does. */
        void add(
                Severity severity,
                String stop,
                Point place,
                double value,
                double limit,
                String sentence) {
            Stop of = input.stops().get(stop);
            String whole = of == null ? sentence : ProofInput.named(of) + ": " + sentence;
            all.add(Finding.of(severity, of == null ? "" : stop, place, value, limit, whole));
        }
    }
}
