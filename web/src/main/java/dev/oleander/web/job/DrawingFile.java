package dev.oleander.web.job;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** A drawing file as it came in. */
@Entity
class DrawingFile {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private Long jobId;
    private String name;
    private byte[] content;
    private String sha256;
    private Instant addedAt;

    protected DrawingFile() {}

    DrawingFile(Long jobId, String name, byte[] content, String sha256, Instant addedAt) {
        this.jobId = jobId;
        this.name = name;
        this.content = content;
        this.sha256 = sha256;
        this.addedAt = addedAt;
    }

    Long id() {
        return id;
    }

    String name() {
        return name;
    }

    byte[] content() {
        return content;
    }
}
