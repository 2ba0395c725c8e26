package dev.oleander.web.job.source;

import dev.oleander.web.seal.Hashes;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Transient;
import java.time.Instant;
import org.springframework.data.domain.Persistable;

/** A drawing file as it came in. Its id is known before it is kept. */
@Entity
public class DrawingFile implements Persistable<Long> {

    @Id private Long id;
    private Long jobId;
    private String name;
    private byte[] content;
    private String sha256;
    private Instant addedAt;

    /** Files are never changed: what is saved is new. */
    @Transient private final boolean added;

    protected DrawingFile() {
        added = false;
    }

    public DrawingFile(Long jobId, BroughtFiles.Brought file, Instant addedAt) {
        this.id = file.id();
        this.jobId = jobId;
        this.name = file.name();
        this.content = file.content();
        this.sha256 = Hashes.sha256(file.content());
        this.addedAt = addedAt;
        this.added = true;
    }

    @Override
    public Long getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return added;
    }

    BroughtFiles.Brought brought() {
        return new BroughtFiles.Brought(id, name, content);
    }
}
