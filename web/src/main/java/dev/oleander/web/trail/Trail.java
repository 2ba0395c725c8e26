package dev.oleander.web.trail;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.Locale;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Writes down what people do that leaves no row of its own. */
@Component
public class Trail {

    private static final int LONGEST = 300;
    private static final int LONGEST_ADDRESS = 60;

    /** What an entry is about. */
    public enum Kind {
        SIGN_IN,
        ACCOUNT,
        TOKEN,
        STOCK,
        JOB;

        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
    }

    private final JdbcTemplate sql;
    private final Clock clock;

    Trail(JdbcTemplate sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * @param account id of who did it; null: nobody knows
     * @param address where it came from; null: it does not matter
     */
    public void write(Long account, Kind kind, String what, String address) {
        insert(account, kind, what, null, address);
    }

    /** Something that was done to the stock of the shop. */
    public void ofStock(long account, String what) {
        insert(account, Kind.STOCK, what, null, null);
    }

    /** Something that was done to a job. */
    public void ofJob(long account, long job, String what) {
        insert(account, Kind.JOB, what, job, null);
    }

    private void insert(Long account, Kind kind, String what, Long job, String address) {
        sql.update(
                "insert into trail_entry (at, account_id, kind, what, job_id, address)"
                        + " values (?, ?, ?, ?, ?, ?)",
                Timestamp.from(clock.instant()),
                account,
                kind.word(),
                cut(what, LONGEST),
                job,
                address == null ? null : cut(address, LONGEST_ADDRESS));
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }
}
