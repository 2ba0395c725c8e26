package dev.oleander.work.router.way;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.work.router.pocket.Reach;
import java.util.List;
import java.util.Optional;

/**
 * A round along a wall that takes what was left at it: the tool comes down where the round before
 * was, leads in on an arc that ends along the wall, and leaves so.
 */
public final class FinishWay {

    /** Share of a gap between tabs at which a round begins: away from the places of other ones. */
    private static final double WITHIN = 0.5;

    private final ToolWay way;
    private final Finish finish;
    private final boolean wallOnRight;
    private final double radius;

    /**
     * @param tool radius, mm
     */
    FinishWay(ToolWay way, Finish finish, boolean wallOnRight, double tool) {
        this.way = way;
        this.finish = finish;
        this.wallOnRight = wallOnRight;
        this.radius = finish.lead().orElse(tool);
    }

    /**
     * Adds rounds along all walls of a pocket.
     *
     * @param allowance mm that is left at them in the end
     * @param levels depths, mm, the shallowest first
     */
    public static void ofPocket(
            ToolWay way,
            Reach reach,
            double allowance,
            Finish finish,
            boolean wallOnRight,
            List<Double> levels) {
        FinishWay of = new FinishWay(way, finish, wallOnRight, reach.radius());
        for (int left = finish.cuts() - 1; left >= 0; left--) {
            double off = allowance + left * finish.width();
            List<Region> centres =
                    off > 0 ? Offsetter.round().offset(reach.centres(), -off) : reach.centres();
            for (Region region : centres) {
                of.add(region.outer().turning(wallOnRight), levels, Optional.empty());
                region.openings()
                        .forEach(o -> of.add(o.turning(!wallOnRight), levels, Optional.empty()));
            }
        }
    }

    /**
     * Adds the round.
     *
     * @param contour of the tool's axis, in the direction in which it is cut
     * @param levels depths, mm, the shallowest first
     * @param tabs heights that are not gone below; empty: none
     */
    void add(Contour contour, List<Double> levels, Optional<TabLine> tabs) {
        double begin = tabs.map(t -> t.gap(WITHIN)).orElseGet(() -> elsewhere(contour));
        Contour round = contour.startedAt(contour.stationAt(begin));
        Optional<TabLine> turned = tabs.map(t -> t.from(begin));
        List<Double> deep =
                finish.atDepth() ? levels.subList(levels.size() - 1, levels.size()) : levels;
        for (double depth : deep) {
            at(round, -depth, turned);
        }
    }

    /** Not where other rounds begin, in the middle of the longest segment. */
    private static double elsewhere(Contour contour) {
        double before = 0;
        double longest = 0;
        double begin = 0;
        for (Segment segment : contour.segments()) {
            double length = segment.length();
            if (length > longest) {
                longest = length;
                begin = before + length * 0.25;
            }
            before += length;
        }
        return begin;
    }

    private void at(Contour round, double z, Optional<TabLine> tabs) {
        Point begin = round.start();
        Point along = round.segments().get(0).direction(0);
        Arc in = lead(begin, along);
        way.leave();
        way.comeTo(in.start(), z);
        way.upright(z, Leg.Pace.PLUNGE);
        way.along(List.of(in));
        HeightLine level = HeightLine.level(z, round.length());
        way.along(round.segments(), tabs.map(t -> level.higherOf(t.over(1))).orElse(level));
        if (finish.over() > 0) {
            way.along(round.beginning(finish.over()));
        }
        Point end = way.at();
        Point out = round.departure(round.nearest(end));
        // the way in, seen in a mirror
        way.along(List.of(lead(end, out.times(-1), !wallOnRight).reversed()));
        way.leave();
    }

    private Arc lead(Point end, Point along) {
        return lead(end, along, wallOnRight);
    }

    /** An arc from beside a place to it, which ends in a direction. */
    private Arc lead(Point end, Point along, boolean onRight) {
        double angle = Math.acos(Math.max(0, 1 - finish.width() / radius));
        Point aside = onRight ? along.left() : along.left().times(-1);
        Point centre = end.plus(aside.times(radius));
        double turn = onRight ? angle : -angle;
        double last = end.minus(centre).angle();
        Arc arc = Arc.about(centre, radius, last - turn, turn);
        return arc.withEnds(arc.start(), end);
    }
}
