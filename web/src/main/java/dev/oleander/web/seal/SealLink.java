package dev.oleander.web.seal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

/** One link of the chain: a release in its place. */
@Entity
@Immutable
public class SealLink implements Persistable<Long> {

    @Id private Long place;
    private long releaseId;
    private String sha256;
    private String keyName;
    private String code;
    private Instant madeAt;

    protected SealLink() {}

    SealLink(long place, long releaseId, String sha256, SealKey key, String before, Instant at) {
        this.place = place;
        this.releaseId = releaseId;
        this.sha256 = sha256;
        this.keyName = key.name();
        this.madeAt = at;
        this.code = key.code(content(before));
    }

    /** What the code is made of. */
    private String content(String before) {
        return new Canonical("oleander seal link 1")
                .with("place", place)
                .with("release", releaseId)
                .with("sha256", sha256)
                .with("key", keyName)
                .with("at", madeAt)
                .with("before", before)
                .sha256();
    }

    /**
     * @param before code of the link before; null for the first
     */
    boolean isCodedWith(SealKey key, String before) {
        return key.code(content(before)).equals(code);
    }

    /** Counted from 1. */
    public long place() {
        return place;
    }

    public long releaseId() {
        return releaseId;
    }

    /** Of the release. */
    public String sha256() {
        return sha256;
    }

    String keyName() {
        return keyName;
    }

    String code() {
        return code;
    }

    @Override
    public Long getId() {
        return place;
    }

    /** Never loaded to be written again. */
    @Override
    public boolean isNew() {
        return true;
    }
}
