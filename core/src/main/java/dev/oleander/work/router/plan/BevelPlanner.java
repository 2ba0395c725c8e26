package dev.oleander.work.router.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.tool.Levels;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ContourWay.Side;
import dev.oleander.work.router.way.Descent;
import dev.oleander.work.router.way.Rounds;
import dev.oleander.work.router.way.ToolWay;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Edges broken with a cone. With a width c and the tip e below the foot of the slope, the tip goes
 * c / tan(angle/2) + e deep, and its axis e tan(angle/2) + tip/2 off the wall, on the side of the
 * scrap: there the flank meets the wall at the foot and the top c behind it.
 */
final class BevelPlanner {

    private final RouterTask task;
    private final Operation operation;
    private final Tool tool;
    private final Bevel bevel;

    BevelPlanner(RouterTask task, Operation operation, Tool tool) {
        this.task = task;
        this.operation = operation;
        this.tool = tool;
        this.bevel = (Bevel) operation.what();
    }

    RouterStop plan(Feature feature) {
        Closed.require(feature, bevel);
        double steep = tool.form().halfTangent();
        double deep = bevel.width() / steep + bevel.below();
        requireCone(deep * steep + tool.form().tipDiameter() / 2);
        CannotException.throwIf(Suitable.whyNotDeep(tool, deep, operation.beyondFlutes()));
        double off = bevel.below() * steep + tool.form().tipDiameter() / 2;
        double most = bevel.steps().down().orElseGet(() -> task.steps().apply(tool).down());
        List<Double> levels = Levels.equal(deep, most, 0);
        Descent down = Entries.of(tool, operation);
        ToolWay way = new ToolWay(task.heights());
        for (Contour round : rounds(feature, off)) {
            way.comeTo(round.start(), 0);
            if (!Rounds.atEachLevel(way, round, levels, 0, down, Optional.empty())) {
                throw Entries.noRoom(tool, down, feature.id());
            }
            way.leave();
        }
        return RouterStop.done(
                operation, feature.id(), List.of(feature.id()), tool, levels, way, Figures.NONE);
    }

    /** The cone is as wide at the top as the edge asks for, or its shank would rub. */
    private void requireCone(double radius) {
        if (radius > tool.diameter() / 2 + 1e-9) {
            throw new CannotException(
                    "An edge of %s mm, the tip %s mm below it, asks for a cone of %s mm; tool %d has %s mm.",
                    Numbers.plain(bevel.width(), 3),
                    Numbers.plain(bevel.below(), 3),
                    Numbers.plain(2 * radius, 3),
                    tool.number(),
                    Numbers.plain(tool.diameter(), 3));
        }
    }

    private List<Contour> rounds(Feature feature, double off) {
        Contour drawn = feature.contour().turning(true);
        boolean outside = side(feature) == Side.OUTSIDE;
        boolean anticlockwise = outside == (bevel.climb() == tool.edges().left());
        List<Region> beside =
                off > 0
                        ? Offsetter.round().offset(drawn, outside ? off : -off)
                        : List.of(new Region(drawn, List.of()));
        if (beside.isEmpty()) {
            throw new CannotException(
                    "The tip would go %s mm beside the wall of %s, where there is no room.",
                    Numbers.plain(off, 2), feature.id());
        }
        return beside.stream()
                .map(r -> r.outer().turning(anticlockwise))
                .sorted(Comparator.comparing(c -> -c.area()))
                .toList();
    }

    private Side side(Feature feature) {
        return bevel.side().orElseGet(() -> Side.usual(feature));
    }
}
