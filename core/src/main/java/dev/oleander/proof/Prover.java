package dev.oleander.proof;

import dev.oleander.motion.Timeline;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Proof.RuleRun;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;

/** Runs all rules over a program. */
public final class Prover {

    private final List<ProofRule> rules;

    public Prover(List<ProofRule> rules) {
        this.rules = List.copyOf(rules);
    }

    /** With every rule that is registered, in the order of their names. */
    public static Prover withAllRules() {
        return new Prover(
                ServiceLoader.load(ProofRule.class).stream()
                        .map(ServiceLoader.Provider::get)
                        .sorted(Comparator.comparing(ProofRule::id))
                        .toList());
    }

    /** All rules, in the order in which they run. */
    public List<ProofRule> rules() {
        return rules;
    }

    /**
     * @param acceptances reasons by {@link Finding#key()}
     */
    public Proof prove(ProofInput input, Map<String, String> acceptances) {
        return prove(input, acceptances, Progress.NONE);
    }

    /** The same, telling how far it is. */
    public Proof prove(ProofInput input, Map<String, String> acceptances, Progress progress) {
        Map<String, Double> moments = moments(input.timeline());
        EqualFindings equal = new EqualFindings(input.stops());
        List<RuleRun> runs = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        List<ProofRule> fitting =
                rules.stream()
                        .filter(r -> r.work().isEmpty() || r.work().equals(input.work()))
                        .toList();
        for (ProofRule rule : fitting) {
            progress.at((double) runs.size() / fitting.size(), "Proving that " + rule.title());
            ProofRule.Outcome outcome = rule.check(input);
            List<Finding> folded = equal.folded(outcome.findings());
            runs.add(new RuleRun(rule.id(), rule.title(), outcome.checked(), folded.size()));
            for (Finding found : folded) {
                findings.add(
                        found.with(
                                "",
                                rule.id(),
                                moments.getOrDefault(found.stop(), 0.0),
                                Optional.empty()));
            }
        }
        findings.sort(Comparator.comparing(Finding::severity).thenComparing(Finding::moment));
        List<Finding> numbered = new ArrayList<>(findings.size());
        for (Finding f : findings) {
            String id = "f" + (numbered.size() + 1);
            Optional<String> reason =
                    f.severity() == Severity.LOOK
                            ? Optional.ofNullable(acceptances.get(f.key()))
                            : Optional.empty();
            numbered.add(f.with(id, f.rule(), f.moment(), reason));
        }
        return new Proof(runs, numbered, input.timeline());
    }

    /** When each stop begins. */
    private static Map<String, Double> moments(Timeline timeline) {
        Map<String, Double> moments = new HashMap<>();
        for (int i = 0; i < timeline.program().size(); i++) {
            String stop = timeline.program().items().get(i).origin().stop();
            moments.putIfAbsent(stop, i == 0 ? 0 : timeline.ends()[i - 1]);
        }
        return moments;
    }
}
