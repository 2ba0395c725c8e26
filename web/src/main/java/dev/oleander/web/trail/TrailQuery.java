package dev.oleander.web.trail;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Reads what anybody did, the latest first. */
@Component
public class TrailQuery {

    private static final int PAGE = 100;
    private static final int FETCHED_AT_ONCE = 1_000;

    private final JdbcTemplate sql;
    private final Clock clock;

    TrailQuery(JdbcTemplate sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * What is asked for; empty or null: all.
     *
     * @param person user name
     * @param kind sign in, account, token, job, release, cut book, format
     * @param text that stands in what was done or in a job's name
     * @param from first day, in UTC
     * @param to last day
     */
    public record Wish(String person, String kind, String text, LocalDate from, LocalDate to) {}

    /**
     * @param job id; null: it is about none
     */
    public record Entry(
            Instant at,
            String person,
            String username,
            String kind,
            String what,
            Long job,
            String jobName,
            String address) {}

    /** Entries of one page, and whether there are more. */
    public record Page(List<Entry> entries, boolean more) {}

    /**
     * @param page from 0
     */
    public Page page(Wish wish, int page) {
        List<Entry> found = new ArrayList<>();
        run(wish, null, " limit %d offset %d".formatted(PAGE + 1, (long) page * PAGE), found::add);
        boolean more = found.size() > PAGE;
        return new Page(more ? List.copyOf(found.subList(0, PAGE)) : found, more);
    }

    /**
     * All that was done by now, a thousand at a time, so that no connection waits for whoever takes
     * them.
     */
    public void each(Wish wish, Consumer<Entry> take) {
        Instant now = clock.instant();
        List<Entry> some = new ArrayList<>();
        long at = 0;
        do {
            some.clear();
            run(wish, now, " limit %d offset %d".formatted(FETCHED_AT_ONCE, at), some::add);
            some.forEach(take);
            at += some.size();
        } while (some.size() == FETCHED_AT_ONCE);
    }

    /**
     * @param until nothing after it; null: all
     */
    private void run(Wish wish, Instant until, String end, Consumer<Entry> take) {
        List<Object> values = new ArrayList<>();
        StringBuilder query =
                new StringBuilder(
                        "select t.at, a.full_name, a.username, t.kind, t.what, t.job_id, j.name, t.address"
                                + " from trail t left join account a on a.id = t.account_id"
                                + " left join job j on j.id = t.job_id where true");
        if (isGiven(wish.person())) {
            query.append(" and a.username = ?");
            values.add(wish.person());
        }
        if (isGiven(wish.kind())) {
            query.append(" and t.kind = ?");
            values.add(wish.kind());
        }
        if (isGiven(wish.text())) {
            query.append(
                    " and (strpos(lower(t.what), lower(?)) > 0 or strpos(lower(j.name), lower(?)) > 0)");
            values.add(wish.text());
            values.add(wish.text());
        }
        if (wish.from() != null) {
            query.append(" and t.at >= ?");
            values.add(start(wish.from()));
        }
        if (wish.to() != null) {
            query.append(" and t.at < ?");
            values.add(start(wish.to().plusDays(1)));
        }
        if (until != null) {
            query.append(" and t.at <= ?");
            values.add(Timestamp.from(until));
        }
        query.append(" order by t.at desc, t.what, t.job_id").append(end);
        sql.query(
                connection -> {
                    var statement = connection.prepareStatement(query.toString());
                    for (int i = 0; i < values.size(); i++) {
                        statement.setObject(i + 1, values.get(i));
                    }
                    return statement;
                },
                row -> {
                    long job = row.getLong(6);
                    take.accept(
                            new Entry(
                                    row.getTimestamp(1).toInstant(),
                                    row.getString(2),
                                    row.getString(3),
                                    row.getString(4),
                                    row.getString(5),
                                    job == 0 ? null : Long.valueOf(job),
                                    row.getString(7),
                                    row.getString(8)));
                });
    }

    private static boolean isGiven(String value) {
        return value != null && !value.isBlank();
    }

    private static Timestamp start(LocalDate day) {
        return Timestamp.from(day.atStartOfDay(ZoneOffset.UTC).toInstant());
    }

    /** Kinds that there are. */
    public static List<String> kinds() {
        return List.of("sign in", "account", "token", "job", "release", "cut book", "format");
    }
}
