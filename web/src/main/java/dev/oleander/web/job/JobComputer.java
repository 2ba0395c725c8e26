package dev.oleander.web.job;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.SideBySide;
import dev.oleander.drawing.dxf.DxfOptions;
import dev.oleander.drawing.dxf.DxfReader;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.proof.Prover;
import dev.oleander.quantity.LengthUnit;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Computes what follows from documents and keeps the latest results. */
@Component
public class JobComputer {

    /** mm between the drawings of one job. */
    private static final double BETWEEN_DRAWINGS = 20;

    /** Results kept; the weight of a reading is its segments. */
    private static final int MOST_RESULTS = 60;

    private static final int MOST_SEGMENTS = 1_000_000;

    private record ReadingKey(
            List<Long> files,
            LengthUnit unit,
            Map<String, Purpose> layers,
            Map<String, Purpose> features,
            double gap) {}

    private final DrawingFileRepository files;
    private final MachineLibrary machines;
    private final DialectLibrary dialects;
    private final Prover prover = Prover.withAllRules();
    private final Cache<JobDocument, JobResult> results =
            Caffeine.newBuilder().maximumSize(MOST_RESULTS).build();
    private final Cache<ReadingKey, Reading> readings =
            Caffeine.newBuilder()
                    .maximumWeight(MOST_SEGMENTS)
                    .weigher((ReadingKey key, Reading r) -> 100 + r.drawing().entities().size())
                    .build();

    JobComputer(DrawingFileRepository files, MachineLibrary machines, DialectLibrary dialects) {
        this.files = files;
        this.machines = machines;
        this.dialects = dialects;
    }

    /**
     * @throws dev.oleander.drawing.DrawingException when a file cannot be read
     * @throws NotFoundException when the machine is not known
     */
    public JobResult result(JobDocument document) {
        return results.get(document, this::compute);
    }

    private JobResult compute(JobDocument document) {
        Machine machine =
                machines.find(document.machine())
                        .orElseThrow(() -> NotFoundException.machine(document.machine(), machines));
        Dialect dialect = dialects.find(machine.dialect()).orElseThrow();
        return new JobResult(
                document, machine, machines.cutBook(machine), dialect, reading(document), prover);
    }

    private Reading reading(JobDocument document) {
        ReadingKey key =
                new ReadingKey(
                        document.files(),
                        document.unit(),
                        document.layers(),
                        document.features(),
                        document.gap().value());
        return readings.get(key, this::read);
    }

    private Reading read(ReadingKey key) {
        DxfOptions options =
                key.unit() == null
                        ? DxfOptions.defaults()
                        : DxfOptions.defaults().withUnit(key.unit());
        DxfReader reader = new DxfReader(options);
        List<Drawing> drawings =
                key.files().stream()
                        .map(id -> files.findById(id).orElseThrow())
                        .map(f -> reader.read(f.name(), f.content()))
                        .toList();
        ReadOptions readOptions =
                new ReadOptions(
                        key.layers(),
                        key.features(),
                        MendOptions.defaults().withGap(key.gap()),
                        ReadOptions.defaults().circle());
        return new DrawingReading(readOptions)
                .read(new SideBySide(BETWEEN_DRAWINGS).join(drawings));
    }
}
