package dev.oleander.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.store.Stage;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** Pages of people who do not wait for a plan at all. */
@TestPropertySource(properties = "oleander.patience=0s")
class SlowPlanTest extends WebTest {

    private static final Duration LONG = Duration.ofSeconds(30);

    private PageClient pages;
    private long job;

    @BeforeEach
    void openJob() {
        pages = new PageClient(port).signedIn("mira");
        job = makeJob("winch_drum_cheek", "Slow plan", 200);
    }

    private static <T> T until(Supplier<T> look, Predicate<T> seen) {
        long deadline = System.nanoTime() + LONG.toNanos();
        T found = look.get();
        while (!seen.test(found) && System.nanoTime() < deadline) {
            found = look.get();
        }
        assertThat(found).matches(seen);
        return found;
    }

    private JobView edited(int quantity) {
        return jobs.edit(
                job,
                "x",
                b -> OrderValues.QUANTITY.put(b.document(), String.valueOf(quantity)),
                person("mira"));
    }

    private HttpResponse<String> asked() {
        return pages.fragment("/jobs/%d/cuts/planning".formatted(job));
    }

    @Test
    void thePageShowsHowFarThePlanIsAndThenThePlan() {
        JobView working = edited(150);
        assertThat(working.planning()).isPresent();
        assertThat(working.stage(Stage.CUTS).sentence()).isEqualTo("being planned");
        HttpResponse<String> there =
                until(
                        this::asked,
                        a ->
                                a.headers().firstValue("HX-Reswap").isPresent()
                                        && !a.body()
                                                .contains("/jobs/%d/cuts/planning".formatted(job)));
        assertThat(there.body()).contains("id=\"run-line\"", "id=\"planning\"");
        assertThat(there.headers().firstValue("HX-Trigger").orElse(""))
                .contains("sceneChanged", "\"planned\":true");
        assertThat(jobs.view(job).stage(Stage.CUTS).sentence()).endsWith(" stops");
        until(
                () -> pages.get("/?text=Slow+plan").body(),
                board -> !board.contains("being planned") && !board.contains("being proved"));
    }

    @Test
    void everyStageOpensBeforeThereIsAPlan() {
        edited(150);
        for (Stage stage : Stage.values()) {
            HttpResponse<String> page = pages.get("/jobs/%d/%s".formatted(job, stage.word()));
            assertThat(page.statusCode()).isEqualTo(200);
        }
        HttpResponse<String> update =
                pages.post(
                        "/jobs/%d/sheet/sheet-values".formatted(job),
                        Map.of("field", "turn", "value", "90"));
        assertThat(update.statusCode()).isEqualTo(200);
    }

    @Test
    void onShapeTheSlipStaysAsItIs() {
        HttpResponse<String> there =
                until(
                        () -> pages.fragment("/jobs/%d/shape/planning".formatted(job)),
                        a -> a.headers().firstValue("HX-Reswap").isPresent());
        assertThat(there.body()).contains("id=\"rail\"").doesNotContain("id=\"slip\"");
    }

    @Test
    void aPlanCanBeStoppedAndBegunAgain() {
        String path = "/jobs/%d/cuts/planning".formatted(job);
        int[] quantity = {150};
        // the plan may be quicker than the wish to stop it; then another one is begun
        HttpResponse<String> stopped =
                until(
                        () -> {
                            edited(quantity[0]++);
                            return pages.post(path, Map.of("wanted", "false"));
                        },
                        a -> a.body().contains("Planning was stopped."));
        assertThat(stopped.body()).contains("Plan now").doesNotContain("hx-get=");
        assertThat(pages.get("/?text=Slow+plan").body()).contains("Planning was stopped");
        pages.post(path, Map.of("wanted", "true"));
        until(() -> jobs.view(job), v -> v.planning().isEmpty());
        assertThat(jobs.view(job).result().run().stops()).isNotEmpty();
    }
}
