package dev.oleander.bench;

import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.dxf.DxfReader;
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
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.sheet.proof.SheetProof;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** From file to text, step by step, on the largest sample and on a large made-up sheet. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class SliceBenchmarks {

    static final String LARGEST_SAMPLE = "winch_drum_cheek";
    static final String MANY_PLATES = "plates";
    static final int PLATES = 2000;

    private static final Map<String, String> FRAME =
            Map.of(
                    "number",
                    "1",
                    "job",
                    "b",
                    "revision",
                    "A",
                    "date",
                    "d",
                    "quantity",
                    "1",
                    "material",
                    "m",
                    "thickness",
                    "6",
                    "stockWidth",
                    "1",
                    "stockHeight",
                    "1");

    @Param({LARGEST_SAMPLE, MANY_PLATES})
    public String drawing;

    private byte[] file;
    private Reading reading;
    private Run run;
    private Timeline timeline;
    private Machine machine;
    private CutBook book;
    private Dialect dialect;
    private SheetChoices sheet;

    @Setup
    public void prepare() throws IOException {
        MachineLibrary machines = MachineLibrary.shipped();
        machine = machines.find("teasel").orElseThrow();
        book = (CutBook) machines.book(machine);
        dialect = DialectLibrary.shipped().find(machine.dialect()).orElseThrow();
        sheet =
                SheetChoices.defaults()
                        .withStock(
                                new SheetChoices.Stock(
                                        true,
                                        SheetChoices.defaults().width(),
                                        SheetChoices.defaults().height(),
                                        SheetChoices.defaults().allowance()));
        file =
                drawing.equals(MANY_PLATES)
                        ? PlateSheet.of(PLATES, 7).getBytes(StandardCharsets.UTF_8)
                        : Files.readAllBytes(Path.of("samples", drawing + ".dxf"));
        reading = importFile();
        run = plan();
        timeline = new TimeModel(machine).time(new ProgramCompiler().compile(run));
    }

    @Benchmark
    public Reading importFile() {
        return new DrawingReading(ReadOptions.defaults())
                .read(new DxfReader(ImportOptions.defaults()).read(drawing, file));
    }

    @Benchmark
    public Run plan() {
        return new SheetPlanner(machine, book)
                .plan(
                        reading,
                        new SheetPlanner.Order("mild steel", 6, 1),
                        PlanChoices.defaults(),
                        sheet);
    }

    @Benchmark
    public Proof prove() {
        return Prover.withAllRules().prove(SheetProof.input(reading, run, timeline), Map.of());
    }

    @Benchmark
    public CheckedWriter.Checked post() {
        return new CheckedWriter(dialect).write(timeline.program(), FRAME, Map.of());
    }
}
