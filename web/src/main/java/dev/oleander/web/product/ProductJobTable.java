package dev.oleander.web.product;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Jobs of the clampings of panels, as the database has them. */
@Component
class ProductJobTable {

    private static final int LONGEST = 500;

    private final JdbcTemplate sql;

    ProductJobTable(JdbcTemplate sql) {
        this.sql = sql;
    }

    /**
     * A clamping's job.
     *
     * @param clamping from 1
     * @param madeOf what it was made of, as a hash
     * @param nest the nest on which the panel lies, whose program it then is; null: it lies alone
     * @param next what has to be done next, as the board says it
     * @param revision released last of the job's present step; null: none
     * @param seconds of the program, as it is released or else planned; null: not known
     */
    record Link(
            String panel,
            int clamping,
            long job,
            String madeOf,
            Long nest,
            String next,
            String revision,
            Double seconds) {

        /** The job whose program is run. */
        long program() {
            return nest == null ? job : nest;
        }
    }

    List<Link> of(long product) {
        return sql.query(
                """
                select p.panel, p.clamping, p.job_id, p.made_of, p.nest_id, j.next_action, r.revision,
                    case when p.nest_id is null then coalesce(r.seconds, p.seconds)
                        else p.seconds end as seconds
                from product_job p join job j on j.id = coalesce(p.nest_id, p.job_id)
                left join lateral (
                    select revision, seconds from release
                    where job_id = j.id and not trial and step = j.pointer
                    order by id desc limit 1) r on true
                where p.product_id = ? order by p.panel, p.clamping
                """,
                (row, i) ->
                        new Link(
                                row.getString("panel"),
                                row.getInt("clamping"),
                                row.getLong("job_id"),
                                row.getString("made_of"),
                                row.getObject("nest_id", Long.class),
                                row.getString("next_action"),
                                row.getString("revision"),
                                row.getObject("seconds", Double.class)),
                product);
    }

    /** How long the program of a clamping takes for one panel. */
    void seconds(long product, String panel, int clamping, double seconds) {
        sql.update(
                "update product_job set seconds = ? where product_id = ? and panel = ? and clamping = ?",
                seconds,
                product,
                panel,
                clamping);
    }

    /**
     * What people at the machine have said.
     *
     * @param by who said it last
     */
    record Tick(String panel, int clamping, int done, String by) {}

    List<Tick> ticks(long product) {
        return sql.query(
                "select t.panel, t.clamping, t.done, a.full_name from product_tick t"
                        + " join account a on a.id = t.account_id where t.product_id = ?",
                (row, i) ->
                        new Tick(
                                row.getString("panel"),
                                row.getInt("clamping"),
                                row.getInt("done"),
                                row.getString("full_name")),
                product);
    }

    void tick(long product, String panel, int clamping, int done, long account) {
        sql.update(
                """
                insert into product_tick (product_id, panel, clamping, done, account_id, made_at)
                values (?, ?, ?, ?, ?, now())
                on conflict (product_id, panel, clamping)
                do update set done = excluded.done, account_id = excluded.account_id, made_at = now()
                """,
                product,
                panel,
                clamping,
                done,
                account);
    }

    void put(long product, String panel, int clamping, long job, String madeOf) {
        sql.update(
                """
                insert into product_job (product_id, panel, clamping, job_id, made_of)
                values (?, ?, ?, ?, ?)
                on conflict (product_id, panel, clamping)
                do update set job_id = excluded.job_id, made_of = excluded.made_of,
                    nest_id = null
                """,
                product,
                panel,
                clamping,
                job,
                madeOf);
    }

    /**
     * The nest of the panels of a material.
     *
     * @param next what has to be done next with it
     */
    public record Nest(String material, long job, String madeOf, String next) {}

    List<Nest> nests(long product) {
        return sql.query(
                """
                select n.material, n.job_id, n.made_of, j.next_action
                from product_nest n join job j on j.id = n.job_id
                where n.product_id = ? order by n.material
                """,
                (row, i) ->
                        new Nest(
                                row.getString("material"),
                                row.getLong("job_id"),
                                row.getString("made_of"),
                                row.getString("next_action")),
                product);
    }

    void putNest(long product, String material, long job, String madeOf) {
        sql.update(
                """
                insert into product_nest (product_id, material, job_id, made_of)
                values (?, ?, ?, ?)
                on conflict (product_id, material)
                do update set job_id = excluded.job_id, made_of = excluded.made_of
                """,
                product,
                material,
                job,
                madeOf);
    }

    /** The first clamping of a panel lies on a nest. */
    void laid(long product, String panel, long nest) {
        sql.update(
                "update product_job set nest_id = ?"
                        + " where product_id = ? and panel = ? and clamping = 1",
                nest,
                product,
                panel);
    }

    /** What stands against panels when their programs are carried back, by their ids. */
    Map<String, String> faults(long product) {
        Map<String, String> faults = new HashMap<>();
        sql.query(
                "select panel, sentence from product_fault where product_id = ?",
                row -> {
                    faults.put(row.getString("panel"), row.getString("sentence"));
                },
                product);
        return faults;
    }

    /**
     * @param sentence empty: nothing stands against it
     */
    void fault(long product, String panel, String sentence) {
        sql.update("delete from product_fault where product_id = ? and panel = ?", product, panel);
        if (!sentence.isEmpty()) {
            String fitting = sentence.substring(0, Math.min(LONGEST, sentence.length()));
            sql.update(
                    "insert into product_fault (product_id, panel, sentence) values (?, ?, ?)",
                    product,
                    panel,
                    fitting);
        }
    }

    /** Forgets jobs of clampings that there are no more. */
    void keepFirst(long product, String panel, int clampings) {
        sql.update(
                "delete from product_job where product_id = ? and panel = ? and clamping > ?",
                product,
                panel,
                clampings);
    }

    /** The long work that was wanted last; empty: none. */
    String programs(long product) {
        return sql.queryForObject(
                "select programs from product where id = ?", String.class, product);
    }

    void programs(long product, String key) {
        sql.update("update product set programs = ? where id = ?", key, product);
    }
}
