package dev.oleander.work.sheet.motion;

import dev.oleander.geometry.Point;
import dev.oleander.machine.Compensation;
import dev.oleander.machine.Machine.TabRule;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.HappeningItems;
import dev.oleander.motion.Item;
import dev.oleander.motion.Item.Event;
import dev.oleander.motion.Item.Feed;
import dev.oleander.motion.Item.Rapid;
import dev.oleander.motion.Origin;
import dev.oleander.motion.PierceKind;
import dev.oleander.motion.Program;
import dev.oleander.plan.Run;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.Stretches.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Turns a run into a motion program. Stops that are refused are left out; the proof names them. */
public final class ProgramCompiler {

    public Program compile(Run run) {
        Compilation compilation = new Compilation(run);
        List<Item> items = new ArrayList<>();
        for (Stop stop : run.stops()) {
            items.addAll(compilation.next(stop, run.eventsOf(stop)));
        }
        items.addAll(compilation.end());
        return new Program(items);
    }

    /**
     * How things stand when a stop begins: what its items follow from besides itself.
     *
     * @param row id of the cutting data in use
     * @param down where the head came down; empty while it is up
     */
    record Before(Point at, String row, Optional<Origin> down) {

        static final Before FIRST = new Before(Point.ORIGIN, "", Optional.empty());
    }

    /** Goes through a run stop by stop. */
    static final class Compilation {
        private final List<CutRow> rows;
        private final TabRule tabs;
        private List<Item> items = new ArrayList<>();
        private Point at = Point.ORIGIN;
        private String row = "";
        private Optional<Origin> down = Optional.empty();

        Compilation(Run run) {
            this.rows = DataTable.of(run);
            this.tabs = run.machine().habits().tabs();
        }

        Before before() {
            return new Before(at, row, down);
        }

        /** Goes on as after a stop that is not compiled again. */
        void goTo(Before then) {
            at = then.at();
            row = then.row();
            down = then.down();
        }

        /** The items of the next stop; none when it is refused. */
        List<Item> next(Stop stop, List<StopEvent> events) {
            items = new ArrayList<>();
            if (stop.path().isPresent() && SheetCut.of(stop).row().isPresent()) {
                happen(stop, events.stream().filter(e -> e.before() && !changesData(e)));
                add(stop, events, stop.path().get(), SheetCut.of(stop).row().get());
                happen(stop, events.stream().filter(e -> !e.before()));
            }
            return items;
        }

        /** What a person wants to happen before or after a stop; people come to a lifted head. */
        private void happen(Stop stop, Stream<StopEvent> events) {
            Origin origin = new Origin(stop.id(), 0, -1);
            events.forEach(
                    event -> {
                        if (event.kind().isForPeople()) {
                            lift();
                        }
                        if (event.kind().changesData()) {
                            // the next stop chooses its own again
                            row = "";
                        }
                        items.add(HappeningItems.of(event, origin));
                    });
        }

        private static boolean changesData(StopEvent event) {
            return event.kind().changesData();
        }

        List<Item> end() {
            items = new ArrayList<>();
            lift();
            event(EventKind.END, Map.of(), Origin.FRAME);
            return items;
        }

        private void add(Stop stop, List<StopEvent> events, CutPath path, CutRow data) {
            Origin origin = new Origin(stop.id(), 0, -1);
            if (!SheetCut.of(stop).approach().low()) {
                lift();
            }
            choose(data, origin);
            happen(stop, events.stream().filter(e -> e.before() && changesData(e)));
            SheetCut.of(stop).approach().round().forEach(corner -> travel(corner, origin));
            for (Pass pass : stop.passes()) {
                travel(path.pierce(), origin);
                lower(origin);
                boolean light = pass.film() || stop.kind() == Stop.Kind.MARK;
                if (light) {
                    event(EventKind.MARK_ON, Map.of(), origin);
                } else {
                    boolean inKerf =
                            !SheetCut.of(stop).shared().isEmpty() && path.leadIn().isEmpty();
                    pierce(inKerf ? PierceKind.IN_KERF : PierceKind.WHOLE, data, origin);
                }
                boolean compensates = stop.compensation() != Compensation.PATH;
                if (compensates) {
                    compensate(stop, origin);
                }
                feed(stop, path, pass);
                if (compensates) {
                    event(EventKind.COMP_OFF, Map.of(), origin);
                }
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

        /** The head lies where the scrap is. */
        private void compensate(Stop stop, Origin origin) {
            EventKind kind = stop.isScrapLeft() ? EventKind.COMP_LEFT : EventKind.COMP_RIGHT;
            event(kind, Map.of("register", (double) Registers.of(stop, rows)), origin);
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

        private void pierce(PierceKind kind, CutRow data, Origin origin) {
            double share = kind == PierceKind.IN_KERF ? tabs.restart() : 1;
            Map<String, Double> args =
                    Map.of(
                            "kind",
                            kind.number(),
                            "seconds",
                            share * data.pierceSeconds(),
                            "height",
                            data.pierceHeight());
            event(EventKind.PIERCE, args, origin);
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
            boolean on = true;
            for (Stretch stretch : new Stretches(stop, path, pass, !marks).all()) {
                Origin origin = new Origin(stop.id(), pass.number(), stretch.index());
                boolean works = stretch.on() && !stretch.skipped();
                if (!works && on) {
                    goOff(stop, stretch);
                } else if (works && !on) {
                    comeOn(stop, stretch.segment().start());
                }
                on = works;
                if (!stretch.skipped()) {
                    items.add(new Feed(stretch.segment(), stretch.feed(), on, origin));
                    at = stretch.segment().end();
                }
            }
            if (on) {
                event(EventKind.PROCESS_OFF, Map.of(), new Origin(stop.id(), 0, -1));
            }
        }

        /** Begins a tab or a common line. */
        private void goOff(Stop stop, Stretch stretch) {
            event(EventKind.PROCESS_OFF, Map.of(), new Origin(stop.id(), 0, -1));
            // the piece beside a common line may be free
            if (stretch.lifts() || stretch.skipped()) {
                lift();
            }
        }

        /** Goes on behind it, in a kerf that is open already. */
        private void comeOn(Stop stop, Point where) {
            Origin origin = new Origin(stop.id(), 0, -1);
            travel(where, origin);
            lower(origin);
            pierce(PierceKind.IN_KERF, SheetCut.of(stop).row().orElseThrow(), origin);
        }
    }
}
