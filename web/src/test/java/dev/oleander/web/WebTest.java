package dev.oleander.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Value;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.source.Upload;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.List;
import java.util.function.Supplier;
import org.flywaydb.core.Flyway;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The whole application with demo data on a real PostgreSQL, whose address comes from the
 * environment ({@code ./oleander test} starts one). All tests share one context; each makes the
 * jobs it needs.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "oleander.demo=true",
            "oleander.patience=60s",
            "oleander.crowd-patience=60s",
            "oleander.proof-patience=60s",
            "logging.level.org.openqa.selenium=error"
        })
public abstract class WebTest {

    @LocalServerPort protected int port;
    @Autowired protected JobService jobs;
    @Autowired private AccountRepository accounts;
    @Autowired private Flyway flyway;

    /** The database as the owner of its tables, who may do what the application may not. */
    protected JdbcTemplate owner() {
        return new JdbcTemplate(flyway.getConfiguration().getDataSource());
    }

    protected SignedIn person(String username) {
        return accounts.findByUsername(username).map(SignedIn::of).orElseThrow();
    }

    /** A job of a sample drawing in mild steel of 6 mm, made by Mira. */
    protected long makeJob(String sample, String name, int quantity) {
        JobDocument.Order order =
                new JobDocument.Order(name, "teasel", "mild steel", Typed.of(6), quantity);
        return jobs.create(
                List.of(new Upload(sample + ".dxf", sample(sample))),
                order,
                document -> document,
                person("mira"));
    }

    /** The same in mm, whatever the file says or does not say. */
    protected long makeJobInMillimetres(String sample, String name, int quantity) {
        JobDocument.Order order =
                new JobDocument.Order(name, "teasel", "mild steel", Typed.of(6), quantity);
        return jobs.create(
                List.of(new Upload(sample + ".dxf", sample(sample))),
                order,
                WebTest::inMillimetres,
                person("mira"));
    }

    /** The answer for a file that does not say its unit. */
    protected static JobDocument inMillimetres(JobDocument document) {
        return document.reshaped(s -> s.withUnit(LengthUnit.MILLIMETRE));
    }

    public static byte[] sample(String name) {
        try (InputStream in = WebTest.class.getResourceAsStream("/demo/" + name + ".dxf")) {
            return in.readAllBytes();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** A job of a demo drawing on the wire machine, its work round the parts; height in mm. */
    protected long makeWireJob(String file, String name, double height) {
        try (InputStream in = WebTest.class.getResourceAsStream("/demo/" + file + ".dxf")) {
            return jobs.create(
                    List.of(new Upload(file + ".dxf", in.readAllBytes())),
                    new JobDocument.Order(name, "bracken", "tool steel", Typed.of(height), 1),
                    d -> d.withSheet(BedValues.STOCK.put(d.sheet(), "around")),
                    person("mira"));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(file, unreadable);
        }
    }

    /** Plates on sheets that hold only some of them. */
    protected long makeOnSmallSheets(String name, int quantity) {
        long job = makeJobInMillimetres("cleat_backing_plate", name, quantity);
        setSheet(job, BedValues.WIDTH, "400");
        setSheet(job, BedValues.HEIGHT, "240");
        return job;
    }

    /** Plates that fill two sheets which are alike, and one more on a third. */
    protected long makeThreeSheets(String name) {
        long job = makeOnSmallSheets(name, 1000);
        int placed = jobs.view(job).result().run().layout().placed();
        jobs.edit(
                job,
                "quantity",
                b -> b.document().withOrder(b.document().order().withQuantity(2 * placed + 1)),
                person("mira"));
        return job;
    }

    protected void setSheet(long job, Value<SheetChoices> value, String text) {
        jobs.edit(
                job,
                value.name(),
                b -> b.document().withSheet(value.put(b.document().sheet(), text)),
                person("mira"));
    }

    /** Waits until something is seen, three minutes at most: machines can be slow. */
    protected static void until(Supplier<Boolean> seen) throws InterruptedException {
        long deadline = System.nanoTime() + Duration.ofMinutes(3).toNanos();
        while (!seen.get()) {
            assertThat(System.nanoTime()).as("in time").isLessThan(deadline);
            Thread.sleep(50);
        }
    }
}
