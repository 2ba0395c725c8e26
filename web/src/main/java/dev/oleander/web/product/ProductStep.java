package dev.oleander.web.product;

import dev.oleander.web.account.Account;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One edit of a product: the whole document after it, who made it and when. Never changed. */
@Entity
class ProductStep {

    /** Parent of the first step. */
    static final int NONE = 0;

    @Embeddable
    record Key(long productId, int number) {}

    @EmbeddedId private Key id;
    private int parent;
    private String label;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "account_id")
    private Account account;

    private Instant madeAt;

    protected ProductStep() {}

    ProductStep(Key id, int parent, String label, String document, Account account, Instant at) {
        this.id = id;
        this.parent = parent;
        this.label = label;
        this.document = document;
        this.account = account;
        this.madeAt = at;
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
}
