package dev.oleander.web.job.result;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.SideBySide;
import dev.oleander.drawing.draw.DrawSteps;
import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.draw.Supplies;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.progress.Progress;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.source.BroughtFiles;
import dev.oleander.web.load.WorkingMemory;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** From files and decisions to a shape: bring in, draw, mend, read. */
final class ShapeReader {

    /** mm between the drawings of one job. */
    private static final double BETWEEN_DRAWINGS = 20;

    /** Share of the time that reading files takes; the rest is mending and reading features. */
    private static final double READ = 0.3;

    private final BroughtFiles files;
    private final WorkingMemory memory;
    private final Supplies supplies;

    ShapeReader(BroughtFiles files, WorkingMemory memory, Supplies supplies) {
        this.files = files;
        this.memory = memory;
        this.supplies = supplies;
    }

    /**
     * @param thickness mm, which formulas know as t
     * @throws dev.oleander.drawing.DrawingException when a file cannot be read
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    Shape read(ShapeChoices choices, double thickness, Progress progress) {
        List<BroughtFiles.Brought> brought = choices.files().stream().map(files::find).toList();
        long bytes = brought.stream().mapToLong(f -> f.content().length).sum();
        requireRoom(bytes);
        return memory.within(bytes, () -> read(brought, choices, thickness, progress));
    }

    /** What fills the memory ends the server for everybody. */
    private void requireRoom(long bytes) {
        if (bytes > memory.most()) {
            throw new RefusedEditException(
                    "The drawing has %d MB; with the memory of this server at most %d MB can be read. Split it, or give the server more."
                            .formatted(bytes >> 20, memory.most() >> 20));
        }
    }

    private Shape read(
            List<BroughtFiles.Brought> files,
            ShapeChoices choices,
            double thickness,
            Progress progress) {
        Drawn drawn =
                new DrawSteps(Map.of("t", thickness), supplies.of(choices.stamp()))
                        .apply(drawing(files, choices, progress.within(0, READ)), choices.steps());
        Drawing drawing = drawn.drawing();
        List<Fault> faults = new ArrayList<>(drawing.faults());
        drawn.troubles().forEach(t -> faults.add(fault(t)));
        drawn.numbers().stream()
                .filter(n -> !n.doubled().isEmpty())
                .forEach(n -> faults.add(Fault.ofFile(Fault.Kind.NUMBER, n.doubled())));
        return new Shape(
                drawn,
                new DrawingReading(options(choices))
                        .read(drawing.withFaults(faults), progress.within(READ, 1)));
    }

    private static Drawing drawing(
            List<BroughtFiles.Brought> files, ShapeChoices choices, Progress progress) {
        if (files.isEmpty()) {
            return Drawing.empty("Drawn here");
        }
        ImportOptions options = ImportOptions.defaults().withFit(choices.fit().value());
        DrawingFiles reader =
                new DrawingFiles(
                        choices.unit() == null ? options : options.withUnit(choices.unit()));
        List<Drawing> drawings = new ArrayList<>();
        for (BroughtFiles.Brought file : files) {
            progress.at((double) drawings.size() / files.size(), "Reading the file");
            drawings.add(reader.read(file.name(), file.content()));
        }
        return new SideBySide(BETWEEN_DRAWINGS).join(drawings);
    }

    private static Fault fault(Drawn.Trouble trouble) {
        return Fault.ofFile(
                Fault.Kind.STEP,
                "Step %s cannot be done: %s".formatted(trouble.step(), trouble.sentence()));
    }

    private static ReadOptions options(ShapeChoices choices) {
        MendOptions mend =
                MendOptions.defaults()
                        .withGap(choices.gap().value())
                        .withFit(choices.fit().value())
                        .withSteps(choices.mending());
        return ReadOptions.defaults()
                .withRules(choices.rules())
                .withFeatures(choices.features())
                .withTurned(choices.turned())
                .withSettled(choices.settled())
                .withMend(mend);
    }
}
