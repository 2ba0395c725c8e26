package dev.oleander.web.job.store;

import dev.oleander.web.account.Account;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;

/** One edit: the whole document after it, who made it and when. Never changed. */
@Entity
public class JobStep implements Persistable<JobStep.Key> {

    /** Parent of the first step. */
    public static final int NONE = 0;

    @Embeddable
    record Key(long jobId, int number) {}

    @EmbeddedId private Key id;
    private int parent;
    private String label;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "account_id")
    private Account account;

    private Instant madeAt;

    @Transient private boolean stored;

    protected JobStep() {}

    JobStep(Key id, int parent, String label, String document, Account account, Instant madeAt) {
        this.id = id;
        this.parent = parent;
        this.label = label;
        this.document = document;
        this.account = account;
        this.madeAt = madeAt;
    }

    @Override
    public Key getId() {
        return id;
    }

    /**
     * Steps have ids of their own making, so that Hibernate cannot tell new ones by a missing id.
     */
    @Override
    public boolean isNew() {
        return !stored;
    }

    @PostLoad
    @PostPersist
    void markStored() {
        stored = true;
    }

    int number() {
        return id.number();
    }

    int parent() {
        return parent;
    }

    String label() {
        return label;
    }

    String document() {
        return document;
    }

    Account account() {
        return account;
    }

    Instant madeAt() {
        return madeAt;
    }
}
