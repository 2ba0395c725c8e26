package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.work.router.way.Leg;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.DoubleBinaryOperator;
import java.util.function.ToDoubleFunction;

/**
 * What tools of any form take away, mm3: depths summed up over a grid, as fine as a number of
 * places allows, only where a tool comes. Flat tools are summed exactly by {@link Removed}.
 */
public final class Volume {

    /** Side of the cells in which a tool is looked for, mm. */
    private static final double CELL = 4;

    /** Places at which the depth is asked for. */
    private static final double PLACES = 400_000;

    private static final double FINEST = 0.02;

    private Volume() {}

    /** A cell, by its number in both directions. */
    private record Cell(long x, long y) {}

    /**
     * @param stock seen from above: beyond it there is nothing to take
     * @param surface how far below the top the stock begins at a place, mm: 0 where it is flat
     * @param thickness mm below the top where it ends
     * @param layer see {@link Removed#volume(Region, double, DoubleBinaryOperator)}
     */
    public static double of(
            Cutting cutting,
            Region stock,
            ToDoubleFunction<Point> surface,
            double thickness,
            DoubleBinaryOperator layer) {
        Depths depths = new Depths(List.of(cutting));
        Set<Cell> cells = cells(cutting);
        double step = Math.max(FINEST, Math.sqrt(cells.size() * CELL * CELL / PLACES));
        int n = (int) Math.ceil(CELL / step);
        double own = CELL / n;
        double sum = 0;
        for (Cell cell : cells) {
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    Point p =
                            new Point(
                                    cell.x * CELL + (i + 0.5) * own,
                                    cell.y * CELL + (j + 0.5) * own);
                    double deep = Math.min(thickness, depths.at(p).depth());
                    if (deep > 0 && stock.contains(p)) {
                        double from = surface.applyAsDouble(p);
                        sum += deep > from ? layer.applyAsDouble(from, deep) : 0;
                    }
                }
            }
        }
        return sum * own * own;
    }

    /** Those that a tool comes to. */
    private static Set<Cell> cells(Cutting cutting) {
        Set<Cell> cells = new HashSet<>();
        double radius = cutting.form().radius();
        for (Leg leg : cutting.legs()) {
            if (leg.lowest() >= 0) {
                continue;
            }
            Box whole =
                    leg.segment()
                            .map(s -> s.box())
                            .orElse(new Box(leg.from(), leg.from()))
                            .grown(radius);
            for (long x = cell(whole.min().x()); x <= cell(whole.max().x()); x++) {
                for (long y = cell(whole.min().y()); y <= cell(whole.max().y()); y++) {
                    Point middle = new Point((x + 0.5) * CELL, (y + 0.5) * CELL);
                    double away =
                            leg.segment()
                                    .map(s -> s.distance(middle))
                                    .orElse(leg.from().distance(middle));
                    if (away <= radius + CELL) {
                        cells.add(new Cell(x, y));
                    }
                }
            }
        }
        return cells;
    }

    private static long cell(double at) {
        return (long) Math.floor(at / CELL);
    }
}
