package dev.oleander.web.product;

import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.product.ProductJobTable.Link;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

/** Releases of products: which programs of its panels were good together, and what changed. */
@Component
public class ProductReleases {

    private final JdbcTemplate sql;
    private final TransactionOperations transactions;
    private final Clock clock;

    ProductReleases(JdbcTemplate sql, TransactionOperations transactions, Clock clock) {
        this.sql = sql;
        this.transactions = transactions;
        this.clock = clock;
    }

    /**
     * A release.
     *
     * @param number from 1
     * @param step of the product
     * @param by who made it
     * @param parts how many programs are in it
     */
    public record Release(int number, int step, String by, Instant at, int parts) {}

    /**
     * A clamping in a release.
     *
     * @param madeOf hash of what its program was made of
     * @param lies how it lies, for people
     * @param features ids, with commas between them
     * @param seconds of one panel; null: not known
     */
    public record Part(
            String panel,
            int clamping,
            long job,
            String revision,
            String madeOf,
            String lies,
            String features,
            Double seconds) {

        boolean isOf(Part other) {
            return panel.equals(other.panel) && clamping == other.clamping;
        }
    }

    /** Keeps what is released by now as one. */
    void keep(ProductState state, List<Link> links, SignedIn who) {
        List<Part> parts =
                links.stream()
                        .filter(l -> l.revision() != null)
                        .flatMap(l -> part(state, l).stream())
                        .toList();
        transactions.executeWithoutResult(status -> keep(state, parts, who.id()));
    }

    private void keep(ProductState state, List<Part> parts, long account) {
        int number =
                sql.queryForObject(
                        "select coalesce(max(number), 0) + 1 from product_release where product_id = ?",
                        Integer.class,
                        state.id());
        sql.update(
                "insert into product_release (product_id, number, step, account_id, made_at)"
                        + " values (?, ?, ?, ?, ?)",
                state.id(),
                number,
                state.step(),
                account,
                Timestamp.from(clock.instant()));
        for (Part part : parts) {
            sql.update(
                    """
                    insert into product_release_part (product_id, number, panel, clamping, job_id,
                        revision, made_of, lies, features, seconds)
                    values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                    """,
                    state.id(),
                    number,
                    part.panel(),
                    part.clamping(),
                    part.job(),
                    part.revision(),
                    part.madeOf(),
                    part.lies(),
                    part.features(),
                    part.seconds());
        }
    }

    private static Optional<Part> part(ProductState state, Link link) {
        Optional<Panel> panel = state.product().panel(link.panel());
        List<Clamping> clampings = panel.map(p -> state.decision(p).clampings()).orElse(List.of());
        if (clampings.size() < link.clamping()) {
            return Optional.empty();
        }
        Clamping clamping = clampings.get(link.clamping() - 1);
        return Optional.of(
                new Part(
                        link.panel(),
                        link.clamping(),
                        link.program(),
                        link.revision(),
                        link.madeOf(),
                        ProductView.lies(clamping),
                        String.join(", ", clamping.features()),
                        link.seconds()));
    }

    /** The newest first. */
    public List<Release> all(long product) {
        return sql.query(
                """
                select r.number, r.step, a.full_name, r.made_at,
                    (select count(*) from product_release_part p
                     where p.product_id = r.product_id and p.number = r.number) as parts
                from product_release r join account a on a.id = r.account_id
                where r.product_id = ? order by r.number desc
                """,
                (row, i) ->
                        new Release(
                                row.getInt("number"),
                                row.getInt("step"),
                                row.getString("full_name"),
                                row.getTimestamp("made_at").toInstant(),
                                row.getInt("parts")),
                product);
    }

    /**
     * What is in a release.
     *
     * @throws NotFoundException when there is none
     */
    public List<Part> parts(long product, int number) {
        List<Part> parts =
                sql.query(
                        """
                        select panel, clamping, job_id, revision, made_of, lies, features, seconds
                        from product_release_part where product_id = ? and number = ?
                        order by panel, clamping
                        """,
                        (row, i) ->
                                new Part(
                                        row.getString("panel"),
                                        row.getInt("clamping"),
                                        row.getLong("job_id"),
                                        row.getString("revision"),
                                        row.getString("made_of"),
                                        row.getString("lies"),
                                        row.getString("features"),
                                        row.getObject("seconds", Double.class)),
                        product,
                        number);
        if (parts.isEmpty() && all(product).stream().noneMatch(r -> r.number() == number)) {
            throw new NotFoundException("Product %d has no release %d.".formatted(product, number));
        }
        return parts;
    }

    /** What changed of each clamping from one release to another, in the order of panels. */
    public List<PartChange> changes(long product, int from, int to) {
        List<Part> before = parts(product, from);
        List<Part> after = parts(product, to);
        List<PartChange> changes = new ArrayList<>();
        for (Part part : before) {
            Part then = after.stream().filter(part::isOf).findFirst().orElse(null);
            changes.add(PartChange.of(part, then));
        }
        for (Part part : after) {
            if (before.stream().noneMatch(part::isOf)) {
                changes.add(PartChange.of(null, part));
            }
        }
        changes.sort(PartChange.ORDER);
        return changes;
    }
}
