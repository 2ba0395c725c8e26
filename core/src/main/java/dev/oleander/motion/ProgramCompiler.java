package dev.oleander.motion;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.CutRow;
import dev.oleander.motion.Item.Event;
import dev.oleander.motion.Item.Feed;
import dev.oleander.motion.Item.Rapid;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.Pass;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Turns a run into a motion program. Stops that are refused are left out; the proof names them. */
public final class ProgramCompiler {

    public Program compile(Run run) {
        return new Compilation().compile(run);
    }

    private static final class Compilation {
        private final List<Item> items = new ArrayList<>();
        private Point at = Point.ORIGIN;
        private String row = "";

        Program compile(Run run) {
            List<CutRow> rows = DataTable.of(run);
            for (Stop stop : run.stops()) {
                if (stop.path().isPresent() && stop.row().isPresent()) {
                    add(stop, stop.path().get(), stop.row().get(), rows);
                }
            }
            items.add(new Event(EventKind.END, Map.of(), Origin.FRAME));
            return new Program(items);
        }

        private void add(Stop stop, CutPath path, CutRow data, List<CutRow> rows) {
            Origin origin = new Origin(stop.id(), 0, -1);
            if (!data.id().equals(row)) {
                row = data.id();
                double number = rows.indexOf(data) + 1.0;
                items.add(
                        new Event(
                                EventKind.DATA,
                                Map.of(
                                        "row", number,
                                        "power", data.power(),
                                        "pressure", data.pressure()),
                                origin));
            }
            travel(path.pierce(), origin);
            items.add(new Event(EventKind.HEAD_DOWN, Map.of(), origin));
            boolean mark = stop.kind() == Stop.Kind.MARK;
            items.add(
                    mark
                            ? new Event(EventKind.MARK_ON, Map.of(), origin)
                            : new Event(
                                    EventKind.PIERCE,
                                    Map.of("seconds", data.pierceSeconds()),
                                    origin));
            for (Pass pass : stop.passes()) {
                feed(stop, path, pass);
            }
            items.add(new Event(EventKind.PROCESS_OFF, Map.of(), origin));
            items.add(new Event(EventKind.HEAD_UP, Map.of(), origin));
        }

        private void travel(Point to, Origin origin) {
            if (!to.equals(at)) {
                items.add(new Rapid(at, to, origin));
                at = to;
            }
        }

        private void feed(Stop stop, CutPath path, Pass pass) {
            int index = 0;
            for (Segment segment : path.all()) {
                Origin origin = new Origin(stop.id(), pass.number(), index++);
                items.add(new Feed(segment, pass.feed(), true, origin));
                at = segment.end();
            }
        }
    }
}
