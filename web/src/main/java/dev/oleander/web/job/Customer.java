package dev.oleander.web.job;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** How a customer draws: the unit of files that do not say theirs, and what line work is for. */
@Entity
class Customer {

    @Id private String name;
    private String unit;

    @JdbcTypeCode(SqlTypes.JSON)
    private String rules;

    private Instant changedAt;

    protected Customer() {}

    Customer(String name) {
        this.name = name;
    }

    void learn(String symbol, String rulesJson, Instant at) {
        unit = symbol;
        rules = rulesJson;
        changedAt = at;
    }

    String name() {
        return name;
    }

    String unit() {
        return unit;
    }

    String rules() {
        return rules;
    }
}
