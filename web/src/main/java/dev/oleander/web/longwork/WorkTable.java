package dev.oleander.web.longwork;

import dev.oleander.web.longwork.WorkState.Phase;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;

/** What every node knows of long works. */
@Component
class WorkTable {

    private static final String KEPT = "interval '1 day'";

    private static final RowMapper<WorkState> STATE =
            (row, i) ->
                    new WorkState(
                            row.getString("id"),
                            Phase.valueOf(row.getString("state")),
                            row.getDouble("share"),
                            row.getString("doing"),
                            row.getString("so_far"));

    private final JdbcTemplate sql;

    WorkTable(JdbcTemplate sql) {
        this.sql = sql;
    }

    Optional<WorkState> find(String id) {
        return sql
                .query(
                        "select id, state, share, doing, so_far from long_work where id = ?",
                        STATE,
                        id)
                .stream()
                .findFirst();
    }

    List<WorkState> find(List<String> ids) {
        return sql.query(
                "select id, state, share, doing, so_far from long_work where id = any(?)",
                STATE,
                (Object) ids.toArray(String[]::new));
    }

    /** Whether a newer one of the same subject is known that was not stopped. */
    boolean hasNewer(String subject, long version) {
        return Boolean.TRUE.equals(
                sql.queryForObject(
                        "select exists (select 1 from long_work where subject = ? and version > ?"
                                + " and state in ('WAITING', 'RUNNING', 'DONE'))",
                        Boolean.class,
                        subject,
                        version));
    }

    int waiting() {
        return sql.queryForObject(
                "select count(*) from long_work where state = 'WAITING'", Integer.class);
    }

    /** Works of a person that are not over. */
    int of(Long account) {
        return account == null
                ? 0
                : sql.queryForObject(
                        "select count(*) from long_work where account_id = ? and state in ('WAITING', 'RUNNING')",
                        Integer.class,
                        account);
    }

    /**
     * @param task what does it
     * @return whether it was not known
     */
    boolean add(String id, String task, String subject, long version, Long account) {
        sql.update("delete from long_work where told_at < now() - " + KEPT);
        return sql.update(
                        "insert into long_work (id, task, subject, version, account_id, state, share, doing, wanted_at, told_at)"
                                + " values (?, ?, ?, ?, ?, 'WAITING', 0, 'Waiting for its turn', now(), now())"
                                + " on conflict (id) do nothing",
                        id,
                        task,
                        subject,
                        version,
                        account)
                > 0;
    }

    /** Tasks of those that were stopped by it: older ones of the subject. */
    List<String> stopOlder(String subject, long version) {
        return sql.queryForList(
                "update long_work set state = 'STOPPED', doing = 'A newer state came', told_at = now()"
                        + " where subject = ? and version < ? and state in ('WAITING', 'RUNNING') returning task",
                String.class,
                subject,
                version);
    }

    /** Tasks of those that were stopped. */
    List<String> stop(String subject) {
        return sql.queryForList(
                "update long_work set state = 'STOPPED', doing = 'Stopped', told_at = now()"
                        + " where subject = ? and state in ('WAITING', 'RUNNING') returning task",
                String.class,
                subject);
    }

    /** Forgets what was stopped or failed, so that it can be wanted again. */
    void forgetEnded(String subject) {
        sql.update(
                "delete from long_work where subject = ? and state in ('STOPPED', 'FAILED')",
                subject);
    }

    /** The id of the work that a task is to do; empty when nobody wants it any more. */
    Optional<String> workOf(String task) {
        return sql
                .queryForList(
                        "select id from long_work where task = ? and state in ('WAITING', 'RUNNING')",
                        String.class,
                        task)
                .stream()
                .findFirst();
    }

    /** Forgets one that nobody wants; gives what was to do it. */
    List<String> forget(String id) {
        return sql.queryForList(
                "delete from long_work where id = ? and state in ('WAITING', 'RUNNING') returning task",
                String.class,
                id);
    }

    /**
     * @return whether it is still wanted
     */
    boolean tell(String task, double share, String doing, String node) {
        return sql.update(
                        "update long_work set state = 'RUNNING', share = ?, doing = ?, node = ?, told_at = now()"
                                + " where task = ? and state in ('WAITING', 'RUNNING')",
                        share,
                        doing,
                        node,
                        task)
                > 0;
    }

    /**
     * @return whether it is still wanted
     */
    boolean keep(String task, String soFar) {
        return sql.update(
                        "update long_work set so_far = ?, told_at = now()"
                                + " where task = ? and state in ('WAITING', 'RUNNING')",
                        soFar,
                        task)
                > 0;
    }

    /** Nothing happens to one that is over. */
    void end(String task, Phase phase, String doing) {
        sql.update(
                "update long_work set state = ?, share = ?, doing = ?, told_at = now()"
                        + " where task = ? and state in ('WAITING', 'RUNNING')",
                phase.name(),
                phase == Phase.DONE ? 1 : 0,
                doing,
                task);
    }
}
