package dev.oleander.proof;

import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import java.util.List;
import java.util.Optional;

/** What was checked and what was found. */
public record Proof(List<RuleRun> rules, List<Finding> findings, Timeline timeline) {

    /** A rule that ran, also when it found nothing. */
    public record RuleRun(String id, String title, int checked, int findings) {}

    public Proof {
        rules = List.copyOf(rules);
        findings = List.copyOf(findings);
    }

    /** Something is cut, and no finding stands against a release. */
    public boolean releasable() {
        return cuts() && findings.stream().noneMatch(Finding::blocks);
    }

    /** Whether anything is cut or marked at all. */
    public boolean cuts() {
        return timeline.program().items().stream()
                .anyMatch(i -> i instanceof Item.AtFeed move && move.on());
    }

    public long count(Severity severity) {
        return findings.stream().filter(f -> f.severity() == severity).count();
    }

    /** Findings that still ask for a person: must fix, and looks nobody accepted. */
    public List<Finding> open() {
        return findings.stream().filter(Finding::blocks).toList();
    }

    public Optional<Finding> finding(String id) {
        return findings.stream().filter(f -> f.id().equals(id)).findFirst();
    }
}
