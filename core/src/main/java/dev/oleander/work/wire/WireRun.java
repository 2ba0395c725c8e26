package dev.oleander.work.wire;

import dev.oleander.drawing.read.Reading;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Once;
import dev.oleander.progress.Progress;
import dev.oleander.proof.ProofInput;
import dev.oleander.work.Plan;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.proof.WireProof;
import dev.oleander.work.wire.proof.WireReplay;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** All that is planned for a wire. */
public final class WireRun implements Plan {

    private final Reading reading;
    private final WirePlan plan;
    private final Once<WireMotion> motion;
    private final Once<Timeline> timeline;

    WireRun(Reading reading, WirePlan plan) {
        this.reading = reading;
        this.plan = plan;
        this.motion = new Once<>(progress -> WireMotion.of(plan));
        this.timeline =
                new Once<>(
                        progress ->
                                new TimeModel(plan.run().machine())
                                        .time(motion.get(progress).wire()));
    }

    /** What can be asked of the plan besides. */
    public WirePlan plan() {
        return plan;
    }

    @Override
    public Run run() {
        return plan.run();
    }

    @Override
    public boolean waits(Stop stop) {
        return plan.visit(stop.id()).filter(WireVisit::waits).isPresent();
    }

    @Override
    public boolean runsAlone() {
        return true;
    }

    @Override
    public List<Placement> copies() {
        return plan.copies().stream().map(WireCopy::placement).toList();
    }

    @Override
    public int made() {
        return plan.wholes();
    }

    @Override
    public RunRules rules() {
        return plan.order();
    }

    @Override
    public Timeline timeline(Progress progress) {
        return timeline.get(progress);
    }

    /** Wire and water are in the hourly rate of the machine. */
    @Override
    public double running() {
        return 0;
    }

    @Override
    public PostedProgram posted() {
        WireMotion both = motion.get(Progress.NONE);
        return new PostedProgram(both.posted(), both.itemOfWire());
    }

    @Override
    public ProofInput proofInput() {
        return WireProof.input(reading, plan, timeline(Progress.NONE));
    }

    @Override
    public List<WireRow> dataInUse() {
        return plan.rowsInUse();
    }

    @Override
    public boolean callsCopies() {
        return !Boolean.FALSE.equals(plan.choices().calls());
    }

    /** It has to move the wire as planned, by registers and angles. */
    @Override
    public Recheck recheck(Program read, Optional<Set<String>> stops) {
        Program wire = motion.get(Progress.NONE).wire();
        double height = plan.task().height();
        WireReplay.Result replay =
                stops.isEmpty()
                        ? WireReplay.compare(wire, read, plan.registers(), height)
                        : WireReplay.compare(
                                wire, stops.get()::contains, read, plan.registers(), height);
        return new Recheck(replay.deviation(), replay.faults());
    }
}
