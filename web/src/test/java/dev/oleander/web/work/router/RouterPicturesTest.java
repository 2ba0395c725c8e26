package dev.oleander.web.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.router.RouterRun;
import java.nio.ByteBuffer;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pictures of the stock by its heights, flat and round, and chains of tools. */
class RouterPicturesTest extends WebTest {

    private static final String WINDOW = "x1=0&y1=0&x2=440&y2=280&columns=110";

    private RouterCalls calls;
    private PageClient client;

    @BeforeEach
    void signIn() {
        calls = new RouterCalls(port);
        client = new PageClient(port).signedIn("mira");
    }

    private RouterRun run(long job) {
        return jobs.view(job).result().own(RouterRun.class).orElseThrow();
    }

    @Test
    void aPictureHasTheDepthsOfItsPlaces() {
        long job = calls.requested("instrument_panel");
        RouterRun run = run(job);
        double half = run.timeline(Progress.NONE).total() / 2;
        for (String moment : new String[] {"", "&t=" + half}) {
            ByteBuffer picture =
                    ByteBuffer.wrap(
                            client.bytes("/jobs/%d/heights?%s%s".formatted(job, WINDOW, moment)));
            int columns = picture.getShort();
            int rows = picture.getShort();
            assertThat(columns).isEqualTo(110);
            assertThat(rows).isEqualTo(70);
            int deep = 0;
            for (int row = 0; row < rows; row++) {
                for (int column = 0; column < columns; column++) {
                    double depth = picture.getShort() / 100.0;
                    Point at = new Point(4 * column + 2, 280 - 4 * row - 2);
                    double known =
                            moment.isEmpty()
                                    ? run.depths().at(at).depth()
                                    : run.depthAt(at, half).depth();
                    boolean underWay = !moment.isEmpty() && depth > known;
                    if (!underWay) {
                        assertThat(depth).as("%s", at).isCloseTo(known, within(0.006));
                    }
                    deep += depth > 0 ? 1 : 0;
                }
            }
            assertThat(picture.hasRemaining()).isFalse();
            assertThat(deep).isGreaterThan(500);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "x1=0&y1=0&x2=440&y2=280",
                "x1=0&y1=0&x2=440&y2=280&columns=0",
                "x1=0&y1=0&x2=440&y2=280&columns=90000",
                "x1=0&y1=0&x2=0&y2=280&columns=10",
                "x1=0&y1=0&x2=NaN&y2=280&columns=10",
                "x1=a&y1=0&x2=5&y2=280&columns=10",
                "x1=0&y1=0&x2=440&y2=280&columns=10&t=-1",
            })
    void aWindowThatIsNoneIsRefused(String window) {
        long job = calls.requested("sole_board");
        int status = client.get("/jobs/%d/heights?%s".formatted(job, window)).statusCode();
        assertThat(status).isBetween(400, 499);
    }

    @Test
    void roundWorkHasItsNotches() {
        long job = calls.requested("capstan_rim");
        ByteBuffer picture =
                ByteBuffer.wrap(client.bytes("/jobs/%d/round?columns=3&angles=68".formatted(job)));
        assertThat(picture.getShort()).isEqualTo((short) 3);
        assertThat(picture.getShort()).isEqualTo((short) 68);
        picture.getFloat();
        for (int angle = 0; angle < 68; angle++) {
            picture.getShort();
            double middle = picture.getShort() / 100.0;
            picture.getShort();
            assertThat(middle).isCloseTo(angle % 2 == 0 ? 5 : 0, within(0.02));
        }
        String none = "/jobs/%d/round?columns=%d&angles=68";
        assertThat(client.get(none.formatted(job, 0)).statusCode()).isEqualTo(422);
        long flat = calls.requested("sole_board");
        assertThat(client.get(none.formatted(flat, 3)).statusCode()).isEqualTo(404);
    }

    @Test
    void chainsOfToolsAreToldAndTaken() {
        long job = calls.requested("instrument_panel");
        JobResult result = jobs.view(job).result();
        Stop pocket =
                result.run().stops().stream()
                        .filter(s -> s.name().contains("recess"))
                        .findFirst()
                        .orElseThrow();
        String list = client.fragment("/jobs/%d/chains?stop=%s".formatted(job, pocket.id())).body();
        assertThat(list).contains("then 3, straight 4 mm", "leaves 3.43 mm", "chain");
        String value = pocket.feature() + " recess 2 3";
        client.post(
                "/jobs/%d/cuts/values".formatted(job), Map.of("field", "chain", "value", value));
        RouterRun chained = run(job);
        assertThat(chained.plan().stop(pocket.id()).orElseThrow().tool().orElseThrow().number())
                .isEqualTo(2);
        assertThat(chained.plan().done())
                .anySatisfy(
                        s -> {
                            assertThat(s.operation()).isEqualTo("rest-1");
                            assertThat(s.tool().orElseThrow().number()).isEqualTo(3);
                        });
        assertThat(client.get("/jobs/%d/chains?stop=nothing".formatted(job)).statusCode())
                .isEqualTo(404);
    }
}
