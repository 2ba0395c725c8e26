package dev.oleander.work.router.proof;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.plan.RoundStock;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Looks at every move of a program with the tool that is in the spindle: how steeply it goes down,
 * where it is rapid, whether the spindle turns, how deep the tool is, what lies below, and when the
 * work turns. It knows nothing of how the program was planned.
 */
public final class ProgramCheck {

    /** mm that a rapid move keeps from what is there. */
    private static final double NEAR = 0.5;

    /** mm by which a way down may end lower: rounding of places in a text. */
    private static final double ROUNDING = 2e-3;

    private static final double SAME = 1e-6;

    /** mm; farther than any work. */
    private static final double FAR = 1e6;

    private final Map<Integer, Tool> tools = new HashMap<>();
    private final Box stock;
    private final double thickness;
    private final RouterUnit unit;
    private final List<Fault> faults = new ArrayList<>();
    private Tool tool;
    private boolean turns;
    private final Unrolled unrolled;

    private ProgramCheck(
            List<Tool> all,
            Box stock,
            double thickness,
            RouterUnit unit,
            Optional<RoundStock> round) {
        all.forEach(t -> tools.put(t.number(), t));
        this.stock = round.isPresent() ? endless(stock) : stock;
        this.thickness = thickness;
        this.unit = unit;
        this.unrolled = new Unrolled(round);
    }

    /** Round stock has no side across its axis. */
    private static Box endless(Box stock) {
        return new Box(new Point(stock.min().x(), -FAR), new Point(stock.max().x(), FAR));
    }

    /**
     * @param tools that the program may call
     * @param stock seen from above
     * @param thickness mm
     * @param round when the stock is round: a turn then counts as a way round it
     * @return at most one fault of a rule for each stop, in the order of the program
     */
    public static List<Fault> faults(
            Program program,
            List<Tool> tools,
            Box stock,
            double thickness,
            RouterUnit unit,
            Optional<RoundStock> round) {
        ProgramCheck check = new ProgramCheck(tools, stock, thickness, unit, round);
        Swept swept = Swept.of(program, check.tools, check.unrolled, unit.bank());
        Depths depths = new Depths(swept.cuttings());
        for (int i = 0; i < program.size(); i++) {
            Item item = program.items().get(i);
            if (item instanceof Item.Event event) {
                check.event(event);
            } else {
                check.move(item, depths, swept.before(i));
            }
        }
        return check.once();
    }

    private List<Fault> once() {
        Map<List<String>, Fault> first = new LinkedHashMap<>();
        faults.forEach(f -> first.putIfAbsent(List.of(f.rule(), f.stop()), f));
        return List.copyOf(first.values());
    }

    private void fault(
            String rule, Item item, Point place, double value, double limit, String sentence) {
        faults.add(new Fault(rule, item.origin().stop(), place, value, limit, sentence));
    }

    // ---- events

    private void event(Item.Event event) {
        if (event.kind() == EventKind.TOOL) {
            change(event);
        } else if (event.kind() == EventKind.SPINDLE_ON) {
            turns = true;
            speed(event);
        } else if (event.kind() == EventKind.SPINDLE_OFF) {
            turns = false;
        }
    }

    private void change(Item.Event event) {
        int number = event.args().getOrDefault("tool", 0.0).intValue();
        tool = tools.get(number);
        if (tool == null) {
            fault(
                    "station",
                    event,
                    Point.ORIGIN,
                    number,
                    0,
                    "Tool %d is called; there is none.".formatted(number));
        }
    }

    private void speed(Item.Event event) {
        double speed = event.args().getOrDefault("speed", 0.0);
        double least = Math.max(unit.spindle().min(), tool == null ? 0 : tool.limits().minSpeed());
        double most =
                Math.min(
                        unit.spindle().max(),
                        tool == null ? Double.MAX_VALUE : tool.limits().maxSpeed());
        if (speed < least - 1 || speed > most + 1) {
            fault(
                    "spindle",
                    event,
                    Point.ORIGIN,
                    speed,
                    speed < least ? least : most,
                    "The spindle turns at %s; it must be %s to %s rev/min with this tool."
                            .formatted(
                                    Numbers.plain(speed, 0),
                                    Numbers.plain(least, 0),
                                    Numbers.plain(most, 0)));
        }
    }

    // ---- moves

    private void move(Item item, Depths depths, int before) {
        turned(item);
        if (tool != null && tool.kind().lies()) {
            new SideCheck(stock, thickness, unit, tool, turns).fault(item).ifPresent(faults::add);
            return;
        }
        if (item instanceof Item.Rapid rapid) {
            rapid(rapid, depths, before);
            return;
        }
        if (tool == null) {
            return;
        }
        Leg leg = unrolled.leg((Item.AtFeed) item);
        spindle(item, leg);
        down(item, leg, depths, before);
        deep(item, leg);
    }

    /** The work turns only while the tool is above it. */
    private void turned(Item item) {
        double lowest = Math.min(item.rise().from().z(), item.rise().to().z());
        // a feed that turns the work cuts round it
        if (item instanceof Item.Rapid && item.rise().turn() != 0 && lowest < NEAR) {
            fault(
                    "turn",
                    item,
                    Unrolled.place(item),
                    lowest,
                    NEAR,
                    "The work turns while the tool is %s mm over its top."
                            .formatted(Numbers.plain(lowest, 3)));
        }
    }

    private void spindle(Item item, Leg leg) {
        if (!turns) {
            fault(
                    "spindle",
                    item,
                    leg.from(),
                    0,
                    0,
                    "The tool is fed while the spindle does not turn.");
        }
    }

    private void down(Item item, Leg leg, Depths depths, int before) {
        double fall = leg.fromZ() - leg.toZ();
        // above the stock nothing is in the way
        if (fall <= SAME || leg.toZ() >= 0 || tool.kind() == ToolKind.SAW || isBeside(leg)) {
            return;
        }
        if (leg.segment().isEmpty()) {
            boolean free = depths.at(leg.to(), before).depth() >= -leg.toZ() - ROUNDING;
            if (!tool.edges().cutsCentre() && !free) {
                fault(
                        "entry",
                        item,
                        leg.from(),
                        fall,
                        0,
                        "Tool %d goes straight down and does not cut in its middle."
                                .formatted(tool.number()));
            }
            return;
        }
        double length = leg.segment().get().length();
        double angle = Math.atan2(fall, length);
        double most = length * Math.tan(Math.toRadians(tool.edges().rampAngle()));
        // a pointed tip follows a slope that is there for it to cut
        if (fall > most + ROUNDING && !tool.kind().isConical()) {
            fault(
                    "entry",
                    item,
                    leg.from(),
                    Math.toDegrees(angle),
                    tool.edges().rampAngle(),
                    "Tool %d goes down at %s°; it may at %s°."
                            .formatted(
                                    tool.number(),
                                    Numbers.plain(Math.toDegrees(angle), 2),
                                    Numbers.plain(tool.edges().rampAngle(), 2)));
        }
    }

    private boolean isBeside(Leg leg) {
        double radius = tool.diameter() / 2;
        return stock.distance(new Box(leg.from(), leg.from())) >= radius
                && stock.distance(new Box(leg.to(), leg.to())) >= radius;
    }

    private void deep(Item item, Leg leg) {
        double deep = -leg.lowest();
        double most = thickness + unit.spoilAllowance();
        // the point of a drill goes on below what its flanks cut
        double point = tool.kind().isDrill() ? tool.form().tipLength() : 0;
        if (deep - point > most + SAME) {
            fault(
                    "table",
                    item,
                    leg.to(),
                    deep,
                    most,
                    "The tip goes %s mm deep; the stock is %s mm thick and the board under it may be cut %s mm."
                            .formatted(
                                    Numbers.plain(deep, 3),
                                    Numbers.plain(thickness, 3),
                                    Numbers.plain(unit.spoilAllowance(), 3)));
        }
        double flutes = tool.edges().length() + point;
        if (deep > flutes + SAME) {
            fault(
                    "flutes",
                    item,
                    leg.to(),
                    deep,
                    flutes,
                    "Tool %d cuts %s mm deep; it has %s mm of flutes."
                            .formatted(
                                    tool.number(),
                                    Numbers.plain(deep, 3),
                                    Numbers.plain(flutes, 3)));
        }
    }

    /**
     * A rapid move stays over the stock, or over what is gone of it where it goes straight down.
     *
     * @param before how many cutting moves were made by then
     */
    private void rapid(Item.Rapid rapid, Depths depths, int before) {
        double from = rapid.rise().from().z();
        double to = rapid.rise().to().z();
        double lowest = Math.min(from, to);
        boolean across = rapid.from().distance(rapid.to()) > SAME;
        if (lowest >= NEAR - SAME || to >= from && !across) {
            return;
        }
        double there = across ? 0 : -depths.at(unrolled.end(rapid), before).depth();
        if (lowest < there + NEAR - SAME) {
            fault(
                    "rapid",
                    rapid,
                    rapid.to(),
                    lowest,
                    there + NEAR,
                    "A rapid move comes to %s mm; %s mm is left there."
                            .formatted(Numbers.plain(lowest, 3), Numbers.plain(there, 3)));
        }
    }
}
