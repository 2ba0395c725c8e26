package dev.oleander.web.board;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.progress.CancelledException;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.longwork.WorkProgress;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Drawings that take long to read. */
class ArrivalsTest extends WebTest {

    private static final IntakeForm FORM =
            new IntakeForm("teasel", "mild steel", "6", "2", "Quay & Sons");

    @Autowired private Arrivals arrivals;
    @Autowired private ArrivalTable table;
    @Autowired private BoardService board;

    private final List<String> told = new ArrayList<>();
    private final WorkProgress listening =
            new WorkProgress() {
                @Override
                public void at(double done, String doing) {
                    told.add(doing);
                }

                @Override
                public void keep(String soFar) {
                    told.add("kept: " + soFar);
                }
            };

    private long jobs(String name) {
        return board.search(new BoardQuery(name, "", "", 1)).total();
    }

    private long kept(String fileName) {
        return table.keep(person("mira").id(), fileName, sample("cleat_backing_plate"), FORM);
    }

    @Test
    void aDrawingOnItsWayBecomesAJobWithWhatWasAskedOfIt() throws Exception {
        SignedIn mira = person("mira");
        arrivals.bring(new Upload("far_away_plate.dxf", sample("cleat_backing_plate")), FORM, mira);
        until(() -> arrivals.of(mira).isEmpty());
        assertThat(board.search(new BoardQuery("far away plate", "", "", 1)).tickets())
                .singleElement()
                .satisfies(t -> assertThat(t.order()).contains("2 off", "mild steel"));
    }

    @Test
    void whatCannotBeReadSaysSoUntilItIsDismissed() throws Exception {
        SignedIn mira = person("mira");
        byte[] letter = "Dear all,\n".getBytes(StandardCharsets.UTF_8);
        arrivals.bring(new Upload("long_letter.dxf", letter), FORM, mira);
        until(() -> !arrivals.of(mira).get(0).isGoingOn());
        Arrivals.Line line = arrivals.of(mira).get(0);
        assertThat(line.problem()).contains("long_letter.dxf", "line 1");
        assertThat(jobs("long letter")).isZero();
        PageClient pages = new PageClient(port).signedIn("mira");
        assertThat(pages.get("/").body()).contains("long_letter.dxf", "Dismiss");
        String drop = "/arrivals/%d/drop".formatted(line.id());
        new PageClient(port).signedIn("anselm").post(drop, Map.of());
        assertThat(arrivals.of(mira)).as("somebody else's stays").hasSize(1);
        assertThat(pages.post(drop, Map.of()).statusCode()).isEqualTo(302);
        assertThat(arrivals.of(mira)).isEmpty();
    }

    @Test
    void readingTellsHowFarItIs() {
        arrivals.run(String.valueOf(kept("told_plate.dxf")), listening);
        assertThat(told)
                .containsSubsequence("Reading the file", "Mending the lines", "Reading the parts")
                .noneMatch(t -> t.startsWith("kept"));
        assertThat(jobs("told plate")).isEqualTo(1);
    }

    @Test
    void whoDoesItAgainAfterADeathMakesNoSecondJob() {
        String id = String.valueOf(kept("twice_plate.dxf"));
        arrivals.run(id, listening);
        arrivals.run(id, listening);
        assertThat(jobs("twice plate")).isEqualTo(1);
    }

    @Test
    void whatWasDroppedInTheMeantimeBecomesNoJob() {
        long id = kept("dropped_on_the_way.dxf");
        WorkProgress dropping =
                new WorkProgress() {
                    @Override
                    public void at(double done, String doing) {
                        if (doing.equals("Reading the parts")) {
                            arrivals.drop(id, person("mira"));
                        }
                    }

                    @Override
                    public void keep(String soFar) {
                        throw new AssertionError(soFar);
                    }
                };
        assertThatThrownBy(() -> arrivals.run(String.valueOf(id), dropping))
                .isInstanceOf(CancelledException.class);
        assertThat(jobs("dropped on the way")).isZero();
    }

    @Test
    void nobodyLeavesMoreAndMoreFilesThere() {
        SignedIn anselm = person("anselm");
        List<Long> all = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            all.add(table.keep(anselm.id(), "letter.dxf", new byte[] {1}, FORM));
        }
        assertThatThrownBy(
                        () -> arrivals.bring(new Upload("one_more.dxf", new byte[1]), FORM, anselm))
                .isInstanceOf(RefusedEditException.class)
                .hasMessageContaining("20 large drawings of yours", "one_more.dxf");
        all.forEach(table::remove);
        assertThatThrownBy(() -> new Upload("a".repeat(201), new byte[1]))
                .isInstanceOf(RefusedEditException.class);
        assertThatThrownBy(() -> new Upload("a\u0000.dxf", new byte[1]))
                .isInstanceOf(RefusedEditException.class);
    }

    @Test
    void onlyLargeFilesTakeTheLongWay() {
        assertThat(arrivals.isLong(100_000)).isFalse();
        assertThat(arrivals.isLong(2 << 20)).isTrue();
    }
}
