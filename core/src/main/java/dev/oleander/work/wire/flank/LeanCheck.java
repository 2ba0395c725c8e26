package dev.oleander.work.wire.flank;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.operation.valid.IsSimpleOp;

/** Whether a wire can lean as a way asks for, and whether the surface it makes crosses itself. */
public final class LeanCheck {

    /** Shares of the height at which sections are looked at. */
    private static final double[] SECTIONS = {0, 0.25, 0.5, 0.75, 1};

    private static final double CHORD = 0.01;

    private final WireUnit wire;
    private final double height;

    /**
     * @param height of the work, mm
     */
    public LeanCheck(WireUnit wire, double height) {
        this.wire = wire;
        this.height = height;
    }

    /**
     * The greatest lean of a way.
     *
     * @param angle degrees
     * @param guides how far the guides are apart along one axis at most, mm
     * @param guidesAt where that is
     */
    public record Lean(double angle, Point place, double guides, Point guidesAt) {

        public Lean orMore(Lean other) {
            boolean steeper = other.angle > angle;
            boolean wider = other.guides > guides;
            return new Lean(
                    steeper ? other.angle : angle,
                    steeper ? other.place : place,
                    wider ? other.guides : guides,
                    wider ? other.guidesAt : guidesAt);
        }
    }

    public Lean greatest(List<Ruling> way) {
        Point begin = way.get(0).lower().start();
        Lean greatest = new Lean(0, begin, 0, begin);
        for (Ruling ruling : way) {
            greatest = greatest.orMore(lean(ruling.lower().start(), ruling.upper().start()));
            greatest = greatest.orMore(lean(ruling.lower().middle(), ruling.upper().middle()));
            greatest = greatest.orMore(lean(ruling.lower().end(), ruling.upper().end()));
        }
        return greatest;
    }

    private Lean lean(Point lower, Point upper) {
        Point lean = upper.minus(lower);
        double angle = Math.toDegrees(Math.atan2(lean.norm(), height));
        double span = (height + wire.lowerGuide() + wire.upperGap()) / height;
        double axis = span * Math.max(Math.abs(lean.x()), Math.abs(lean.y()));
        return new Lean(angle, lower, axis, lower);
    }

    /**
     * @throws RefusedException when the machine cannot lean the wire so far
     */
    public void require(List<Ruling> way) {
        Lean lean = greatest(way);
        if (lean.angle() > wire.greatestAngle() + 1e-9) {
            throw new RefusedException(
                    refusal(
                            "the wire leans by %s° at %s; the machine can %s°. Take a smaller angle, or join other places."
                                    .formatted(
                                            Numbers.plain(lean.angle(), 2),
                                            Flanks.place(lean.place()),
                                            Numbers.plain(wire.greatestAngle(), 1)),
                            lean.place(),
                            lean.angle(),
                            wire.greatestAngle()));
        }
        if (lean.guides() > wire.uvTravel() + 1e-9) {
            throw new RefusedException(
                    refusal(
                            "at %s the guides would be %s apart along one axis; they can %s."
                                    .formatted(
                                            Flanks.place(lean.place()),
                                            Numbers.length(lean.guides()),
                                            Numbers.length(wire.uvTravel())),
                            lean.guidesAt(),
                            lean.guides(),
                            wire.uvTravel()));
        }
    }

    private static Refusal refusal(String sentence, Point place, double value, double limit) {
        return new Refusal(Refusal.Kind.ANGLE, sentence, place, value, limit);
    }

    /**
     * @throws RefusedException when a section of a closed surface crosses itself
     */
    void requireSimple(List<Ruling> surface) {
        List<Ruling> straight = new ArrayList<>();
        surface.forEach(r -> straight.addAll(r.straight(CHORD)));
        for (double share : SECTIONS) {
            Coordinate[] ring = new Coordinate[straight.size() + 1];
            for (int i = 0; i < straight.size(); i++) {
                ring[i] = at(straight.get(i), share);
            }
            ring[straight.size()] = new Coordinate(ring[0]);
            IsSimpleOp simple = new IsSimpleOp(FlatShapes.FACTORY.createLineString(ring));
            if (!simple.isSimple()) {
                Coordinate c = simple.getNonSimpleLocation();
                Point p = new Point(c.x, c.y);
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.TAPER,
                                "the surface between both contours crosses itself at %s, %s above the lower side. Join other places of the contours."
                                        .formatted(Flanks.place(p), Numbers.length(share * height)),
                                p,
                                share * height,
                                height));
            }
        }
    }

    private static Coordinate at(Ruling ruling, double share) {
        Segment lower = ruling.lower();
        Point a = lower.start();
        Point b = ruling.upper().start();
        return FlatShapes.coordinate(a.plus(b.minus(a).times(share)));
    }
}
