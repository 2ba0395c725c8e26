package dev.oleander.proof;

import java.util.List;

/** One thing that is checked. Implementations have no state and are registered as services. */
public interface ProofRule {

    /** Short name, as in gouge. */
    String id();

    /** What it checks, for the list of rules. */
    String title();

    /** Word of the kind of work it is about; empty: any. */
    default String work() {
        return "";
    }

    Outcome check(ProofInput input);

    /**
     * @param checked how many things were looked at
     */
    record Outcome(int checked, List<Finding> findings) {

        public Outcome {
            findings = List.copyOf(findings);
        }
    }
}
