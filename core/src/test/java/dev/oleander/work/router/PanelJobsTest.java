package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Panels;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.ClampingPlanner;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.work.PanelJob;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.panel.PanelJobs;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Clampings of panels as jobs: planned, proved, written and read back. */
class PanelJobsTest {

    private static final RouterBook BOOK = (RouterBook) RouterJobs.LIBRARY.book(RouterJobs.HAZEL);
    private final Product locker = Panels.locker();

    private static Decision decided(Panel panel) {
        return ClampingPlanner.decide(
                panel,
                RouterMilling.ROUTER.panels(RouterJobs.HAZEL, BOOK).orElseThrow(),
                ClampingWishes.NONE);
    }

    private static PanelJob<RouterChoices> job(Panel panel, Clamping clamping) {
        return PanelJobs.of(panel, clamping, true, BOOK, 0);
    }

    private static RouterRun run(Panel panel, PanelJob<RouterChoices> job) {
        String dxf = DxfWriter.write(job.drawing());
        Map<String, Purpose> marks = new HashMap<>();
        job.marks().forEach(layer -> marks.put(layer, Purpose.MARK));
        Reading reading =
                new DrawingReading(ReadOptions.defaults().withRules(PurposeRules.ofLayers(marks)))
                        .read(
                                new DrawingFiles(ImportOptions.defaults())
                                        .read(
                                                "panel.dxf",
                                                dxf.getBytes(StandardCharsets.ISO_8859_1)));
        return RouterJobs.run(
                RouterJobs.task(
                        reading, job.choices(), "birch plywood", panel.size().thickness(), 1));
    }

    @Test
    void allOfTheLockerIsMadeAsItIsDrawn() {
        List<String> wrong = new ArrayList<>();
        for (Panel panel : locker.made()) {
            for (Clamping clamping : decided(panel).clampings()) {
                PanelJob<RouterChoices> job = job(panel, clamping);
                assertThat(job.without()).isEmpty();
                RouterRun run = run(panel, job);
                for (Stop refused : run.run().refused()) {
                    wrong.add(panel.id() + " " + refused.refusalSentence().orElseThrow());
                }
                for (Finding finding :
                        Prover.withAllRules().prove(run.proofInput(), Map.of()).open()) {
                    wrong.add(panel.id() + " " + finding.rule() + ": " + finding.sentence());
                }
            }
        }
        assertThat(wrong).allMatch(w -> w.contains("inner corners keep"));
    }
}
