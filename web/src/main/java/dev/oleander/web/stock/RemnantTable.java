package dev.oleander.web.stock;

import dev.oleander.nesting.choice.Loop;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Remnants as the database has them. */
@Component
class RemnantTable {

    private static final int MOST = 500;

    private static final TypeReference<List<Loop>> LOOPS = new TypeReference<>() {};

    private static final RowMapper<Remnant> ROW =
            (row, i) ->
                    new Remnant(
                            row.getLong("id"),
                            row.getString("material"),
                            row.getDouble("thickness"),
                            row.getDouble("width"),
                            row.getDouble("height"),
                            loops(row.getString("outline")),
                            row.getObject("grain", Double.class),
                            row.getString("place"),
                            Remnant.State.valueOf(row.getString("state")),
                            row.getObject("origin_job", Long.class),
                            row.getString("origin"),
                            row.getObject("used_by", Long.class),
                            row.getTimestamp("made_at").toInstant());

    private final JdbcTemplate sql;

    RemnantTable(JdbcTemplate sql) {
        this.sql = sql;
    }

    private static List<Loop> loops(String kept) {
        return kept.isEmpty() ? List.of() : JsonMapper.shared().readValue(kept, LOOPS);
    }

    private static String kept(List<Loop> loops) {
        return loops.isEmpty() ? "" : JsonMapper.shared().writeValueAsString(loops);
    }

    /** All of a material and thickness that are free, the largest first. */
    List<Remnant> free(String material, double thickness) {
        return sql.query(
                "select * from remnant where lower(material) = lower(?)"
                        + " and abs(thickness - ?) < 0.000001 and state = 'FREE'"
                        + " order by width * height desc, id",
                ROW,
                material,
                thickness);
    }

    /**
     * @param text that material, origin or place contains, in lower case and masked for LIKE
     * @param all also those that are not free any more
     */
    List<Remnant> search(String text, boolean all) {
        return sql.query(
                "select * from remnant where (? = '' or lower(concat(id, ' ', material, ' ', origin, ' ', place))"
                        + " like concat('%', ?, '%') escape '!') and (? or state = 'FREE')"
                        + " order by id desc limit "
                        + MOST,
                ROW,
                text,
                text,
                all);
    }

    Optional<Remnant> find(long id) {
        return sql.query("select * from remnant where id = ?", ROW, id).stream().findFirst();
    }

    /** Keeps a new one; returns its number. */
    long add(Remnant r, long account) {
        return sql.queryForObject(
                "insert into remnant (material, thickness, width, height, outline, grain, place, state,"
                        + " origin_job, origin, made_by, made_at)"
                        + " values (?, ?, ?, ?, ?, ?, ?, 'FREE', ?, ?, ?, now()) returning id",
                Long.class,
                r.material(),
                r.thickness(),
                r.width(),
                r.height(),
                kept(r.outline()),
                r.grain(),
                r.place(),
                r.originJob(),
                r.origin(),
                account);
    }

    void place(long id, String place) {
        sql.update("update remnant set place = ? where id = ?", place, id);
    }

    /**
     * @return whether it was free
     */
    boolean gone(long id) {
        return sql.update("update remnant set state = 'GONE' where id = ? and state = 'FREE'", id)
                > 0;
    }

    /**
     * @return whether it was free, or used by this job already
     */
    boolean use(long id, long job) {
        return sql.update(
                        "update remnant set state = 'USED', used_by = ?"
                                + " where id = ? and (state = 'FREE' or used_by = ?)",
                        job,
                        id,
                        job)
                > 0;
    }

    /** What an earlier release of a job used is free again. */
    void release(long job) {
        sql.update(
                "update remnant set state = 'FREE', used_by = null where used_by = ? and state = 'USED'",
                job);
    }

    /** Forgets what an earlier release of a job was to leave, unless somebody uses it by now. */
    void forgetRests(long job) {
        sql.update("delete from remnant where origin_job = ? and state = 'FREE'", job);
    }
}
