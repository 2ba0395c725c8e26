package dev.oleander;

import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Prover;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;

/** Sample drawings on their way through the core, as tests need them. */
public final class Samples {

    public static final MachineLibrary MACHINES = MachineLibrary.shipped();
    public static final Machine TEASEL = MACHINES.find("teasel").orElseThrow();
    public static final CutBook BOOK = (CutBook) MACHINES.book(TEASEL);
    public static final Dialect DIALECT = DialectLibrary.shipped().find("teasel").orElseThrow();

    /** Values of header and footer. */
    public static final Map<String, String> FRAME =
            Map.of(
                    "number", "0001",
                    "job", "Test",
                    "revision", "A",
                    "date", "2026-01-02",
                    "quantity", "1",
                    "material", "mild steel",
                    "thickness", "6",
                    "stockWidth", "1500",
                    "stockHeight", "1000",
                    "heads", "1 head");

    private Samples() {}

    public static byte[] bytes(String fileName) {
        try (InputStream in = Samples.class.getResourceAsStream("/cases/" + fileName)) {
            return in.readAllBytes();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The drawing of a sample, DXF or SVG; in mm where the file does not say its unit. */
    public static Drawing drawing(String name) {
        boolean dxf = Samples.class.getResource("/cases/" + name + ".dxf") != null;
        String file = name + (dxf ? ".dxf" : ".svg");
        ImportOptions usual = ImportOptions.defaults();
        Drawing drawing = new DrawingFiles(usual).read(file, bytes(file));
        return drawing.unitGuessed()
                ? new DrawingFiles(usual.withUnit(LengthUnit.MILLIMETRE)).read(file, bytes(file))
                : drawing;
    }

    public static Reading reading(String name) {
        return new DrawingReading(ReadOptions.defaults()).read(drawing(name));
    }

    public static Run plan(Reading reading, String material, double thickness, int quantity) {
        return plan(
                reading,
                new SheetPlanner.Order(material, thickness, quantity),
                PlanChoices.defaults(),
                SheetChoices.defaults());
    }

    public static Run plan(
            Reading reading, SheetPlanner.Order order, PlanChoices plan, SheetChoices sheet) {
        return new SheetPlanner(TEASEL, BOOK).plan(reading, order, plan, sheet);
    }

    public static Timeline time(Run run) {
        return new TimeModel(TEASEL).time(new ProgramCompiler().compile(run));
    }

    public static Proof prove(Reading reading, Run run) {
        return Prover.withAllRules().prove(SheetProof.input(reading, run, time(run)), Map.of());
    }

    public static CheckedWriter.Checked write(Run run, Timeline timeline) {
        return new CheckedWriter(DIALECT).write(timeline.program(), FRAME, Map.of());
    }
}
