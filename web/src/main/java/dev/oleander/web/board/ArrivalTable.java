package dev.oleander.web.board;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Large drawings that are not read yet, with what is asked of them. */
@Component
class ArrivalTable {

    private final JdbcTemplate sql;

    ArrivalTable(JdbcTemplate sql) {
        this.sql = sql;
    }

    /**
     * One of them.
     *
     * @param account id of who brought it
     */
    record Arrival(long id, long account, String fileName, byte[] content, IntakeForm form) {}

    /** One of them, for people. */
    record Line(long id, String fileName) {}

    /** Returns its id. */
    long keep(long account, String fileName, byte[] content, IntakeForm form) {
        return sql.queryForObject(
                "insert into arrival (account_id, file_name, content, form, brought_at)"
                        + " values (?, ?, ?, ?, now()) returning id",
                Long.class,
                account,
                fileName,
                content,
                JsonMapper.shared().writeValueAsString(form));
    }

    Optional<Arrival> find(long id) {
        return sql
                .query(
                        "select id, account_id, file_name, content, form from arrival where id = ?",
                        (row, n) ->
                                new Arrival(
                                        row.getLong(1),
                                        row.getLong(2),
                                        row.getString(3),
                                        row.getBytes(4),
                                        JsonMapper.shared()
                                                .readValue(row.getString(5), IntakeForm.class)),
                        id)
                .stream()
                .findFirst();
    }

    /** Those that somebody brought, the earliest first. */
    List<Line> of(long account) {
        return sql.query(
                "select id, file_name from arrival where account_id = ? order by id",
                (row, n) -> new Line(row.getLong(1), row.getString(2)),
                account);
    }

    /** Whether it was there. */
    boolean remove(long id) {
        return sql.update("delete from arrival where id = ?", id) > 0;
    }
}
