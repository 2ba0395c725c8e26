package dev.oleander.web.format;

import dev.oleander.web.account.Account;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;

/** A description of a format as it was saved once. Never changed itself. */
@Entity
class FormatVersion {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private int version;
    private String description;
    private String note;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "account")
    private Account account;

    private Instant at;

    protected FormatVersion() {}

    FormatVersion(
            String name,
            int version,
            String description,
            String note,
            Account account,
            Instant at) {
        this.name = name;
        this.version = version;
        this.description = description;
        this.note = note;
        this.account = account;
        this.at = at;
    }

    String name() {
        return name;
    }

    int version() {
        return version;
    }

    String description() {
        return description;
    }

    String note() {
        return note;
    }

    String by() {
        return account.fullName();
    }

    Instant at() {
        return at;
    }
}
