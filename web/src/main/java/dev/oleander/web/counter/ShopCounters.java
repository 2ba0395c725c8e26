package dev.oleander.web.counter;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Counters of the shop: each number is given once, with the release that writes it. */
@Component
public class ShopCounters {

    private final JdbcTemplate sql;
    private final Clock clock;

    ShopCounters(JdbcTemplate sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * Numbers that a release took.
     *
     * @param first number
     * @param last number
     */
    public record Use(
            String counter, long first, long last, long job, String revision, Instant at) {}

    /** A counter and the number it gives next. */
    public record Counter(String name, long next) {}

    /** Which numbers come next; of what nobody counted yet, 1. */
    public Map<String, Long> next(Collection<String> names) {
        Map<String, Long> next = new TreeMap<>();
        names.forEach(name -> next.put(name, 1L));
        sql.query(
                "select name, next from counter where name = any(?)",
                row -> {
                    next.put(row.getString("name"), row.getLong("next"));
                },
                (Object) names.toArray(String[]::new));
        return next;
    }

    /** All of them by name. */
    public List<Counter> all() {
        return sql.query(
                "select name, next from counter order by name",
                (row, i) -> new Counter(row.getString("name"), row.getLong("next")));
    }

    /** The newest uses of a counter. */
    public List<Use> uses(String counter, int most) {
        return uses("where counter = ? order by id desc limit ?", counter, most);
    }

    private List<Use> uses(String where, Object... values) {
        return sql.query(
                "select counter, first, last, job_id, revision, taken_at from counter_use " + where,
                (row, i) ->
                        new Use(
                                row.getString("counter"),
                                row.getLong("first"),
                                row.getLong("last"),
                                row.getLong("job_id"),
                                row.getString("revision"),
                                row.getTimestamp("taken_at").toInstant()),
                values);
    }

    /**
     * Takes numbers within the transaction of a release.
     *
     * @throws NumberTakenException when any of them, or one after them, was taken before
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void take(String counter, long first, long last, long job, String revision) {
        sql.update(
                "insert into counter (name, next) values (?, 1) on conflict do nothing", counter);
        int taken =
                sql.update(
                        "update counter set next = ? where name = ? and next <= ?",
                        last + 1,
                        counter,
                        first);
        if (taken == 0) {
            throw taken(counter, first);
        }
        sql.update(
                "insert into counter_use (counter, first, last, job_id, revision, taken_at)"
                        + " values (?, ?, ?, ?, ?, ?)",
                counter,
                first,
                last,
                job,
                revision,
                Timestamp.from(clock.instant()));
    }

    private NumberTakenException taken(String counter, long first) {
        return uses("where counter = ? and last >= ? order by last limit 1", counter, first)
                .stream()
                .findFirst()
                .map(
                        use ->
                                new NumberTakenException(
                                        use, first, next(List.of(counter)).get(counter)))
                .orElseThrow();
    }
}
