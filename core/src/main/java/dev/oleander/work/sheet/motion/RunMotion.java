package dev.oleander.work.sheet.motion;

import dev.oleander.motion.TimeModel;
import dev.oleander.motion.TimeModel.Timed;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.motion.ProgramCompiler.Before;
import dev.oleander.work.sheet.motion.ProgramCompiler.Compilation;
import java.util.ArrayList;
import java.util.List;

/** The motion of a run with its times. When only some stops changed, only they are timed anew. */
public final class RunMotion {

    /** A stop as it was compiled, and how things stood before and after. */
    private record Piece(
            Stop stop, List<StopEvent> events, Before before, Timed timed, Before after) {}

    private final Run run;
    private final List<Piece> pieces;
    private final Timeline timeline;

    private RunMotion(Run run, List<Piece> pieces, Timeline timeline) {
        this.run = run;
        this.pieces = pieces;
        this.timeline = timeline;
    }

    public static RunMotion of(Run run) {
        return new Work(run, List.of()).motion();
    }

    /** The motion of another run; what both have in common is taken over. */
    public RunMotion next(Run other) {
        boolean comparable =
                other.machine().equals(run.machine())
                        && DataTable.of(other).equals(DataTable.of(run));
        return new Work(other, comparable ? pieces : List.of()).motion();
    }

    public Timeline timeline() {
        return timeline;
    }

    private static final class Work {
        private final Run run;
        private final List<Piece> earlier;
        private final Compilation compilation;
        private final TimeModel model;

        Work(Run run, List<Piece> earlier) {
            this.run = run;
            this.earlier = earlier;
            this.compilation = new Compilation(run);
            this.model = new TimeModel(run.machine());
        }

        RunMotion motion() {
            List<Piece> pieces = new ArrayList<>(run.stops().size());
            for (Stop stop : run.stops()) {
                pieces.add(piece(stop, pieces.size()));
            }
            List<Timed> all = new ArrayList<>(pieces.size() + 1);
            pieces.forEach(p -> all.add(p.timed()));
            all.add(model.time(compilation.end()));
            return new RunMotion(run, pieces, Timeline.of(all));
        }

        private Piece piece(Stop stop, int index) {
            Before before = compilation.before();
            List<StopEvent> events = run.eventsOf(stop);
            if (index < earlier.size()) {
                Piece known = earlier.get(index);
                boolean same = known.stop() == stop && known.events().equals(events);
                if (same && known.before().equals(before)) {
                    compilation.goTo(known.after());
                    return known;
                }
            }
            Timed timed = model.time(compilation.next(stop, events));
            return new Piece(stop, events, before, timed, compilation.before());
        }
    }
}
