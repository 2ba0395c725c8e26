package dev.oleander.motion;

import dev.oleander.geometry.Point;
import dev.oleander.machine.CutRow;
import dev.oleander.machine.Machine.TabRule;
import dev.oleander.motion.Item.Event;
import dev.oleander.motion.Item.Feed;
import dev.oleander.motion.Item.Rapid;
import dev.oleander.motion.Stretches.Stretch;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.Pass;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Turns a run into a motion program. Stops that are refused are left out; the proof names them. */
public final class ProgramCompiler {

    public Program compile(Run run) {
        return new Compilation(run).compile(run);
    }

    private static final class Compilation {
        private final List<Item> items = new ArrayList<>();
        private final List<CutRow> rows;
        private final TabRule tabs;
        private Point at = Point.ORIGIN;
        private String row = "";

        /** Where the head came down; empty while it is up. */
        private Optional<Origin> down = Optional.empty();

        Compilation(Run run) {
            this.rows = DataTable.of(run);
            this.tabs = run.machine().habits().tabs();
        }

        Program compile(Run run) {
            for (Stop stop : run.stops()) {
                if (stop.path().isPresent() && stop.row().isPresent()) {
                    add(stop, stop.path().get(), stop.row().get());
                }
            }
            lift();
            event(EventKind.END, Map.of(), Origin.FRAME);
            return new Program(items);
        }

        private void add(Stop stop, CutPath path, CutRow data) {
            Origin origin = new Origin(stop.id(), 0, -1);
            if (!stop.comesLow()) {
                lift();
            }
            choose(data, origin);
            for (Pass pass : stop.passes()) {
                travel(path.pierce(), origin);
                lower(origin);
                boolean light = pass.film() || stop.kind() == Stop.Kind.MARK;
                if (light) {
                    event(EventKind.MARK_ON, Map.of(), origin);
                } else {
                    pierce(data.pierceSeconds(), origin);
                }
                feed(stop, path, pass);
                event(EventKind.PROCESS_OFF, Map.of(), origin);
            }
        }

        private void choose(CutRow data, Origin origin) {
            if (!data.id().equals(row)) {
                row = data.id();
                double number = rows.indexOf(data) + 1.0;
                event(
                        EventKind.DATA,
                        Map.of("row", number, "power", data.power(), "pressure", data.pressure()),
                        origin);
            }
        }

        private void lift() {
            down.ifPresent(origin -> event(EventKind.HEAD_UP, Map.of(), origin));
            down = Optional.empty();
        }

        private void lower(Origin origin) {
            if (down.isEmpty()) {
                event(EventKind.HEAD_DOWN, Map.of(), origin);
            }
            down = Optional.of(origin);
        }

        private void pierce(double seconds, Origin origin) {
            event(EventKind.PIERCE, Map.of("seconds", seconds), origin);
        }

        private void event(EventKind kind, Map<String, Double> args, Origin origin) {
            items.add(new Event(kind, args, origin));
        }

        private void travel(Point to, Origin origin) {
            if (!to.equals(at)) {
                items.add(new Rapid(at, to, origin));
                at = to;
            }
        }

        private void feed(Stop stop, CutPath path, Pass pass) {
            boolean marks = pass.film() || stop.kind() == Stop.Kind.MARK;
            List<Stretch> stretches = new Stretches(stop, path, pass, !marks).all();
            boolean on = true;
            for (Stretch stretch : stretches) {
                Origin origin = new Origin(stop.id(), pass.number(), stretch.index());
                if (stretch.on() != on) {
                    on = stretch.on();
                    bridge(stop, stretch, on);
                }
                items.add(new Feed(stretch.segment(), stretch.feed(), on, origin));
                at = stretch.segment().end();
            }
        }

        /** Begins or ends a tab. */
        private void bridge(Stop stop, Stretch stretch, boolean on) {
            Origin origin = new Origin(stop.id(), 0, -1);
            if (!on) {
                event(EventKind.PROCESS_OFF, Map.of(), origin);
                if (stretch.lifts()) {
                    lift();
                }
                return;
            }
            lower(origin);
            pierce(tabs.restart() * stop.row().orElseThrow().pierceSeconds(), origin);
        }
    }
}
