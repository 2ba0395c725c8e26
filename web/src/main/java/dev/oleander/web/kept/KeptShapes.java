package dev.oleander.web.kept;

import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What the shop draws again and again: values of a drawing command under a name. */
@Component
public class KeptShapes {

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final int LONGEST_NAME = 60;

    /** Of one command; more nobody finds anything in. */
    private static final int MOST = 200;

    private static final RowMapper<Kept> ROW =
            (row, i) ->
                    new Kept(
                            row.getLong("id"),
                            row.getString("name"),
                            row.getString("full_name"),
                            JSON.readValue(
                                    row.getString("values"),
                                    new TypeReference<Map<String, String>>() {}));

    private final JdbcTemplate sql;
    private final Clock clock;

    KeptShapes(JdbcTemplate sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * Values that were kept.
     *
     * @param owner who kept them
     * @param values formulas by name of a value
     */
    public record Kept(long id, String name, String owner, Map<String, String> values) {

        /** For the page. */
        public String json() {
            return JSON.writeValueAsString(values);
        }
    }

    /** What is kept of a command, by name. */
    public List<Kept> of(String command) {
        return sql.query(
                "select k.id, k.name, k.\"values\", a.full_name from kept_shape k"
                        + " join account a on a.id = k.account_id where k.command = ? order by k.name",
                ROW,
                command);
    }

    /**
     * Keeps values under a name; what had the name before is replaced.
     *
     * @throws RefusedEditException when the name is none, or there are too many
     */
    public void keep(String command, String name, Map<String, String> values, SignedIn who) {
        String called = name.strip();
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw new RefusedEditException(
                    "A name has 1 to %d characters, not %d."
                            .formatted(LONGEST_NAME, called.length()));
        }
        List<Kept> there = of(command);
        boolean known = there.stream().anyMatch(k -> k.name().equals(called));
        if (!known && there.size() >= MOST) {
            throw new RefusedEditException(
                    "%d are kept of this; %d are the limit: forget some."
                            .formatted(there.size(), MOST));
        }
        sql.update(
                "insert into kept_shape (command, name, \"values\", account_id, kept_at)"
                        + " values (?, ?, ?, ?, ?) on conflict (command, name) do update"
                        + " set \"values\" = excluded.\"values\", account_id = excluded.account_id,"
                        + " kept_at = excluded.kept_at",
                command,
                called,
                JSON.writeValueAsString(new TreeMap<>(values)),
                who.id(),
                Timestamp.from(clock.instant()));
    }

    /** What is not there any more is forgotten already. */
    public void forget(long id) {
        sql.update("delete from kept_shape where id = ?", id);
    }
}
