package dev.oleander.work.router.proof;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.motion.Item;
import dev.oleander.work.router.plan.RoundStock;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.Leg.Pace;
import java.util.List;
import java.util.Optional;

/**
 * Moves as they lie on the surface of the work: where an axis turns it, the turn is a way round it.
 *
 * @param round empty: the stock is flat, and no turn moves anything
 */
record Unrolled(Optional<RoundStock> round) {

    private static final double SAME = 1e-9;

    /** The way of a cutting move. */
    Leg leg(Item.AtFeed feed) {
        double from = feed.rise().from().z();
        double to = feed.rise().to().z();
        return way(feed)
                .map(way -> Leg.along(way, from, to, to < from ? Pace.RAMP : Pace.CUT))
                .orElseGet(() -> Leg.upright(end(feed), from, to, Pace.PLUNGE));
    }

    private Optional<Segment> way(Item.AtFeed feed) {
        double first = arc(feed.rise().from().turn());
        double last = arc(feed.rise().to().turn());
        if (Math.abs(first - last) > SAME) {
            Point begin = feed.way().map(Segment::start).orElse(feed.end());
            return Optional.of(new Line(moved(begin, first), moved(feed.end(), last)));
        }
        return feed.way().map(way -> first == 0 ? way : moved(way, first));
    }

    /** Where a move ends. */
    Point end(Item item) {
        return moved(place(item), arc(item.rise().to().turn()));
    }

    /** Where it ends in the plane of the machine. */
    static Point place(Item item) {
        return item instanceof Item.Rapid rapid ? rapid.to() : ((Item.AtFeed) item).end();
    }

    private double arc(double turn) {
        return turn == 0 ? 0 : round.map(r -> r.arc(turn)).orElse(0.0);
    }

    private static Point moved(Point place, double up) {
        return new Point(place.x(), place.y() + up);
    }

    private static Segment moved(Segment way, double up) {
        return new Path(List.of(way))
                .transformed(Transform.translation(new Point(0, up)))
                .segments()
                .get(0);
    }
}
