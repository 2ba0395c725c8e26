package dev.oleander.web.release;

import dev.oleander.proof.Finding;
import java.util.List;

/** Something forbids the release: findings, or a text that does not do what was planned. */
public final class ReleaseRefusedException extends RuntimeException {

    private final transient List<Finding> findings;

    ReleaseRefusedException(String message, List<Finding> findings) {
        super(message);
        this.findings = List.copyOf(findings);
    }

    public List<Finding> findings() {
        return findings;
    }
}
