package dev.oleander.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.store.JobRepository;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

/** Nobody holds a connection while something is planned, nor keeps others from theirs. */
class ShortTransactionsTest extends WebTest {

    @Autowired private DataSource source;
    @Autowired private JobRepository repository;
    @Autowired private TransactionTemplate transaction;

    @Test
    void noConnectionIsHeldWhileAPlanIsWaitedFor() throws Exception {
        long job = makeJob("winch_drum_cheek", "Connections", 1);
        var pool = source.unwrap(HikariDataSource.class).getHikariPoolMXBean();
        CompletableFuture<JobView> edit =
                CompletableFuture.supplyAsync(
                        () ->
                                jobs.edit(
                                        job,
                                        "quantity",
                                        b -> OrderValues.QUANTITY.put(b.document(), "180"),
                                        person("mira")));
        int looks = 0;
        int held = 0;
        while (!edit.isDone()) {
            Thread.sleep(5);
            looks++;
            held += pool.getActiveConnections() > 0 ? 1 : 0;
        }
        assertThat(edit.get().planning()).isEmpty();
        assertThat(looks).as("the plan takes a while").isGreaterThan(20);
        assertThat((double) held / looks).isLessThan(0.5);
    }

    @Test
    void aJobThatIsHeldKeepsOnlyItsOwnEditsWaiting() throws Exception {
        long held = makeJob("cleat_backing_plate", "Held", 1);
        long free = makeJob("cleat_backing_plate", "Free", 1);
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch done = new CountDownLatch(1);
        CompletableFuture<Void> holder =
                CompletableFuture.runAsync(
                        () ->
                                transaction.executeWithoutResult(
                                        t -> {
                                            repository.findHeldById(held).orElseThrow();
                                            begun.countDown();
                                            await(done);
                                        }));
        await(begun);
        PageClient mira = new PageClient(port).signedIn("mira");
        assertThat(edit(mira, free).statusCode()).isEqualTo(200);
        HttpResponse<String> busy = edit(mira, held);
        assertThat(busy.statusCode()).isEqualTo(503);
        assertThat(busy.headers().firstValue("Retry-After")).isPresent();
        ApiClient.Answer call =
                new ApiClient(port, "mira")
                        .send("PUT", "/api/jobs/%d/sheet".formatted(held), "{\"gap\": 12}");
        assertThat(call.status()).isEqualTo(503);
        assertThat(call.detail()).contains("Too much is going on");
        done.countDown();
        holder.get();
        assertThat(edit(mira, held).statusCode()).isEqualTo(200);
    }

    private static HttpResponse<String> edit(PageClient who, long job) {
        return who.post(
                "/jobs/%d/sheet/sheet-values".formatted(job),
                Map.of("field", "gap", "value", "11"));
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
