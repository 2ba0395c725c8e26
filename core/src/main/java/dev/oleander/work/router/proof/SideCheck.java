package dev.oleander.work.router.proof;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Spot;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.tool.Tool;
import java.util.Optional;

/**
 * Looks at a move of a drill that lies: into the stock it goes straight, level, within what its
 * unit reaches; through the air it keeps beside or above the stock, but for the way back out.
 */
final class SideCheck {

    /** mm that a rapid move keeps from the stock. */
    private static final double NEAR = 0.5;

    /** mm; rounding of places in a text. */
    private static final double ROUNDING = 2e-3;

    private final Box stock;
    private final double thickness;
    private final RouterUnit unit;
    private final Tool tool;
    private final boolean turns;

    SideCheck(Box stock, double thickness, RouterUnit unit, Tool tool, boolean turns) {
        this.stock = stock;
        this.thickness = thickness;
        this.unit = unit;
        this.tool = tool;
        this.turns = turns;
    }

    Optional<Fault> fault(Item item) {
        if (item instanceof Item.AtFeed) {
            return fed(item);
        }
        return item instanceof Item.Rapid rapid ? rapid(rapid) : Optional.empty();
    }

    private Optional<Fault> fault(Item item, Point at, double value, double limit, String why) {
        return Optional.of(new Fault("side", item.origin().stop(), at, value, limit, why));
    }

    // ---- fed

    private Optional<Fault> fed(Item item) {
        Point from = start(item);
        Point to = Unrolled.place(item);
        double z = item.rise().to().z();
        boolean in = stock.grown(-ROUNDING).contains(to) && z - tool.diameter() / 2 < 0;
        if (!in) {
            return Optional.empty();
        }
        if (!turns) {
            return fault(item, to, 0, 0, "The drill is fed while the spindle does not turn.");
        }
        Point into = into();
        Point way = to.minus(from);
        double along = way.x() * into.x() + way.y() * into.y();
        boolean straight =
                way.distance(into.times(along)) < ROUNDING
                        && along > 0
                        && Math.abs(item.rise().z()) < ROUNDING;
        if (!straight) {
            return fault(
                    item,
                    to,
                    0,
                    0,
                    "Tool %d drills edges on the %s; it is fed another way."
                            .formatted(tool.number(), edge().label()));
        }
        return lies(item, to, z).or(() -> deep(item, to, into));
    }

    private Optional<Fault> lies(Item item, Point at, double z) {
        double over = thickness + z;
        RouterUnit.Side side = unit.side();
        if (side != null && (over < side.lowest() - ROUNDING || over > side.highest() + ROUNDING)) {
            boolean low = over < side.lowest();
            return fault(
                    item,
                    at,
                    over,
                    low ? side.lowest() : side.highest(),
                    "The axis lies %s mm over the table; %s %s mm."
                            .formatted(
                                    Numbers.plain(over, 3),
                                    low ? "lowest" : "highest",
                                    Numbers.plain(low ? side.lowest() : side.highest(), 3)));
        }
        double wall = Math.min(over, -z) - tool.diameter() / 2;
        return wall < 0
                ? fault(item, at, wall, 0, "The hole breaks through a face of the stock.")
                : Optional.empty();
    }

    private Optional<Fault> deep(Item item, Point at, Point into) {
        double x = into.x() > 0 ? at.x() - stock.min().x() : stock.max().x() - at.x();
        double y = into.y() > 0 ? at.y() - stock.min().y() : stock.max().y() - at.y();
        double deep = Math.abs(into.x()) > 0.5 ? x : y;
        double reach = tool.edges().length();
        return deep > reach + ROUNDING
                ? fault(
                        item,
                        at,
                        deep,
                        reach,
                        "The hole is %s mm deep; tool %d reaches %s mm."
                                .formatted(
                                        Numbers.plain(deep, 3),
                                        tool.number(),
                                        Numbers.plain(reach, 3)))
                : Optional.empty();
    }

    // ---- through the air

    private Optional<Fault> rapid(Item.Rapid rapid) {
        double lowest = Math.min(rapid.rise().from().z(), rapid.rise().to().z());
        Box swept = Box.of(rapid.from(), rapid.to()).grown(NEAR - ROUNDING);
        boolean near = swept.touches(stock) && lowest - NEAR - tool.diameter() / 2 < -ROUNDING;
        if (!near || isWayBack(rapid)) {
            return Optional.empty();
        }
        return fault(
                rapid,
                rapid.to(),
                lowest,
                tool.diameter() / 2 + NEAR,
                "A rapid move of the drill that lies comes to %s mm within the stock."
                        .formatted(Numbers.plain(lowest, 3)));
    }

    private boolean isWayBack(Item.Rapid rapid) {
        Point way = rapid.to().minus(rapid.from());
        Point into = into();
        double back = -(way.x() * into.x() + way.y() * into.y());
        return back > 0
                && way.distance(into.times(-back)) < ROUNDING
                && Math.abs(rapid.rise().z()) < ROUNDING;
    }

    private Face edge() {
        return tool.kind().looks().orElseThrow();
    }

    private Point into() {
        Spot out = edge().outward();
        return new Point(-out.x(), -out.y());
    }

    private static Point start(Item item) {
        return item instanceof Item.Feed feed ? feed.segment().start() : Unrolled.place(item);
    }
}
