package dev.oleander.work.pen;

import dev.oleander.book.BookRow;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.ProofInput;
import dev.oleander.work.Plan;
import dev.oleander.work.Task;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** What a pen does. */
record PenRun(Task<PenChoices> task, Run run, RunRules rules) implements Plan {

    @Override
    public List<Placement> copies() {
        return run.layout().placements();
    }

    private Program program() {
        List<Item> items = new ArrayList<>();
        Point at = Point.ORIGIN;
        for (Stop stop : run.stops()) {
            Origin origin = new Origin(stop.id(), 0, -1);
            List<Segment> line = stop.path().orElseThrow().main();
            items.add(new Item.Rapid(at, line.get(0).start(), origin));
            items.add(new Item.Event(EventKind.HEAD_DOWN, Map.of(), origin));
            items.add(new Item.Event(EventKind.PROCESS_ON, Map.of(), origin));
            double feed = stop.passes().get(0).feed();
            for (int i = 0; i < line.size(); i++) {
                Origin of = new Origin(stop.id(), 1, i);
                items.add(new Item.Feed(line.get(i), feed, true, of));
            }
            items.add(new Item.Event(EventKind.PROCESS_OFF, Map.of(), origin));
            items.add(new Item.Event(EventKind.HEAD_UP, Map.of(), origin));
            at = line.get(line.size() - 1).end();
        }
        items.add(new Item.Event(EventKind.END, Map.of(), Origin.FRAME));
        return new Program(items);
    }

    @Override
    public Timeline timeline(Progress progress) {
        return new TimeModel(run.machine()).time(program());
    }

    @Override
    public double running() {
        return 0;
    }

    @Override
    public PostedProgram posted() {
        Program program = program();
        return new PostedProgram(program, IntStream.range(0, program.size()).boxed().toList());
    }

    @Override
    public ProofInput proofInput() {
        return ProofInput.of("pen", task.reading(), run, timeline(Progress.NONE), material(), this);
    }

    @Override
    public List<? extends BookRow> dataInUse() {
        return task.book().rows();
    }

    @Override
    public boolean callsCopies() {
        return false;
    }

    @Override
    public Recheck recheck(Program read, Optional<Set<String>> stops) {
        return Recheck.NOTHING;
    }
}
