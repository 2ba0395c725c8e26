package dev.oleander.web.job.result;

import dev.oleander.book.Book;
import dev.oleander.book.BookRow;
import dev.oleander.dialect.Dialect;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Machine;
import dev.oleander.material.Leftover;
import dev.oleander.material.MaterialState;
import dev.oleander.motion.Timeline;
import dev.oleander.nesting.NestFault;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.stop.Stop;
import dev.oleander.price.PriceList;
import dev.oleander.progress.Once;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Prover;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.seal.Hashes;
import dev.oleander.work.Kinds;
import dev.oleander.work.Plan;
import dev.oleander.work.PlannedRun;
import dev.oleander.work.Runs;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/**
 * What follows from a document, each part computed when it is first asked for; who asks for a part
 * that is being computed waits for it. Thread-safe.
 */
public final class JobResult {

    /** How much of the work is done when there is a plan, and only the proof is left. */
    public static final double PLANNED_SHARE = 0.65;

    private final JobDocument document;
    private final Machine machine;
    private final Book<?> book;
    private final Dialect dialect;
    private final Shape shape;
    private final Optional<PriceList.Material> material;
    private final Map<String, Reading> sources;
    private final Work<?, ?> kind;
    private final Prover prover;
    private final Once<Plan> plan;
    private final Once<List<PlannedRun>> planned;
    private final Once<Proof> proof;
    private final Reached reached;
    private final Once<List<NestFault>> nestFaults;

    /** Results of runs after the first, once they are asked for; this one is that of the first. */
    private final Once<List<JobResult>> later;

    /** Which of the runs it is. */
    private final int number;

    /** That of the first run, if this one is later. */
    private final Optional<JobResult> first;

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

    /**
     * @param data book and format of the machine
     * @param sources readings of other jobs of which parts are taken, by letter
     */
    JobResult(
            JobDocument document,
            Data data,
            Shape shape,
            Map<String, Reading> sources,
            Prover prover,
            LatestPlans plans) {
        this.document = document;
        this.machine = data.machine();
        this.book = data.book();
        this.dialect = data.dialect();
        this.shape = shape;
        this.material = data.material();
        this.sources = Map.copyOf(sources);
        this.kind = Kinds.of(machine);
        this.prover = prover;
        this.plan =
                new Once<>(
                        progress ->
                                plans.plan(
                                        shape, machine, earlier -> plan(kind, earlier, progress)));
        this.planned = new Once<>(progress -> runs(kind, progress));
        this.proof = new Once<>(progress -> proved(plan(), progress));
        this.reached = new Reached();
        this.nestFaults =
                new Once<>(progress -> nesting().map(n -> n.faults(kind)).orElse(List.of()));
        this.later = new Once<>(progress -> laterRuns());
        this.number = 1;
        this.first = Optional.empty();
    }

    private JobResult(JobDocument document, JobResult other) {
        this(document, other, other.first, other.plan, other.proof, other.number);
    }

    private JobResult(
            JobDocument document,
            JobResult other,
            Optional<JobResult> first,
            Once<Plan> plan,
            Once<Proof> proof,
            int number) {
        this.document = document;
        this.machine = other.machine;
        this.book = other.book;
        this.dialect = other.dialect;
        this.shape = other.shape;
        this.material = other.material;
        this.sources = other.sources;
        this.kind = other.kind;
        this.prover = other.prover;
        this.plan = plan;
        this.planned = other.planned;
        this.proof = proof;
        this.reached = other.reached;
        this.nestFaults = other.nestFaults;
        this.later = other.later;
        this.number = number;
        this.first = first;
    }

    private Proof proved(Plan of, Progress progress) {
        return prover.prove(of.proofInput(), document.acceptances(), progress);
    }

    private <C extends Choices<C, S>, S extends Choice<S>> List<PlannedRun> runs(
            Work<C, S> of, Progress progress) {
        return nesting()
                .map(nesting -> nesting.runs(of, plan(), progress))
                .orElseGet(() -> Runs.of(of, task(of), plan(), progress));
    }

    private List<JobResult> laterRuns() {
        return planned.get(Progress.NONE).stream()
                .skip(1)
                .map(
                        run ->
                                new JobResult(
                                        document,
                                        this,
                                        Optional.of(this),
                                        new Once<>(progress -> run.plan()),
                                        new Once<>(progress -> proved(run.plan(), progress)),
                                        run.setUp().number()))
                .toList();
    }

    /**
     * The runs of the job, one for each set-up that its quantity needs; each is the whole job with
     * another plan.
     *
     * @throws dev.oleander.plan.bed.PlanException when the stock or the rows are not usable
     */
    public List<JobResult> runs() {
        List<JobResult> all = new ArrayList<>();
        all.add(first.map(run -> run.sharedBy(document)).orElse(this));
        // they are kept for all documents that nothing else follows from
        later.get(Progress.NONE).forEach(run -> all.add(run.sharedBy(document)));
        return List.copyOf(all);
    }

    /** The run that has a stop; the first one when none has. */
    public JobResult at(String stop) {
        return runs().stream()
                .filter(run -> run.run().stop(stop).isPresent())
                .findFirst()
                .orElse(this);
    }

    /**
     * A run of the job; the nearest one when there are fewer.
     *
     * @throws dev.oleander.plan.bed.PlanException when the stock or the rows are not usable
     */
    public JobResult on(int run) {
        if (run == number) {
            return this;
        }
        List<JobResult> all = runs();
        return all.get(Math.max(1, Math.min(all.size(), run)) - 1);
    }

    /** Which of the runs it is, from 1. */
    public int number() {
        return number;
    }

    /** The set-up that its plan is for. */
    public SetUp setUp() {
        return planned.get(Progress.NONE).get(number - 1).setUp();
    }

    /** The machine with what it works by and what is written for it. */
    record Data(
            Machine machine,
            Book<?> book,
            Dialect dialect,
            Optional<PriceList.Material> material) {}

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
     * @param ready is told when there is a plan, before it is proved
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public void complete(Progress progress, Runnable ready) {
        try {
            plan.get(progress.within(0, 0.5)).timeline(progress.within(0.5, 0.55));
            planned.get(progress.within(0.55, PLANNED_SHARE))
                    .forEach(run -> run.plan().timeline(Progress.NONE));
            nestFaults.get(Progress.NONE);
            reached.state = State.PLANNED;
            ready.run();
            proof.get(progress.within(PLANNED_SHARE, 0.95));
            later.get(Progress.NONE).forEach(run -> run.proof.get(progress.within(0.95, 1)));
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
        plan.get(progress.within(0, 0.9)).timeline(progress.within(0.9, 1));
    }

    private <C extends Choices<C, S>, S extends Choice<S>> Plan plan(
            Work<C, S> of, Optional<Plan> earlier, Progress progress) {
        return of.plan(task(of), earlier, progress);
    }

    /**
     * What the plan is made for.
     *
     * @throws PlanException when parts are nested and none of them are laid yet
     */
    public <C extends Choices<C, S>, S extends Choice<S>> Task<C> task(Work<C, S> of) {
        return nesting()
                .map(nesting -> nesting.sheet(of, number))
                .orElseGet(
                        () ->
                                new Task<>(
                                        machine,
                                        book,
                                        reading(),
                                        order(),
                                        document.sheet(),
                                        document.choices(of)));
    }

    private Task.Order order() {
        return new Task.Order(
                document.material(),
                document.thickness().value(),
                document.quantity(),
                material.map(PriceList.Material::density).orElse(0.0));
    }

    /** How the parts are nested; empty where they lie in rows and columns. */
    public Optional<Nesting> nesting() {
        return document.nest()
                .map(
                        nest ->
                                new Nesting(
                                        document,
                                        machine,
                                        book,
                                        order(),
                                        reading(),
                                        sources,
                                        material.map(m -> m.price(1, order().thickness()))
                                                .orElse(0.0)));
    }

    /** What kind of work it is. */
    public Work<?, ?> kind() {
        return kind;
    }

    /** Whether it is a kind of work. */
    public boolean is(Work<?, ?> other) {
        return kind.word().equals(other.word());
    }

    /** What was decided about the run. */
    public RunChoices runChoices() {
        return document.choices(kind).run();
    }

    /** How much planning is to be expected, in stops on a sheet. */
    public long expectedWork() {
        return kind.effort() * expectedStops();
    }

    /** How many stops there will be about: features times copies. */
    long expectedStops() {
        return document.nest()
                .map(nest -> (long) reading().features().size() * nest.choices().demand().all())
                .orElseGet(() -> (long) reading().features().size() * document.quantity());
    }

    /** Whether nothing is left to compute, be it that there is no plan. */
    public boolean isComplete() {
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

    public JobDocument document() {
        return document;
    }

    public Machine machine() {
        return machine;
    }

    public Book<?> book() {
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
    public Plan plan() {
        return plan.get(Progress.NONE);
    }

    /**
     * The plan with what its kind of work has besides; empty when it is another.
     *
     * @throws dev.oleander.plan.PlanException when the stock or the rows are not usable
     */
    public <P extends Plan> Optional<P> own(Class<P> type) {
        return Optional.of(plan()).filter(type::isInstance).map(type::cast);
    }

    /** See {@link #plan()}. */
    public Run run() {
        return plan().run();
    }

    public Timeline timeline() {
        return plan().timeline(Progress.NONE);
    }

    /** Which pieces come free, and when. */
    public MaterialState material() {
        return plan().material();
    }

    /** Where the parts differ from the drawing in the end. */
    public List<Leftover> remains() {
        return plan().remains();
    }

    public Proof proof() {
        return proof.get(Progress.NONE);
    }

    /** Machine time of one copy, money, over all runs; the hourly rate is that of the machine. */
    public double pricePerPart() {
        int made = runs().stream().mapToInt(run -> run.setUp().made()).sum();
        return machine.hourlyRate() * secondsInAll() / 3600 / Math.max(1, made);
    }

    /** Machine time of all its runs, each as often as it is done, s. */
    public double secondsInAll() {
        return runs().stream()
                .mapToDouble(run -> run.setUp().count() * run.timeline().total())
                .sum();
    }

    /**
     * What stands against how nested parts lie; none where they lie in rows.
     *
     * @throws PlanException when that cannot be told, as a part is gone from its drawing
     */
    public List<NestFault> nestFaults() {
        return nestFaults.get(Progress.NONE);
    }

    /** What the job asks for. */
    public Demand demand() {
        return document.nest().map(nest -> nest.choices().demand()).orElseGet(this::inRows);
    }

    private Demand inRows() {
        return Demand.of(reading(), document.quantity(), document.sheet().parts());
    }

    /** The same in words: 12 off, or how many parts where they have numbers of their own. */
    public String wanted() {
        Demand demand = demand();
        return demand.isWhole() ? document.quantity() + " off" : demand.all() + " parts";
    }

    /** What comes of all its runs. */
    public Demand made() {
        Map<PartRef, Integer> made = new LinkedHashMap<>();
        for (JobResult run : runs()) {
            run.plan()
                    .placed()
                    .of()
                    .forEach((p, n) -> made.merge(p, run.setUp().times() * n, Integer::sum));
        }
        return new Demand(made);
    }

    /** How many sheets, or other pieces of stock, the job takes. */
    public int sheets() {
        return runs().stream().mapToInt(run -> run.setUp().sheets()).sum();
    }

    /** All stops of all its runs. */
    public Stream<Stop> allStops() {
        return runs().stream().flatMap(run -> run.run().stops().stream());
    }

    /** SHA-256 of the cutting data that its runs use, in hexadecimal. */
    public String dataFingerprint() {
        List<? extends BookRow> used =
                runs().stream().flatMap(run -> run.dataInUse().stream()).distinct().toList();
        return Hashes.sha256(
                JsonMapper.shared().writeValueAsString(used).getBytes(StandardCharsets.UTF_8));
    }

    /** Rows of the cut book that the run uses. */
    public List<? extends BookRow> dataInUse() {
        return plan().dataInUse();
    }

    public Map<String, Stop> stops() {
        return run().stops().stream().collect(Collectors.toMap(Stop::id, Function.identity()));
    }

    /**
     * Stops of the run by their ids, in the order in which they are named.
     *
     * @throws RefusedEditException when none is named
     * @throws NotFoundException when there is no such stop
     */
    public List<Stop> requireStops(List<String> ids) {
        if (ids.isEmpty()) {
            throw new RefusedEditException("No stop is selected.");
        }
        Map<String, Stop> stops = stops();
        List<Stop> found = new ArrayList<>();
        for (String id : ids) {
            Stop stop = stops.get(id);
            if (stop == null) {
                throw NotFoundException.stop(id);
            }
            found.add(stop);
        }
        return found;
    }
}
