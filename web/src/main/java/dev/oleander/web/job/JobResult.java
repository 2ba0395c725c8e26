package dev.oleander.web.job;

import dev.oleander.dialect.Dialect;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.CutBook;
import dev.oleander.machine.Machine;
import dev.oleander.material.Leftover;
import dev.oleander.material.MaterialState;
import dev.oleander.material.Remains;
import dev.oleander.motion.DataTable;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.motion.WireMotion;
import dev.oleander.plan.PlanException;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import dev.oleander.plan.sheet.SheetPlan;
import dev.oleander.plan.sheet.SheetPlanner;
import dev.oleander.plan.wire.WirePlan;
import dev.oleander.plan.wire.WirePlanner;
import dev.oleander.plan.wire.WireTask;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Prover;
import dev.oleander.web.seal.Hashes;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/**
 * What follows from a document, each part computed when it is first asked for; who asks for a part
 * that is being computed waits for it. Thread-safe.
 */
public final class JobResult {

    /** How much of the work is done when there is a plan, and only the proof is left. */
    static final double PLANNED_SHARE = 0.65;

    /** What a stop of the wire takes longer than one on a sheet. */
    private static final int WIRE_WORK = 20;

    private final JobDocument document;
    private final Machine machine;
    private final CutBook book;
    private final Dialect dialect;
    private final Shape shape;
    private final Once<SheetPlan> plan;
    private final Once<WirePlan> wirePlan;
    private final Once<WireMotion> wireMotion;
    private final Once<Timeline> timeline;
    private final Once<Proof> proof;
    private final Once<MaterialState> material;
    private final Once<List<Leftover>> remains;

    private final Optional<WireTask> wire;

    private final Reached reached;

    /** How much of it is there. */
    private enum State {
        NEW,
        PLANNED,
        PROVED,
        REFUSED
    }

    /** How far all that share the same work have come. */
    private static final class Reached {
        private volatile State state = State.NEW;
        private volatile String refusal = "";
    }

    JobResult(
            JobDocument document,
            Machine machine,
            CutBook book,
            Dialect dialect,
            Shape shape,
            Prover prover,
            LatestPlans plans,
            Optional<WireTask> wire) {
        this.document = document;
        this.machine = machine;
        this.book = book;
        this.dialect = dialect;
        this.shape = shape;
        this.plan = new Once<>(progress -> plan(plans, progress));
        this.wire = wire;
        this.wirePlan = new Once<>(this::wirePlan);
        this.wireMotion = new Once<>(progress -> WireMotion.of(wirePlan.get(progress)));
        this.timeline =
                new Once<>(
                        progress ->
                                wire.isPresent()
                                        ? new TimeModel(machine)
                                                .time(wireMotion.get(progress).wire())
                                        : plans.motion(shape, run()).timeline());
        this.material =
                new Once<>(
                        progress ->
                                wire.isPresent()
                                        ? new MaterialState(List.of())
                                        : MaterialState.of(reading(), run(), timeline()));
        this.remains =
                new Once<>(progress -> wire.isPresent() ? List.of() : Remains.of(reading(), run()));
        this.proof =
                new Once<>(progress -> prover.prove(input(), document.acceptances(), progress));
        this.reached = new Reached();
    }

    private JobResult(JobDocument document, JobResult other) {
        this.document = document;
        this.machine = other.machine;
        this.book = other.book;
        this.dialect = other.dialect;
        this.shape = other.shape;
        this.plan = other.plan;
        this.wirePlan = other.wirePlan;
        this.wireMotion = other.wireMotion;
        this.timeline = other.timeline;
        this.proof = other.proof;
        this.material = other.material;
        this.remains = other.remains;
        this.wire = other.wire;
        this.reached = other.reached;
    }

    /**
     * The same for a document that differs only in what nothing is computed from; all that is
     * computed for one of them is there for the other.
     */
    JobResult sharedBy(JobDocument other) {
        return new JobResult(other, this);
    }

    /**
     * Plans and proves, unless that was done before.
     *
     * @param planned is told when there is a plan, before it is proved
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    void complete(Progress progress, Runnable planned) {
        try {
            makePlan(progress.within(0, 0.6));
            timeline.get(progress.within(0.6, PLANNED_SHARE));
            reached.state = State.PLANNED;
            planned.run();
            proof.get(progress.within(PLANNED_SHARE, 1));
            reached.state = State.PROVED;
        } catch (PlanException unusable) {
            reached.refusal = unusable.getMessage();
            reached.state = State.REFUSED;
        }
    }

    /**
     * Plans, and computes how long it takes, unless that was done before.
     *
     * @throws PlanException when there can be no plan
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public void plan(Progress progress) {
        makePlan(progress.within(0, 0.9));
        timeline.get(progress.within(0.9, 1));
    }

    private void makePlan(Progress progress) {
        if (wire.isPresent()) {
            wirePlan.get(progress);
        } else {
            plan.get(progress);
        }
    }

    private ProofInput input() {
        return wire.isPresent()
                ? ProofInput.of(reading(), wirePlan.get(Progress.NONE), timeline())
                : ProofInput.of(reading(), run(), timeline());
    }

    private WirePlan wirePlan(Progress progress) {
        return new WirePlanner(wire.orElseThrow(), document.wire())
                .plan(
                        reading(),
                        document.sheet(),
                        document.plan().pins(),
                        stops -> Run.events(document.plan(), stops),
                        progress);
    }

    /** The plan of a wire machine; empty where the machine has none. */
    public Optional<WirePlan> wire() {
        return wire.map(w -> wirePlan.get(Progress.NONE));
    }

    /** What is known about the work on a wire machine before it is planned. */
    public Optional<WireTask> wireTask() {
        return wire;
    }

    /** Motion and written program of a wire machine. */
    public Optional<WireMotion> wireMotion() {
        return wire.map(w -> wireMotion.get(Progress.NONE));
    }

    /** How much planning is to be expected, in stops on a sheet. */
    long expectedWork() {
        return wire.isPresent() ? WIRE_WORK * expectedStops() : expectedStops();
    }

    /** How many stops there will be about: features times copies. */
    long expectedStops() {
        return (long) reading().features().size() * document.quantity();
    }

    /** Whether nothing is left to compute, be it that there is no plan. */
    boolean isComplete() {
        return reached.state == State.PROVED || reached.state == State.REFUSED;
    }

    /** Whether there is a plan; its proof may still be under way. */
    public boolean isPlanned() {
        return reached.state == State.PLANNED || reached.state == State.PROVED;
    }

    /** Whether the plan is proved. */
    public boolean isProved() {
        return reached.state == State.PROVED;
    }

    /** What the proof found; nothing while it is under way. */
    public List<Finding> findings() {
        return isProved() ? proof().findings() : List.of();
    }

    /** Why there can be no plan; empty when there is one or it is being made. */
    public String refusal() {
        return reached.refusal;
    }

    private SheetPlan plan(LatestPlans plans, Progress progress) {
        SheetPlanner.Order order =
                new SheetPlanner.Order(
                        document.material(), document.thickness().value(), document.quantity());
        SheetPlanner planner = new SheetPlanner(machine, book);
        return plans.plan(
                shape,
                machine,
                earlier ->
                        earlier == null
                                ? planner.plan(
                                        reading(),
                                        order,
                                        document.plan(),
                                        document.sheet(),
                                        progress)
                                : planner.plan(
                                        reading(),
                                        order,
                                        document.plan(),
                                        document.sheet(),
                                        earlier,
                                        progress));
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

    /** Materials that the cut book of the machine has. */
    public List<String> materials() {
        return wire.map(w -> w.book().materials()).orElseGet(book::materials);
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
        return wire().map(WirePlan::run).orElseGet(() -> sheetPlan().run());
    }

    /**
     * The plan of a sheet with all that can be asked of it; a machine with a wire has none.
     *
     * @throws dev.oleander.plan.PlanException when the stock or the rows are not usable
     */
    public SheetPlan sheetPlan() {
        if (wire.isPresent()) {
            throw new PlanException("%s cuts with a wire.".formatted(machine.name()));
        }
        return plan.get(Progress.NONE);
    }

    public Timeline timeline() {
        return timeline.get(Progress.NONE);
    }

    /** Which pieces come free, and when. */
    public MaterialState material() {
        return material.get(Progress.NONE);
    }

    /** Where the parts differ from the drawing in the end. */
    public List<Leftover> remains() {
        return remains.get(Progress.NONE);
    }

    public Proof proof() {
        return proof.get(Progress.NONE);
    }

    /** Machine time of one copy, money; the hourly rate is that of the machine. */
    public double pricePerPart() {
        int placed = Math.max(1, run().layout().placed());
        return machine.hourlyRate() * timeline().total() / 3600 / placed;
    }

    /** SHA-256 of the cutting data that the run uses, in hexadecimal. */
    public String dataFingerprint() {
        return Hashes.sha256(
                JsonMapper.shared()
                        .writeValueAsString(dataInUse())
                        .getBytes(StandardCharsets.UTF_8));
    }

    /** Rows of the cut book that the run uses. */
    public List<?> dataInUse() {
        return wire().isPresent() ? wire().get().rowsInUse() : DataTable.of(run());
    }

    public Map<String, Stop> stops() {
        return run().stops().stream().collect(Collectors.toMap(Stop::id, Function.identity()));
    }

    private static final class Once<T> {
        private final Function<Progress, T> source;
        private T value;

        Once(Function<Progress, T> source) {
            this.source = source;
        }

        synchronized T get(Progress progress) {
            if (value == null) {
                value = source.apply(progress);
            }
            return value;
        }
    }
}
