package dev.oleander.work.sheet;

import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.Compensation;
import dev.oleander.material.Leftover;
import dev.oleander.material.MaterialState;
import dev.oleander.material.Remains;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Once;
import dev.oleander.progress.Progress;
import dev.oleander.proof.ProofInput;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.Plan;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.DataTable;
import dev.oleander.work.sheet.motion.PostedSheet;
import dev.oleander.work.sheet.motion.Registers;
import dev.oleander.work.sheet.motion.RunMotion;
import dev.oleander.work.sheet.motion.RunningCost;
import dev.oleander.work.sheet.order.Precedence;
import dev.oleander.work.sheet.plan.SheetPlan;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** All that is planned for a sheet. */
public final class SheetRun implements Plan {

    private final Reading reading;
    private final SheetPlan plan;
    private final Once<RunMotion> motion;
    private final Once<MaterialState> material;
    private final Once<List<Leftover>> remains;

    /**
     * @param earlier motion of an earlier plan, of which what is the same is taken over
     */
    SheetRun(Reading reading, SheetPlan plan, Optional<RunMotion> earlier) {
        this.reading = reading;
        this.plan = plan;
        this.motion =
                new Once<>(
                        progress ->
                                earlier.map(e -> e.next(plan.run()))
                                        .orElseGet(() -> RunMotion.of(plan.run())));
        this.material =
                new Once<>(
                        progress -> MaterialState.of(reading, plan.run(), timeline(Progress.NONE)));
        this.remains = new Once<>(progress -> Remains.of(reading, plan.run()));
    }

    /** What can be asked of the plan besides. */
    public SheetPlan plan() {
        return plan;
    }

    Optional<RunMotion> knownMotion() {
        return motion.known();
    }

    @Override
    public Run run() {
        return plan.run();
    }

    @Override
    public List<Placement> copies() {
        return run().layout().placements();
    }

    @Override
    public RunRules rules() {
        return new Precedence(reading.byId()).rules(run().stops());
    }

    @Override
    public Timeline timeline(Progress progress) {
        return motion.get(progress).timeline();
    }

    @Override
    public double running() {
        return RunningCost.of(run(), timeline(Progress.NONE));
    }

    @Override
    public PostedProgram posted() {
        return PostedSheet.of(run(), reading.byId(), timeline(Progress.NONE).program());
    }

    @Override
    public ProofInput proofInput() {
        return SheetProof.input(reading, run(), timeline(Progress.NONE), material());
    }

    @Override
    public List<CutRow> dataInUse() {
        return DataTable.of(run());
    }

    @Override
    public Map<String, String> stopNames() {
        List<CutRow> rows = DataTable.of(run());
        return run().stops().stream()
                .collect(Collectors.toMap(Stop::id, stop -> nameOf(stop, rows), (a, b) -> a));
    }

    /** With the register that its controller needs, where it offsets the path. */
    private static String nameOf(Stop stop, List<CutRow> rows) {
        String name = "%d %s".formatted(stop.number(), stop.name());
        boolean plain =
                stop.compensation() == Compensation.PATH || SheetCut.of(stop).row().isEmpty();
        return plain
                ? name
                : "%s, D%d = %s"
                        .formatted(
                                name,
                                Registers.of(stop, rows),
                                Numbers.plain(Registers.value(stop), 3));
    }

    @Override
    public MaterialState material() {
        return material.get(Progress.NONE);
    }

    @Override
    public List<Leftover> remains() {
        return remains.get(Progress.NONE);
    }

    @Override
    public boolean callsCopies() {
        return true;
    }

    @Override
    public Recheck recheck(Program read, Optional<Set<String>> stops) {
        return Recheck.NOTHING;
    }
}
