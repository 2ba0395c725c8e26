package dev.oleander.nesting.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/**
 * Finds the rectangles that parts fill, alone or in pairs whose second part is turned by 180
 * degrees (pairs after Elkeran 2013).
 */
final class Blocks {

    /** Share of a rectangle that must be filled for it to count as one. */
    private static final double FULL = 0.97;

    private final Model model;
    private final double grain;
    private final PairTest pairs = new PairTest();

    private Blocks(Model model, double grain) {
        this.model = model;
        this.grain = grain;
    }

    /**
     * Blocks of all items.
     *
     * @return empty when some of them fill no rectangle, or sheets have different grains
     */
    static Optional<List<Block>> of(Model model) {
        TreeSet<Double> grains = new TreeSet<>();
        boolean plain = model.task.locked().isEmpty();
        for (var stock : model.task.stock()) {
            grains.add(stock.grainOrNone());
            plain &= stock.isPlain();
        }
        if (!plain || grains.size() > 1 || model.items.isEmpty()) {
            return Optional.empty();
        }
        return new Blocks(model, grains.first()).all();
    }

    private Optional<List<Block>> all() {
        Map<Kind, List<Integer>> byKind = new LinkedHashMap<>();
        for (int i = 0; i < model.items.size(); i++) {
            byKind.computeIfAbsent(model.items.get(i), k -> new ArrayList<>()).add(i);
        }
        List<Block> blocks = new ArrayList<>();
        for (Map.Entry<Kind, List<Integer>> entry : byKind.entrySet()) {
            if (!add(entry.getKey(), entry.getValue(), blocks)) {
                return Optional.empty();
            }
        }
        return Optional.of(blocks);
    }

    private boolean add(Kind kind, List<Integer> items, List<Block> to) {
        List<Block.Lie> alone = singles(kind);
        if (alone.isEmpty()) {
            return false;
        }
        boolean full = isFull(kind, 1, alone.get(0));
        List<Block.Lie> two = full || items.size() < 2 ? List.of() : couples(kind);
        if (!full && (two.isEmpty() || !isFull(kind, 2, two.get(0)))) {
            return false;
        }
        int at = 0;
        for (; !full && at + 1 < items.size(); at += 2) {
            to.add(new Block(List.of(items.get(at), items.get(at + 1)), two));
        }
        for (; at < items.size(); at++) {
            to.add(new Block(List.of(items.get(at)), alone));
        }
        return true;
    }

    private static boolean isFull(Kind kind, int parts, Block.Lie lie) {
        return parts * kind.body.area >= FULL * lie.width() * lie.height();
    }

    /** Ways with an edge along the sheet. */
    private List<Turned> upright(Kind kind) {
        if (!kind.anyTurn()) {
            List<Turned> ways = new ArrayList<>();
            for (Turned way : kind.ways(grain)) {
                if (!way.mirrored) {
                    ways.add(way);
                }
            }
            return ways;
        }
        List<Turned> ways = new ArrayList<>();
        for (Anchor corner : kind.body.anchors) {
            double degrees = -StrictMath.toDegrees(corner.out());
            double quarter = Math.rint(degrees / 90) * 90;
            double exact = Math.abs(degrees - quarter) < 1e-9 ? quarter : degrees;
            ways.add(new Turned(kind.body, exact, false));
            ways.add(new Turned(kind.body, exact + 90, false));
        }
        return ways;
    }

    private List<Block.Lie> singles(Kind kind) {
        List<Block.Lie> lies = new ArrayList<>();
        for (Turned way : upright(kind)) {
            lies.add(lie(way.minX, way.minY, way.maxX, way.maxY, List.of(way), 0, 0));
        }
        return best(lies);
    }

    /** The second of a pair, turned by 180 degrees, corner on corner of the first. */
    private List<Block.Lie> couples(Kind kind) {
        if (!kind.line.turns().allow(180)) {
            return List.of();
        }
        List<Block.Lie> lies = new ArrayList<>();
        for (Turned first : upright(kind)) {
            Turned second = new Turned(kind.body, first.degrees + 180, false);
            for (Anchor on : kind.body.anchors) {
                for (Anchor own : kind.body.anchors) {
                    double dx = first.x(on.x(), on.y()) - second.x(own.x(), own.y());
                    double dy = first.y(on.x(), on.y()) - second.y(own.x(), own.y());
                    if (!pairs.overlaps(second, first, dx, dy)) {
                        lies.add(couple(first, second, dx, dy));
                    }
                }
            }
        }
        return best(lies);
    }

    private static Block.Lie couple(Turned first, Turned second, double dx, double dy) {
        return lie(
                Math.min(first.minX, second.minX + dx),
                Math.min(first.minY, second.minY + dy),
                Math.max(first.maxX, second.maxX + dx),
                Math.max(first.maxY, second.maxY + dy),
                List.of(first, second),
                dx,
                dy);
    }

    private static Block.Lie lie(
            double minX,
            double minY,
            double maxX,
            double maxY,
            List<Turned> ways,
            double dx,
            double dy) {
        double slack = Body.SLACK;
        double[] x = {slack - minX, slack - minX + dx};
        double[] y = {slack - minY, slack - minY + dy};
        return new Block.Lie(maxX - minX + 2 * slack, maxY - minY + 2 * slack, ways, x, y);
    }

    /** The smallest rectangle, and the same across if there is one. */
    private static List<Block.Lie> best(List<Block.Lie> lies) {
        Block.Lie best = null;
        for (Block.Lie lie : lies) {
            if (best == null || lie.width() * lie.height() < best.width() * best.height() - 1e-6) {
                best = lie;
            }
        }
        if (best == null) {
            return List.of();
        }
        for (Block.Lie lie : lies) {
            boolean across =
                    Math.abs(lie.width() - best.height()) < 1e-6
                            && Math.abs(lie.height() - best.width()) < 1e-6;
            if (across && Math.abs(lie.width() - lie.height()) > 1e-6) {
                return List.of(best, lie);
            }
        }
        return List.of(best);
    }
}
