package dev.oleander.web.job.result;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.dialect.Dialect;
import dev.oleander.drawing.draw.Supplies;
import dev.oleander.drawing.read.JoinedReading;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.price.PriceList;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Prover;
import dev.oleander.web.book.Books;
import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.source.BroughtFiles;
import dev.oleander.web.load.WorkingMemory;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Computes what follows from documents and keeps the latest results. */
@Component
public class JobComputer {

    /** The weight of a result is its stops, of a reading its segments. */
    private static final int LEAST_WEIGHT = 200;

    /** Bytes that a stop with its motion and its findings takes, roughly. */
    private static final int BYTES_OF_STOP = 20_000;

    private static final int MOST_SEGMENTS = 1_000_000;

    /** What a shape follows from; formulas of drawing know the thickness, mm. */
    private record ShapeKey(ShapeChoices choices, double thickness) {}

    /**
     * What a result follows from.
     *
     * @param hash of the document: it is large, and asked for many times a request
     */
    private record ResultKey(int hash, JobDocument document, long books, long formats) {

        @Override
        public int hashCode() {
            return hash;
        }
    }

    /** By document, of which each has its own. */
    private final Cache<JobDocument, Integer> hashes = Caffeine.newBuilder().weakKeys().build();

    private final BroughtFiles files;
    private final WorkingMemory memory;
    private final Supplies supplies;
    private final MachineLibrary machines;
    private final Books books;
    private final Formats formats;
    private final LatestPlans plans = new LatestPlans();
    private final Prover prover;
    private final PriceList prices;
    private final Cache<ResultKey, JobResult> results =
            Caffeine.newBuilder()
                    .maximumWeight(Runtime.getRuntime().maxMemory() / 2 / BYTES_OF_STOP)
                    .weigher((ResultKey key, JobResult result) -> weight(result))
                    .build();

    /** Those that somebody still holds, first of all those that are being planned. */
    private final Cache<ResultKey, JobResult> held = Caffeine.newBuilder().weakValues().build();

    /** By document without its names; held by the results that share them. */
    private final Cache<ResultKey, JobResult> works = Caffeine.newBuilder().weakValues().build();

    private final Cache<ShapeKey, Shape> shapes =
            Caffeine.newBuilder()
                    .maximumWeight(MOST_SEGMENTS)
                    .weigher(
                            (ShapeKey key, Shape s) ->
                                    100 + s.reading().drawing().entities().size())
                    .build();

    /** Shapes of several jobs read as one, held by the results that show them. */
    private final Cache<JoinedKey, Shape> joined = Caffeine.newBuilder().weakValues().build();

    /** Which shapes, by letter; shapes are equal when they are the same. */
    private record JoinedKey(List<String> letters, List<Shape> shapes) {}

    JobComputer(
            BroughtFiles files,
            MachineLibrary machines,
            Books books,
            Formats formats,
            Prover prover,
            PriceList prices,
            WorkingMemory memory,
            Supplies supplies) {
        this.memory = memory;
        this.supplies = supplies;
        this.prices = prices;
        this.files = files;
        this.machines = machines;
        this.books = books;
        this.formats = formats;
        this.prover = prover;
    }

    /**
     * @throws dev.oleander.drawing.DrawingException when a file cannot be read
     * @throws NotFoundException when the machine is not known
     */
    public JobResult result(JobDocument document) {
        return results.get(key(document), key -> held.get(key, this::shared));
    }

    /** Who renames a job does not have it planned anew. */
    private JobResult shared(ResultKey key) {
        JobDocument unnamed = key.document().unnamed();
        ResultKey work = new ResultKey(unnamed.hashCode(), unnamed, key.books(), key.formats());
        return works.get(work, unknown -> compute(unknown.document())).sharedBy(key.document());
    }

    /** Copies times features: what is not known before the plan is made. */
    private static int weight(JobResult result) {
        return (int) Math.min(1_000_000, LEAST_WEIGHT + result.expectedStops());
    }

    /** The result of a document when there is one already. */
    public Optional<JobResult> known(JobDocument document) {
        return Optional.ofNullable(held.getIfPresent(key(document)));
    }

    /** Changes when a cut book or a format does. */
    public String dataVersion() {
        return books.version() + "." + formats.version();
    }

    private ResultKey key(JobDocument document) {
        int hash = hashes.get(document, JobDocument::hashCode);
        return new ResultKey(hash, document, books.version(), formats.version());
    }

    private JobResult compute(JobDocument document) {
        Machine machine =
                machines.find(document.machine())
                        .orElseThrow(() -> NotFoundException.machine(document.machine(), machines));
        Dialect dialect = formats.find(machine.dialect()).orElseThrow();
        return new JobResult(
                document,
                new JobResult.Data(
                        machine, books.of(machine), dialect, prices.find(document.material())),
                shape(document, Progress.NONE),
                readings(document),
                prover,
                plans);
    }

    /** The job's own drawing, with those of the jobs that it takes parts of. */
    private Shape shape(JobDocument document, Progress progress) {
        Shape own = shape(key(document.shape(), document), progress);
        SortedMap<String, Shape> others = sources(document, progress);
        if (others.isEmpty()) {
            return own;
        }
        List<Shape> all = new ArrayList<>(others.values());
        all.add(own);
        // identity: shapes are kept as long as anybody looks at them
        return joined.get(new JoinedKey(List.copyOf(others.keySet()), all), k -> join(own, others));
    }

    private SortedMap<String, Shape> sources(JobDocument document, Progress progress) {
        SortedMap<String, Shape> others = new TreeMap<>();
        document.nest()
                .map(NestDocument::sources)
                .orElse(Map.of())
                .forEach(
                        (letter, source) ->
                                others.put(
                                        letter,
                                        shape(
                                                key(source.document().shape(), source.document()),
                                                progress)));
        return others;
    }

    private Map<String, Reading> readings(JobDocument document) {
        Map<String, Reading> readings = new HashMap<>();
        sources(document, Progress.NONE)
                .forEach((letter, shape) -> readings.put(letter, shape.reading()));
        return readings;
    }

    private static Shape join(Shape own, SortedMap<String, Shape> others) {
        Map<String, Reading> readings = new LinkedHashMap<>();
        if (!own.reading().features().isEmpty()) {
            readings.put("", own.reading());
        }
        others.forEach((letter, shape) -> readings.put(letter, shape.reading()));
        return own.with(JoinedReading.of(readings));
    }

    private static ShapeKey key(ShapeChoices shape, JobDocument document) {
        return new ShapeKey(shape, document.thickness().value());
    }

    private Shape shape(ShapeKey key, Progress progress) {
        ShapeReader reader = new ShapeReader(files, memory, supplies);
        return shapes.get(key, k -> reader.read(k.choices(), k.thickness(), progress));
    }

    /**
     * Reads the drawings of a document, unless that was done before.
     *
     * @throws dev.oleander.drawing.DrawingException when a file cannot be read
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public void read(JobDocument document, Progress progress) {
        shape(document, progress);
    }
}
