package dev.oleander.work.router;

import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.PurposeRules;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.plan.panel.Panel;
import dev.oleander.work.PanelJob;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.choice.RouterChoices;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;

/** Clampings of panels, planned on the router that ships. */
final class PanelRuns {

    static final RouterBook BOOK = (RouterBook) RouterJobs.LIBRARY.book(RouterJobs.HAZEL);

    static final RouterUnit UNIT = RouterUnit.of(RouterJobs.HAZEL);

    private PanelRuns() {}

    /** Written as a drawing, read again, and planned. */
    static RouterRun run(Panel panel, PanelJob<RouterChoices> job) {
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
}
