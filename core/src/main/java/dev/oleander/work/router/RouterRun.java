package dev.oleander.work.router;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.panel.clamping.TakenAway;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Once;
import dev.oleander.progress.Progress;
import dev.oleander.proof.ProofInput;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.Plan;
import dev.oleander.work.router.book.ToolRow;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.material.Engaged;
import dev.oleander.work.router.material.HeightField;
import dev.oleander.work.router.material.HeightFields;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.material.Section;
import dev.oleander.work.router.motion.RouterMotion;
import dev.oleander.work.router.panel.TakenByRouter;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.proof.Fault;
import dev.oleander.work.router.proof.ProgramCheck;
import dev.oleander.work.router.proof.RouterProof;
import dev.oleander.work.router.run.Moments;
import dev.oleander.work.router.run.RoundMaterial;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.run.RouterWork;
import dev.oleander.work.router.run.Volumes;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** All that is planned for a router, with what follows from it. */
public final class RouterRun implements Plan, RouterProof {

    /** mm */
    private static final double METRE = 1000;

    private final Reading reading;
    private final RouterPlan plan;
    private final Once<Program> program;
    private final Once<Timeline> timeline;
    private final Once<List<Fault>> faults;
    private final Once<Depths> depths;
    private final Once<Removed> removed;
    private final Once<Difference.Found> difference;
    private final Once<Map<String, Double>> volumes;
    private final Once<Map<String, Engaged>> engaged;
    private final Once<RoundMaterial> round;
    private final HeightFields heightFields = new HeightFields();

    RouterRun(Reading reading, RouterPlan plan) {
        this.reading = reading;
        this.plan = plan;
        Map<String, Stop> entries =
                plan.run().stops().stream()
                        .collect(Collectors.toMap(Stop::id, Function.identity()));
        this.program =
                new Once<>(
                        progress ->
                                RouterMotion.of(
                                        plan.stops(),
                                        plan.unit(),
                                        stop -> plan.feeds().get(stop.id()),
                                        stop -> plan.run().eventsOf(entries.get(stop.id()))));
        this.timeline =
                new Once<>(
                        progress ->
                                new TimeModel(plan.run().machine()).time(program.get(progress)));
        this.faults = new Once<>(progress -> faults(program.get(progress)));
        this.depths = new Once<>(progress -> new Depths(plan.cuttings()));
        this.removed = new Once<>(progress -> new Removed(plan.cuttings(), plan.heights()));
        this.volumes = new Once<>(progress -> Volumes.of(plan));
        this.round = new Once<>(progress -> new RoundMaterial(plan));
        this.engaged = new Once<>(progress -> plan.engaged());
        this.difference =
                new Once<>(
                        progress ->
                                Difference.of(
                                        plan.asked(),
                                        removed.get(progress),
                                        plan.stock(),
                                        plan.task().thickness()));
    }

    /** What can be asked of the plan besides. */
    @Override
    public RouterPlan plan() {
        return plan;
    }

    /** What the program does that it must not. */
    @Override
    public List<Fault> faults() {
        return faults.get(Progress.NONE);
    }

    private List<Fault> faults(Program of) {
        return ProgramCheck.faults(
                of,
                plan.task().tools(),
                plan.run().layout().stock(),
                plan.task().thickness(),
                plan.unit(),
                plan.task().round());
    }

    @Override
    public Program program() {
        return program.get(Progress.NONE);
    }

    /** Depth at any place, after any number of moves. */
    @Override
    public Depths depths() {
        return depths.get(Progress.NONE);
    }

    /** What is gone in the end, by height. */
    public Removed removed() {
        return removed.get(Progress.NONE);
    }

    /**
     * Depth at a place when some of the moves are made.
     *
     * @param seconds of the machine
     */
    public Depths.Depth depthAt(Point place, double seconds) {
        return depths().at(place, Moments.count(plan, timeline(Progress.NONE), seconds));
    }

    /**
     * How deep it is cut along a line.
     *
     * @param seconds of the machine; empty: at the end
     */
    public Section section(Point from, Point to, Optional<Double> seconds) {
        Depths all = depths();
        if (seconds.isEmpty()) {
            return Section.of(p -> all.at(p).depth(), from, to);
        }
        int made = Moments.count(plan, timeline(Progress.NONE), seconds.get());
        return Section.of(p -> all.at(p, made).depth(), from, to);
    }

    /**
     * How deep the stock is cut over a window, mm, as a grid; see {@link HeightField#at}.
     *
     * @param seconds of the machine; empty: at the end
     */
    public float[] heights(Box window, int columns, int rows, Optional<Double> seconds) {
        HeightField field = heightFields.of(depths(), window, columns, rows);
        if (seconds.isEmpty()) {
            return field.at(Integer.MAX_VALUE - 1, 0);
        }
        Timeline times = timeline(Progress.NONE);
        return field.at(
                Moments.count(plan, times, seconds.get()),
                plan.turns() ? 0 : Moments.share(times, seconds.get()));
    }

    /** What is cut of round stock at any moment. */
    public RoundMaterial roundMaterial() {
        return round.get(Progress.NONE);
    }

    @Override
    public Optional<TakenAway> takenAway() {
        return TakenByRouter.of(plan);
    }

    /** What is gone at a moment, by height. */
    public Removed removedAt(double seconds) {
        return new Removed(Moments.cuttings(plan, timeline(Progress.NONE), seconds));
    }

    /** What a stop takes away within the stock, mm3; empty when it cannot be done. */
    public Optional<Double> volume(String stop) {
        return Optional.ofNullable(volumes.get(Progress.NONE).get(stop));
    }

    /** How much the tools of pockets are in the work, by id. */
    @Override
    public Map<String, Engaged> engaged() {
        return engaged.get(Progress.NONE);
    }

    /** What is left of what is asked for, and what is gone beyond it, of flat stock. */
    @Override
    public Difference.Found difference() {
        return difference.get(Progress.NONE);
    }

    @Override
    public Run run() {
        return plan.run();
    }

    @Override
    public List<Placement> copies() {
        return plan.run().layout().placements();
    }

    @Override
    public RunRules rules() {
        return plan.rules();
    }

    @Override
    public Timeline timeline(Progress progress) {
        return timeline.get(progress);
    }

    /** Tools and power are in the hourly rate of the machine. */
    @Override
    public double running() {
        return 0;
    }

    /** Heights are written from where the zero lies. */
    @Override
    public PostedProgram posted() {
        Program planned = program.get(Progress.NONE);
        double up = plan.zeroBelow();
        Program written = up == 0 ? planned : Raised.by(planned, up);
        return new PostedProgram(written, IntStream.range(0, planned.size()).boxed().toList());
    }

    @Override
    public ProofInput proofInput() {
        return ProofInput.of(
                RouterMilling.WORK, reading, run(), timeline(Progress.NONE), material(), this);
    }

    @Override
    public List<ToolRow> dataInUse() {
        return plan.rowsInUse();
    }

    @Override
    public Optional<Held> held(Stop stop) {
        return Optional.of(((RouterWork) stop.work()).stop())
                .filter(RouterStop::isDone)
                .map(
                        of -> {
                            Tool tool = of.tool().orElseThrow();
                            String name = (tool.name() + " " + tool.kind().label()).strip();
                            return new Held(
                                    String.valueOf(tool.number()),
                                    "%s %s mm".formatted(name, Numbers.plain(tool.diameter(), 3)),
                                    of.cutLength(),
                                    METRE * tool.limits().life());
                        });
    }

    @Override
    public boolean callsCopies() {
        return true;
    }

    /** It must do nothing that the planned program does not do. */
    @Override
    public Recheck recheck(Program read, Optional<Set<String>> stops) {
        double up = plan.zeroBelow();
        Program planned = up == 0 ? read : Raised.by(read, -up);
        Set<String> known = new HashSet<>();
        faults().forEach(f -> known.add(f.sentence()));
        List<String> fresh =
                faults(planned).stream()
                        .map(Fault::sentence)
                        .filter(sentence -> !known.contains(sentence))
                        .distinct()
                        .toList();
        List<String> missing = fresh.isEmpty() ? List.of() : missing(stops.orElse(Set.of()));
        return new Recheck(0, missing.isEmpty() ? fresh : missing);
    }

    /** Of some stops, those that go where others have cut before, which are not among them. */
    private List<String> missing(Set<String> some) {
        List<String> sentences = new ArrayList<>();
        for (RouterStop stop : plan.done()) {
            if (some.contains(stop.id())) {
                plan.needs(stop).stream()
                        .filter(s -> !some.contains(s.id()))
                        .findFirst()
                        .ifPresent(s -> sentences.add(missing(stop, s)));
            }
        }
        return sentences;
    }

    private String missing(RouterStop stop, RouterStop before) {
        return "%s goes where %s has cut before: without that the tool would come down into the stock. Take both."
                .formatted(named(stop), named(before));
    }

    private String named(RouterStop stop) {
        return run().stop(stop.id()).map(ProofInput::named).orElse(stop.id());
    }
}
