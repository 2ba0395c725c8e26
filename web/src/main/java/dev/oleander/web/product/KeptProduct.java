package dev.oleander.web.product;

import dev.oleander.web.account.Account;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;

/** A product, and which of its steps is the present one. */
@Entity
@Table(name = "product")
class KeptProduct {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private int pointer;
    @Version private long version;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "changed_by")
    private Account changedBy;

    private Instant changedAt;

    protected KeptProduct() {}

    KeptProduct(String name, Account by, Instant at) {
        this.name = name;
        this.changedBy = by;
        this.changedAt = at;
    }

    Long id() {
        return id;
    }

    String name() {
        return name;
    }

    int pointer() {
        return pointer;
    }

    Account changedBy() {
        return changedBy;
    }

    Instant changedAt() {
        return changedAt;
    }

    void moveTo(int step, String called, Account by, Instant at) {
        this.pointer = step;
        this.name = called;
        this.changedBy = by;
        this.changedAt = at;
    }
}
