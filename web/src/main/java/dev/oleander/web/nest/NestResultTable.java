package dev.oleander.web.nest;

import dev.oleander.web.nest.NestResult.State;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Searches and what they have found, as every node knows them. */
@Component
class NestResultTable {

    private static final TypeReference<List<NestResult.Point>> COURSE = new TypeReference<>() {};

    private static final String COLUMNS =
            "job_id, number, step, account_id, wish, state, began_at, seconds, problem, best, course";

    private static final RowMapper<NestResult> ROW =
            (row, i) ->
                    new NestResult(
                            row.getLong("job_id"),
                            row.getInt("number"),
                            row.getInt("step"),
                            row.getLong("account_id"),
                            json().readValue(row.getString("wish"), NestWish.class),
                            State.valueOf(row.getString("state")),
                            row.getTimestamp("began_at").toInstant(),
                            row.getDouble("seconds"),
                            row.getString("problem"),
                            best(row.getString("best")),
                            course(row.getString("course")));

    private static final Logger LOG = LoggerFactory.getLogger(NestResultTable.class);

    /** Searches of one job that may begin at the same moment. */
    private static final int MOST_AT_ONCE = 100;

    private final JdbcTemplate sql;

    NestResultTable(JdbcTemplate sql) {
        this.sql = sql;
    }

    private static JsonMapper json() {
        return JsonMapper.shared();
    }

    private static Optional<NestResult.Best> best(String kept) {
        return kept.isEmpty()
                ? Optional.empty()
                : Optional.of(json().readValue(kept, NestResult.Best.class));
    }

    private static List<NestResult.Point> course(String kept) {
        return kept.isEmpty() ? List.of() : json().readValue(kept, COURSE);
    }

    /** The newest searches of a job, the newest first; each comes with all that it has laid. */
    List<NestResult> of(long job, int most) {
        return sql.query(
                "select "
                        + COLUMNS
                        + " from nest_result where job_id = ? order by number desc limit ?",
                ROW,
                job,
                most);
    }

    Optional<NestResult> find(long job, int number) {
        return sql
                .query(
                        "select " + COLUMNS + " from nest_result where job_id = ? and number = ?",
                        ROW,
                        job,
                        number)
                .stream()
                .findFirst();
    }

    /** The newest of a job, if it is not over and nothing was heard of it for some seconds. */
    Optional<NestResult> silent(long job, int seconds) {
        return sql
                .query(
                        "select "
                                + COLUMNS
                                + " from nest_result where job_id = ? and state in ('WAITING', 'RUNNING')"
                                + " and told_at < now() - make_interval(secs => ?)"
                                + " order by number desc limit 1",
                        ROW,
                        job,
                        seconds)
                .stream()
                .findFirst();
    }

    /** Keeps a new one; returns its number. */
    int add(long job, int step, long account, NestWish wish) {
        for (int t = 1; t < MOST_AT_ONCE; t++) {
            try {
                return inserted(job, step, account, wish);
            } catch (DuplicateKeyException same) {
                LOG.debug("another search of job {} began at the same moment", job);
            }
        }
        return inserted(job, step, account, wish);
    }

    private int inserted(long job, int step, long account, NestWish wish) {
        return sql.queryForObject(
                "insert into nest_result (job_id, number, step, account_id, wish, state, began_at, told_at)"
                        + " select ?, coalesce(max(number), 0) + 1, ?, ?, ?, 'WAITING', now(), now()"
                        + " from nest_result where job_id = ? returning number",
                Integer.class,
                job,
                step,
                account,
                json().writeValueAsString(wish),
                job);
    }

    /** Nothing happens to one that is over. */
    void begin(long job, int number) {
        sql.update(
                "update nest_result set state = 'RUNNING', told_at = now()"
                        + " where job_id = ? and number = ? and state = 'WAITING'",
                job,
                number);
    }

    /** The best so far, also of one that was stopped. */
    void keep(
            long job,
            int number,
            NestResult.Best best,
            List<NestResult.Point> course,
            double seconds) {
        sql.update(
                "update nest_result set best = ?, course = ?, seconds = ?, told_at = now()"
                        + " where job_id = ? and number = ?",
                json().writeValueAsString(best),
                json().writeValueAsString(course),
                seconds,
                job,
                number);
    }

    /**
     * Nothing happens to one that is over.
     *
     * @return whether it was not
     */
    boolean end(long job, int number, State state, String problem) {
        return sql.update(
                        "update nest_result set state = ?, problem = ?, told_at = now()"
                                + " where job_id = ? and number = ? and state in ('WAITING', 'RUNNING')",
                        state.name(),
                        problem,
                        job,
                        number)
                > 0;
    }

    /** Ends all of a job that are not over. */
    void stop(long job) {
        sql.update(
                "update nest_result set state = 'STOPPED', told_at = now()"
                        + " where job_id = ? and state in ('WAITING', 'RUNNING')",
                job);
    }
}
