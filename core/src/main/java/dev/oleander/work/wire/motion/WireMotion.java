package dev.oleander.work.wire.motion;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.HappeningItems;
import dev.oleander.motion.Item;
import dev.oleander.motion.Item.Event;
import dev.oleander.motion.Item.Feed;
import dev.oleander.motion.Item.Rapid;
import dev.oleander.motion.Item.TwoPlane;
import dev.oleander.motion.Item.Way;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The motion of a wire, and the program that is written for its controller: where that offsets and
 * leans the wire itself, the drawn contour stands in the place of the wire's way. Positions are
 * those in the lower and the upper side of the work.
 *
 * @param wire as the wire moves
 * @param posted as it is written
 * @param itemOfWire by item of the posted program, the place of its item in the motion of the wire
 */
public record WireMotion(Program wire, Program posted, List<Integer> itemOfWire) {

    /** mm; how far straight stretches of two guides may leave arcs. */
    public static final double CHORD = 2e-4;

    public WireMotion {
        itemOfWire = List.copyOf(itemOfWire);
    }

    public static WireMotion of(WirePlan plan) {
        return new Work(plan).motion();
    }

    /** Goes through the visits one by one. */
    private static final class Work {
        private final WirePlan plan;
        private final WireUnit unit;
        private final List<Item> wire = new ArrayList<>();
        private final List<Item> posted = new ArrayList<>();
        private final List<Integer> itemOfWire = new ArrayList<>();
        private Point at = Point.ORIGIN;
        private int condition = -1;
        private double turn;
        private boolean on;
        private WireCut.Lean lean;
        private Origin origin = Origin.FRAME;

        Work(WirePlan plan) {
            this.plan = plan;
            this.unit = WireUnit.of(plan.task().machine());
        }

        WireMotion motion() {
            for (Stop stop : plan.run().stops()) {
                plan.visit(stop.id()).ifPresent(visit -> visit(stop, visit));
            }
            origin = Origin.FRAME;
            event(EventKind.END, Map.of(), "");
            return new WireMotion(new Program(wire), new Program(posted), itemOfWire);
        }

        private void visit(Stop stop, WireVisit visit) {
            origin = new Origin(stop.id(), 0, -1);
            List<StopEvent> events = plan.run().eventsOf(stop);
            events.stream().filter(StopEvent::before).forEach(this::happens);
            index(visit);
            int pass = 0;
            for (WireVisit.Step step : visit.steps()) {
                if (step instanceof WireVisit.Cut cut) {
                    cut(stop, ++pass, cut.cut());
                } else {
                    origin = new Origin(stop.id(), 0, -1);
                    other(step);
                }
            }
            origin = new Origin(stop.id(), 0, -1);
            events.stream().filter(e -> !e.before()).forEach(this::happens);
        }

        private void happens(StopEvent event) {
            if (event.kind().changesData()) {
                condition = -1;
            }
            both(HappeningItems.of(event, origin));
        }

        /** Turns the work to the copy, where a rotary axis does. */
        private void index(WireVisit visit) {
            double wanted = plan.copy(visit.copy()).turn();
            if (wanted != turn) {
                double seconds = plan.task().turning(turn).over(turn, wanted);
                turn = wanted;
                event(EventKind.INDEX, Map.of("turn", turn, "seconds", seconds), "");
            }
        }

        private void other(WireVisit.Step step) {
            if (step instanceof WireVisit.Thread thread) {
                travel(thread.at());
                double tries = unit.threadTries();
                event(
                        EventKind.THREAD,
                        Map.of("seconds", unit.threadSeconds(), "tries", tries),
                        "");
            } else if (step instanceof WireVisit.Wait wait) {
                off();
                EventKind kind = wait.always() ? EventKind.STOP : EventKind.OPTIONAL_STOP;
                event(kind, Map.of("seconds", wait.seconds()), wait.reason());
            } else if (step instanceof WireVisit.Severed) {
                off();
                event(EventKind.CUT_WIRE, Map.of("seconds", unit.cutSeconds()), "");
            }
        }

        private void travel(Point to) {
            if (!to.equals(at)) {
                both(new Rapid(at, to, origin));
                at = to;
            }
        }

        private void off() {
            if (on) {
                event(EventKind.PROCESS_OFF, Map.of(), "");
                on = false;
            }
        }

        // ---- a pass

        private void cut(Stop stop, int pass, WireCut cut) {
            origin = new Origin(stop.id(), pass, -1);
            if (cut.condition() != condition) {
                condition = cut.condition();
                event(EventKind.CONDITION, Map.of("condition", (double) condition), "");
            }
            if (!on) {
                event(EventKind.PROCESS_ON, Map.of(), "");
                on = true;
            }
            if (cut.from().isPresent()) {
                leadIn(cut);
            }
            along(stop, pass, cut);
            cut.off().ifPresent(off -> leadOut(cut, off));
        }

        private void leadIn(WireCut cut) {
            Point from = at;
            if (cut.square().isPresent()) {
                line(from, cut.square().get(), cut.feed());
                from = cut.square().get();
            }
            if (cut.posted()) {
                compensate(cut);
            }
            Ruling first = cut.way().get(0);
            if (cut.arc().isPresent()) {
                Segment run = cut.arc().get().run();
                Segment drawn = cut.arc().get().drawn();
                pair(
                        feed(from, run.start(), cut),
                        feed(from, cut.posted() ? drawn.start() : run.start(), cut));
                pair(
                        new Feed(run, cut.feed(), true, origin),
                        new Feed(cut.posted() ? drawn : run, cut.feed(), true, origin));
                return;
            }
            Item lean = lean(from, from, first.lower().start(), first.upper().start(), cut);
            if (!cut.posted()) {
                both(lean);
            } else {
                pair(lean, feed(from, cut.profile().get(0).start(), cut));
            }
        }

        private void compensate(WireCut cut) {
            EventKind side = cut.wireLeft() ? EventKind.COMP_LEFT : EventKind.COMP_RIGHT;
            event(side, Map.of("register", (double) cut.register()), "");
            lean = null;
            lean(cut, 0);
        }

        /** Tells the controller how the flank of an element leans, when that changes. */
        private void lean(WireCut cut, int element) {
            WireCut.Lean next = cut.leans().get(element);
            boolean upright = cut.leans().stream().allMatch(l -> l.angle() == 0);
            if (upright || next.equals(lean)) {
                return;
            }
            lean = next;
            EventKind side = next.angle() < 0 ? EventKind.TAPER_RIGHT : EventKind.TAPER_LEFT;
            event(
                    side,
                    Map.of(
                            "angle",
                            Math.abs(next.angle()),
                            "corner",
                            next.cylindrical() ? 2.0 : 1.0,
                            "plane",
                            cut.plane()),
                    "");
        }

        private void along(Stop stop, int pass, WireCut cut) {
            int first = wire.size();
            if (!cut.posted()) {
                for (Ruling ruling : cut.way()) {
                    items(stop, pass, ruling, cut).forEach(this::both);
                }
                at = cut.end();
                return;
            }
            List<Item> moves = new ArrayList<>();
            for (Ruling ruling : cut.way()) {
                moves.addAll(items(stop, pass, ruling, cut));
            }
            // events between the elements stand in both programs
            int done = 0;
            int n = cut.profile().size();
            for (int i = 0; i < n; i++) {
                if (i > 0 || cut.from().isEmpty()) {
                    lean(cut, i);
                }
                int to = (int) Math.round((double) moves.size() * (i + 1) / n);
                int place = wire.size();
                wire.addAll(moves.subList(done, Math.max(done, to)));
                done = Math.max(done, to);
                Origin of = new Origin(stop.id(), pass, i);
                posted.add(new Feed(cut.profile().get(i), cut.feed(), true, of));
                itemOfWire.add(Math.min(place, Math.max(first, wire.size() - 1)));
            }
            at = cut.profile().get(n - 1).end();
        }

        private List<Item> items(Stop stop, int pass, Ruling ruling, WireCut cut) {
            Origin of = new Origin(stop.id(), pass, 0);
            if (ruling.isUpright()) {
                return List.of(new Feed(ruling.lower(), cut.feed(), true, of));
            }
            List<Item> all = new ArrayList<>();
            for (Ruling straight : ruling.straight(CHORD)) {
                all.add(
                        new TwoPlane(
                                way(straight.lower()),
                                way(straight.upper()),
                                cut.feed(),
                                true,
                                of));
            }
            return all;
        }

        private static Way way(Segment segment) {
            return new Way(segment.start(), segment.end());
        }

        private void leadOut(WireCut cut, Point off) {
            if (cut.posted()) {
                if (lean != null) {
                    event(EventKind.TAPER_OFF, Map.of(), "");
                }
                event(EventKind.COMP_OFF, Map.of(), "");
                lean = null;
            }
            Ruling last = cut.way().get(cut.way().size() - 1);
            Point lower = last.lower().end();
            Point upper = last.upper().end();
            if (lower.equals(off) && upper.equals(off)) {
                at = off;
                return;
            }
            Item move = lean(lower, upper, off, off, cut);
            if (cut.posted()) {
                pair(move, feed(at, off, cut));
            } else {
                both(move);
            }
            at = off;
        }

        private Item lean(Point lower, Point upper, Point toLower, Point toUpper, WireCut cut) {
            boolean upright = lower.equals(upper) && toLower.equals(toUpper);
            return upright
                    ? feed(lower, toLower, cut)
                    : new TwoPlane(
                            new Way(lower, toLower),
                            new Way(upper, toUpper),
                            cut.feed(),
                            true,
                            origin);
        }

        private Item feed(Point from, Point to, WireCut cut) {
            return new Feed(new Line(from, to), cut.feed(), true, origin);
        }

        private void line(Point from, Point to, double feed) {
            if (!from.equals(to)) {
                both(new Feed(new Line(from, to), feed, true, origin));
            }
        }

        // ---- items

        private void event(EventKind kind, Map<String, Double> args, String text) {
            both(new Event(kind, args, text, origin));
        }

        private void both(Item item) {
            pair(item, item);
        }

        private void pair(Item ofWire, Item written) {
            wire.add(ofWire);
            posted.add(written);
            itemOfWire.add(wire.size() - 1);
        }
    }
}
