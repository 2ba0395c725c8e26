package dev.oleander.work.router.plan;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Segment;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.HeightLine;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.Rounds;
import dev.oleander.work.router.way.ToolWay;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Ways along lines: all of it at one depth, then back at the next. */
final class LineWay {

    private static final int MOST_TURNS = 400;

    private LineWay() {}

    /**
     * @param chains lines of the tool's axis
     * @param levels depths, mm, the shallowest first
     * @param top height of what is there, mm
     */
    static void add(
            ToolWay way, List<? extends Chain> chains, List<Double> levels, double top, Tool tool) {
        double ramp = Math.toRadians(tool.edges().rampAngle());
        for (Chain chain : chains) {
            way.comeTo(chain.start(), top);
            if (chain instanceof Contour contour) {
                if (!Rounds.atEachLevel(way, contour, levels, top, ramp, Optional.empty())) {
                    throw tooShort(tool);
                }
            } else {
                thereAndBack(way, (Path) chain, levels, top, ramp, tool);
            }
            way.leave();
        }
    }

    private static CannotException tooShort(Tool tool) {
        return new CannotException(
                "The line is too short for tool %d to go down along it.", tool.number());
    }

    /** Every level begins at the end where the one before was left. */
    private static void thereAndBack(
            ToolWay way, Path path, List<Double> levels, double top, double ramp, Tool tool) {
        Path line = path;
        double from = top;
        for (double depth : levels) {
            down(way, line, from, -depth, ramp, tool);
            way.along(line.segments());
            line = line.reversed();
            from = -depth;
        }
    }

    /** Down along the line and back, as often as it must be, no steeper than the tool may. */
    private static void down(
            ToolWay way, Path line, double from, double to, double ramp, Tool tool) {
        double length = line.length();
        double step = length * Math.tan(ramp);
        if ((from - to) / step > MOST_TURNS) {
            throw tooShort(tool);
        }
        way.upright(from, Leg.Pace.PLUNGE);
        double z = from;
        while (z - to > 1e-9) {
            double next = Math.max(to, z - step);
            double far = (z - next) / Math.tan(ramp);
            List<Segment> there = beginning(line, far);
            way.along(there, HeightLine.of(knots(z, next, length(there))));
            List<Segment> back = new Path(there).reversed().segments();
            way.along(back);
            z = next;
        }
    }

    private static List<double[]> knots(double from, double to, double length) {
        return List.of(new double[] {0, from}, new double[] {length, to});
    }

    private static double length(List<Segment> segments) {
        return segments.stream().mapToDouble(Segment::length).sum();
    }

    private static List<Segment> beginning(Path line, double far) {
        ArrayList<Segment> all = new ArrayList<>();
        double left = far;
        for (Segment segment : line.segments()) {
            double length = segment.length();
            if (left <= 1e-9) {
                break;
            }
            all.add(left >= length ? segment : segment.between(0, left / length));
            left -= length;
        }
        return all;
    }
}
