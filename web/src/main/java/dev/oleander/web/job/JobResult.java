package dev.oleander.web.job;

import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.Machine;
import dev.oleander.motion.ProgramCompiler;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import dev.oleander.plan.sheet.SheetPlanner;
import dev.oleander.proof.Proof;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Prover;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** What follows from a document, each part computed when it is first asked for. Thread-safe. */
public final class JobResult {

    private final JobDocument document;
    private final Machine machine;
    private final CutBook book;
    private final Dialect dialect;
    private final Shape shape;
    private final Supplier<Run> run;
    private final Supplier<Timeline> timeline;
    private final Supplier<Proof> proof;

    JobResult(
            JobDocument document,
            Machine machine,
            CutBook book,
            Dialect dialect,
            Shape shape,
            Prover prover) {
        this.document = document;
        this.machine = machine;
        this.book = book;
        this.dialect = dialect;
        this.shape = shape;
        this.run = once(this::plan);
        this.timeline =
                once(() -> new TimeModel(machine).time(new ProgramCompiler().compile(run())));
        this.proof =
                once(
                        () ->
                                prover.prove(
                                        ProofInput.of(reading(), run(), timeline()),
                                        document.acceptances()));
    }

    private Run plan() {
        SheetPlanner.Order order =
                new SheetPlanner.Order(
                        document.material(), document.thickness().value(), document.quantity());
        return new SheetPlanner(machine, book)
                .plan(reading(), order, document.plan(), document.sheet());
    }

    public JobDocument document() {
        return document;
    }

    public Machine machine() {
        return machine;
    }

    public CutBook book() {
        return book;
    }

    public Dialect dialect() {
        return dialect;
    }

    public Shape shape() {
        return shape;
    }

    public Reading reading() {
        return shape.reading();
    }

    /**
     * @throws dev.oleander.plan.PlanException when the stock or the rows are not usable
     */
    public Run run() {
        return run.get();
    }

    public Timeline timeline() {
        return timeline.get();
    }

    public Proof proof() {
        return proof.get();
    }

    /** Machine time of one copy, money; the hourly rate is that of the machine. */
    public double pricePerPart() {
        int placed = Math.max(1, run().layout().placed());
        return machine.hourlyRate() * timeline().total() / 3600 / placed;
    }

    /**
     * The program as text, read back and compared.
     *
     * @param frame values for header and footer
     */
    public CheckedWriter.Checked write(Map<String, String> frame) {
        Map<String, String> names =
                run().stops().stream()
                        .collect(
                                Collectors.toMap(
                                        Stop::id,
                                        s -> "%d %s".formatted(s.number(), s.name()),
                                        (a, b) -> a));
        return new CheckedWriter(dialect).write(timeline().program(), frame, names);
    }

    public Map<String, Stop> stops() {
        return run().stops().stream().collect(Collectors.toMap(Stop::id, Function.identity()));
    }

    private static <T> Supplier<T> once(Supplier<T> source) {
        return new Supplier<>() {
            private T value;

            @Override
            public synchronized T get() {
                if (value == null) {
                    value = source.get();
                }
                return value;
            }
        };
    }
}
