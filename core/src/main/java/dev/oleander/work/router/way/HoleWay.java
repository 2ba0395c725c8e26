package dev.oleander.work.router.way;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.work.router.way.Leg.Pace;
import java.util.List;

/** Ways into round holes: a drill straight down, a mill round and round. */
public final class HoleWay {

    /** mm over the last depth from which a drill goes on after it came up to clear its chips. */
    private static final double AGAIN = 0.5;

    /** Share of a hole that a mill may have as its diameter, so that chips find room. */
    public static final double WIDEST = 0.8;

    private HoleWay() {}

    /**
     * Drills.
     *
     * @param from height of what is there, mm
     * @param to lowest height of the tip, mm
     * @param peck mm after which it comes up; 0: never
     */
    public static void drill(ToolWay way, Point centre, double from, double to, double peck) {
        way.comeTo(centre, from);
        int pecks = pecks(from - to, peck);
        double begin = way.z();
        for (int i = 1; i <= pecks; i++) {
            double depth = from + (to - from) * i / pecks;
            if (i > 1) {
                way.upright(begin, Pace.RAPID);
                way.upright(from + (to - from) * (i - 1) / pecks + AGAIN, Pace.RAPID);
            }
            way.upright(depth, Pace.PLUNGE);
        }
        way.leave();
    }

    /** How often a drill goes down for a way of so many mm. */
    public static int pecks(double depth, double peck) {
        return peck > 0 ? (int) Math.max(1, Math.ceil(depth / peck - 1e-9)) : 1;
    }

    /**
     * Bores with a mill: a helix down to every level and a level round, from the middle outwards
     * until no core stays, the last along the wall.
     *
     * @param hole radius, mm
     * @param tool radius, mm, less than that of the hole
     * @param levels depths, mm, the shallowest first
     * @param top height of what is there, mm
     * @param down how the tool goes down
     * @return whether it can: with a tool that does not cut in its middle there may be no helix
     */
    public static boolean bore(
            ToolWay way,
            Point centre,
            double hole,
            double tool,
            List<Double> levels,
            double top,
            Descent down) {
        double wall = hole - tool;
        // a wider helix than the tool's radius would leave a core
        int rounds = (int) Math.max(1, Math.ceil(wall / tool - 1e-9));
        double first = wall / rounds;
        if (first < down.dead() / 2) {
            return false;
        }
        Contour inner = Contour.circle(centre, first);
        way.comeTo(inner.start(), top);
        if (!Rounds.spiral(way, inner, levels, top, down.ramp())) {
            return false;
        }
        for (int i = 2; i <= rounds; i++) {
            outwards(way, Contour.circle(centre, first * i), levels);
        }
        way.leave();
        return true;
    }

    /** From the inner round, at every level, to one further out. */
    private static void outwards(ToolWay way, Contour round, List<Double> levels) {
        for (double depth : levels) {
            way.upright(-depth, way.z() < -depth ? Pace.RAPID : Pace.PLUNGE);
            way.straightTo(round.start());
            way.along(round.segments());
            if (depth < levels.get(levels.size() - 1)) {
                way.straightTo(inside(round));
            }
        }
    }

    private static Point inside(Contour round) {
        Point middle = round.box().centre();
        Point out = round.start().minus(middle);
        return middle.plus(out.times(0.5));
    }
}
