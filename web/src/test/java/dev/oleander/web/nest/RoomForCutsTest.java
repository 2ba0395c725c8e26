package dev.oleander.web.nest;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.Nest;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestScore;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Typed;
import dev.oleander.web.WebTest;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.source.Upload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Parts that lie too close for their leads are given room before anybody sees them. */
class RoomForCutsTest extends WebTest {

    private static final String PLATE =
            """
            <svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="40mm" viewBox="0 0 80 40">
            <path d="M0 0H80V40H0Z" fill="none" stroke="black"/></svg>""";

    @Autowired private RoomForCuts room;
    @Autowired private NestMaker maker;
    @Autowired private NestEdits edits;
    @Autowired private JobComputer computer;

    private long nest;
    private NestTask task;
    private Nest found;

    /** Nine plates with sharp corners: the one in the middle has others on all sides. */
    @BeforeEach
    void plates() {
        JobDocument.Order order =
                new JobDocument.Order("Close plates", "teasel", "mild steel", Typed.of(6), 1);
        long plates =
                jobs.create(
                        List.of(new Upload("plate.svg", PLATE.getBytes(StandardCharsets.UTF_8))),
                        order,
                        document -> document,
                        person("mira"));
        nest =
                maker.make(
                        order.withName("Close plates nested"),
                        NestWishes.ofParts(
                                List.of(
                                        new NestWishes.PartsWish(
                                                plates, "", Map.of("quantity", "9")))),
                        person("mira"));
        edit(edits.distance("gap", "0.6"));
        edit(edits.line("l1", "turns", "fixed"));
        edit(edits.sheet("s1", "width", "255.3"));
        JobResult result = jobs.view(nest).result();
        task = NestEdits.nesting(result).task(result.kind(), List.of());
        found = new Nest(List.of(rows()), new NestScore(new double[9], 0, 0), 1, 1, 1);
        assertThat(NestCheck.faults(task, found.sheets())).isEmpty();
    }

    /** Three by three, as near as they may lie. */
    private NestedSheet rows() {
        Box box = task.line("l1").shape().box();
        double gap = task.rules().gap() + 1e-3;
        double margin = task.rules().margin() + 1e-3;
        List<NestPlacement> all = new ArrayList<>();
        for (int k = 0; k < 9; k++) {
            Point corner =
                    new Point(
                            margin + k % 3 * (box.width() + gap),
                            margin + k / 3 * (box.height() + gap));
            all.add(new NestPlacement("l1", corner.minus(box.min()), 0, false, false));
        }
        return new NestedSheet("s1", all);
    }

    private void edit(JobService.Edit edit) {
        jobs.edit(nest, "closer", edit, person("mira"));
    }

    private JobDocument document() {
        return jobs.present(nest).document();
    }

    private long refused(Nest of) {
        JobResult result =
                computer.result(
                        document()
                                .withNest(
                                        document()
                                                .nest()
                                                .map(
                                                        n ->
                                                                n.changed(
                                                                        c ->
                                                                                c.withLaid(
                                                                                        of
                                                                                                .sheets())))));
        return result.allStops()
                .flatMap(stop -> stop.refusal().stream())
                .filter(refusal -> refusal.kind() == Refusal.Kind.LEAD_BITES)
                .count();
    }

    @Test
    void partsAreMovedApartUntilAllCanBeCut() {
        assertThat(refused(found)).isPositive();
        Nest made = room.made(document(), task, found, 1, () -> true);
        assertThat(refused(made)).isZero();
        assertThat(NestCheck.faults(task, made.sheets())).isEmpty();
        assertThat(made.sheets().get(0).placements()).hasSize(9);
        assertThat(room.made(document(), task, found, 1, () -> true).sheets())
                .isEqualTo(made.sheets());
    }

    @Test
    void whatIsStoppedStaysAsItWasFound() {
        assertThat(room.made(document(), task, found, 1, () -> false)).isEqualTo(found);
    }
}
