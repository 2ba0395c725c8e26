package dev.oleander.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;

/** A secret that a program signs in with for a person; kept as a hash. */
@Entity
public class AccessToken {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(fetch = FetchType.EAGER)
    @JoinColumn(name = "account_id")
    private Account account;

    private String name;

    @Enumerated(EnumType.STRING)
    private TokenScope scope;

    private String hash;
    private Instant madeAt;
    private Instant endsAt;
    private Instant usedAt;
    private Instant revokedAt;

    protected AccessToken() {}

    AccessToken(
            Account account,
            String name,
            TokenScope scope,
            String hash,
            Instant madeAt,
            Instant endsAt) {
        this.account = account;
        this.name = name;
        this.scope = scope;
        this.hash = hash;
        this.madeAt = madeAt;
        this.endsAt = endsAt;
    }

    public Long id() {
        return id;
    }

    Account account() {
        return account;
    }

    public String name() {
        return name;
    }

    public TokenScope scope() {
        return scope;
    }

    public Instant madeAt() {
        return madeAt;
    }

    public Instant endsAt() {
        return endsAt;
    }

    /** To the minute; null: never. */
    public Instant usedAt() {
        return usedAt;
    }

    /** Whether it signs in at a moment. */
    public boolean holds(Instant now) {
        return revokedAt == null && now.isBefore(endsAt);
    }

    void revoke(Instant at) {
        revokedAt = at;
    }
}
