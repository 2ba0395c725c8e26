package dev.oleander.work.router.plan;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.Entry;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.Rounds;
import dev.oleander.work.router.way.ToolWay;
import java.util.List;
import java.util.Optional;

/** Ways along lines: all of it at one depth, then back at the next. */
final class LineWay {

    private LineWay() {}

    /**
     * @param chains lines of the tool's axis
     * @param levels depths, mm, the shallowest first
     * @param top height of what is there, mm
     * @param down how the tool goes down
     */
    static void add(
            ToolWay way,
            List<? extends Chain> chains,
            List<Double> levels,
            double top,
            Tool tool,
            Descent down) {
        for (Chain chain : chains) {
            way.comeTo(chain.start(), top);
            if (chain instanceof Contour contour) {
                if (!Rounds.atEachLevel(way, contour, levels, top, down, Optional.empty())) {
                    throw tooShort(tool);
                }
            } else {
                thereAndBack(way, (Path) chain, levels, top, down, tool);
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
            ToolWay way, Path path, List<Double> levels, double top, Descent down, Tool tool) {
        Path line = path;
        double from = top;
        for (double depth : levels) {
            if (down.is(Entry.Kind.PLUNGE)) {
                way.upright(-depth, Leg.Pace.PLUNGE);
            } else if (!down.toAndFro(way, line, from, -depth)) {
                throw tooShort(tool);
            }
            way.along(line.segments());
            line = line.reversed();
            from = -depth;
        }
    }
}
