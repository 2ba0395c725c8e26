package dev.oleander.work.wire.hold;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain.Station;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.enclose.LargestCircle;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.flank.Flanks;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * Finds places for start holes: in scrap, clear of every profile, near to a long straight element
 * where the wire can begin.
 */
public final class HolePlacer {

    /** mm between the edge of a hole and a profile, at least. */
    private static final double CLEAR = 0.5;

    /** mm that are wished for. */
    private static final double WISHED = 1.5;

    private static final double STEP = 0.5;
    private static final double FARTHEST = 40;

    private final ToDoubleFunction<Point> clear;
    private final Box stock;

    /**
     * @param clear distance of the nearest profile that a hole must keep clear of, mm
     * @param stock that holes lie in
     */
    public HolePlacer(ToDoubleFunction<Point> clear, Box stock) {
        this.clear = clear;
        this.stock = stock;
    }

    /** A place, and how far the nearest profile is from it. */
    record Place(Point at, double clear) {}

    /**
     * The place for a hole inside an opening.
     *
     * @throws RefusedException when it is too narrow for one
     */
    public Point inside(Contour opening, double diameter) {
        double radius = diameter / 2;
        Optional<Point> near = beside(opening, diameter, true);
        if (near.isPresent()) {
            return near.get();
        }
        Point centre = LargestCircle.within(new Region(opening, List.of())).centre();
        double room = clear.applyAsDouble(centre);
        if (room < radius + CLEAR) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.HOLE,
                            "there is no room for a start hole of %s: at %s the profile is %s away, a hole needs %s. Drill a smaller one, or draw it."
                                    .formatted(
                                            Numbers.length(diameter),
                                            Flanks.place(centre),
                                            Numbers.length(room),
                                            Numbers.length(radius + CLEAR)),
                            centre,
                            room,
                            radius + CLEAR));
        }
        return centre;
    }

    /**
     * The place for a hole outside of a punch.
     *
     * @throws RefusedException when there is none in the stock
     */
    public Point outside(Contour punch, double diameter) {
        return beside(punch, diameter, false)
                .orElseThrow(
                        () ->
                                new RefusedException(
                                        new Refusal(
                                                Refusal.Kind.HOLE,
                                                "there is no room for a start hole of %s within %s beside it in the stock. Take a larger stock, or set the hole."
                                                        .formatted(
                                                                Numbers.length(diameter),
                                                                Numbers.length(FARTHEST)),
                                                punch.start(),
                                                0,
                                                diameter)));
    }

    /** At right angles to the middle of an element, the longest first. */
    private Optional<Point> beside(Contour contour, double diameter, boolean inside) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < contour.segments().size(); i++) {
            order.add(i);
        }
        order.sort(
                Comparator.comparingDouble((Integer i) -> -contour.segments().get(i).length())
                        .thenComparing(Comparator.naturalOrder()));
        boolean left = contour.isAnticlockwise() == inside;
        double radius = diameter / 2;
        for (int i : order.subList(0, Math.min(order.size(), 12))) {
            Station middle = new Station(i, 0.5, contour.segments().get(i));
            Point aside = middle.direction().left().times(left ? 1 : -1);
            for (double d = radius + WISHED; d < FARTHEST; d += STEP) {
                Point p = middle.point().plus(aside.times(d));
                if (contour.contains(p) != inside) {
                    break;
                }
                if (clear.applyAsDouble(p) >= radius + WISHED - 1e-9 && isInStock(p, radius)) {
                    return Optional.of(p);
                }
            }
        }
        return Optional.empty();
    }

    private boolean isInStock(Point p, double radius) {
        double r = radius + CLEAR;
        return p.x() - r >= stock.min().x()
                && p.x() + r <= stock.max().x()
                && p.y() - r >= stock.min().y()
                && p.y() + r <= stock.max().y();
    }
}
