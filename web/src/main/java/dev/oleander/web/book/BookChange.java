package dev.oleander.web.book;

import dev.oleander.web.account.Account;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One change of a cut book. Never changed itself; the latest one of a subject holds. */
@Entity
class BookChange {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String machine;
    private String subject;

    @JdbcTypeCode(SqlTypes.JSON)
    private String before;

    @JdbcTypeCode(SqlTypes.JSON)
    private String after;

    private String note;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "account")
    private Account account;

    private Instant at;

    protected BookChange() {}

    /**
     * @param subject id of the row, or the material of a waterjet
     * @param before JSON; null when there was nothing
     * @param after JSON; null when it was taken away
     */
    BookChange(
            String machine,
            String subject,
            String before,
            String after,
            String note,
            Account account,
            Instant at) {
        this.machine = machine;
        this.subject = subject;
        this.before = before;
        this.after = after;
        this.note = note;
        this.account = account;
        this.at = at;
    }

    String subject() {
        return subject;
    }

    String before() {
        return before;
    }

    String after() {
        return after;
    }

    /** What it was changed to; empty: taken away. */
    Optional<JsonNode> json() {
        return Optional.ofNullable(after).map(JsonMapper.shared()::readTree);
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
