package dev.oleander.work.wire.hold;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.flank.Flanks;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Erodes an opening completely: rings parallel to the profile, one step apart, from the start hole
 * outwards.
 *
 * <p>A ring's swath reaches half the width of the cut to either side. Between two rings nothing is
 * left when the step is at most half the width, whatever their corners: on the bisector of a corner
 * of the angle a two rings lie step / sin(a/2) apart, the outer one reaches w / 2 / sin(a/2)
 * inwards. Within the innermost ring no place is farther from it than one step.
 */
public final class Rings {

    /** Share of the width of the cut that is never too much. */
    public static final double MOST = 0.5;

    private static final int MOST_RINGS = 2_000;

    private final Offsetter offsetter = Offsetter.round();
    private final Contour profile;
    private final double offset;
    private final double step;

    /**
     * @param offset of the outermost ring from the profile, mm
     * @param step mm
     */
    public Rings(Contour profile, double offset, double step) {
        this.profile = profile;
        this.offset = offset;
        this.step = step;
    }

    /** A ring and those next to it inside. */
    private record Ring(Contour contour, List<Ring> inner) {}

    /**
     * The way from a place over all rings but the outermost, without a break. It is travelled with
     * the process on, links too: they lie where everything is taken away.
     *
     * @throws RefusedException when a link would come too near to the profile
     */
    public List<Segment> way(Point from) {
        List<Ring> outermost = new ArrayList<>();
        for (Region region : offsetter.offset(profile, -(offset + step))) {
            outermost.add(new Ring(region.outer(), inside(region.outer(), offset + 2 * step, 1)));
        }
        List<Segment> way = new ArrayList<>();
        Point at = from;
        for (Ring ring : nearestFirst(outermost, at)) {
            at = walk(ring, way, at);
        }
        return way;
    }

    private List<Ring> inside(Contour ring, double distance, int depth) {
        if (depth > MOST_RINGS) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.HOLD,
                            "the opening is too large to be eroded completely: more than %d rings of %s. Leave a slug."
                                    .formatted(MOST_RINGS, Numbers.length(step)),
                            profile.start(),
                            depth,
                            MOST_RINGS));
        }
        List<Ring> inner = new ArrayList<>();
        for (Region region : offsetter.offset(ring, -step)) {
            Contour next = region.outer();
            inner.add(new Ring(next, inside(next, distance + step, depth + 1)));
        }
        return inner;
    }

    private static List<Ring> nearestFirst(List<Ring> rings, Point at) {
        return rings.stream()
                .sorted(
                        Comparator.comparingDouble(
                                r -> r.contour().nearest(at).point().distance(at)))
                .toList();
    }

    /** Inner rings first, the nearest first; then the ring itself from the nearest place. */
    private Point walk(Ring ring, List<Segment> way, Point from) {
        Point at = from;
        for (Ring inner : nearestFirst(ring.inner(), at)) {
            at = walk(inner, way, at);
        }
        Contour.Station station = ring.contour().nearest(at);
        Contour round = ring.contour().startedAt(station);
        link(way, at, round.start());
        way.addAll(round.segments());
        return round.start();
    }

    private void link(List<Segment> way, Point from, Point to) {
        if (from.equals(to)) {
            return;
        }
        Line link = new Line(from, to);
        int parts = Math.max(1, (int) Math.ceil(link.length() / step));
        for (int i = 0; i <= parts; i++) {
            Point p = link.at((double) i / parts);
            double clear = profile.nearest(p).point().distance(p);
            if (!profile.contains(p) || clear < offset - 1e-6) {
                throw new RefusedException(
                        new Refusal(
                                Refusal.Kind.HOLD,
                                "the rings fall into parts that cannot be reached in a straight line: at %s the wire would come within %s of the profile. Leave a slug."
                                        .formatted(Flanks.place(p), Numbers.length(clear)),
                                p,
                                clear,
                                offset));
            }
        }
        way.add(link);
    }
}
