package dev.oleander.plan.bed;

import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Puts copies of the drawing on the stock in rows and columns. */
public final class LayoutPlanner {

    /** mm; a copy that is too wide by less than this still fits: rounding of typed values. */
    private static final double SLACK = 1e-6;

    static final int MOST_COPIES = 5_000;

    private final SheetChoices choices;
    private final double defaultGap;
    private final Double kerf;

    /**
     * @param defaultGap mm, between neighbours and at the edge when nothing was chosen
     */
    public LayoutPlanner(SheetChoices choices, double defaultGap) {
        this(choices, defaultGap, null);
    }

    /**
     * @param kerf mm between copies that share a line of the cut; null when they do not
     */
    public LayoutPlanner(SheetChoices choices, double defaultGap, Double kerf) {
        this.choices = choices;
        this.defaultGap = defaultGap;
        this.kerf = kerf;
    }

    /** The same with copies that are numbered from 1. */
    public SheetLayout lay(Box part, int quantity) {
        return lay(part, quantity, 1);
    }

    /**
     * Copies of the drawing in rows and columns, or parts of it in rows.
     *
     * @param firstCopy number of the first one
     * @throws PlanException when a size is not usable, or nothing is wanted
     */
    public SheetLayout lay(Reading reading, Demand demand, int firstCopy) {
        if (demand.isEmpty()) {
            throw new PlanException(
                    "Nothing is asked for: the quantity of every part is 0. Set one of them under Copies on Sheet.");
        }
        return demand.isWhole()
                ? lay(reading.workBox(), demand.of(PartRef.WHOLE), firstCopy)
                : parts(reading, demand, firstCopy);
    }

    private SheetLayout parts(Reading reading, Demand demand, int firstCopy) {
        requireFewEnough(demand.all());
        Transform turn = Transform.rotation(Math.toRadians(choices.turn().value()));
        double gap = value(choices.gap(), defaultGap);
        double edge =
                choices.aroundPart()
                        ? choices.allowance().value()
                        : value(choices.margin(), defaultGap);
        Map<Shelves.Turned, Integer> wanted = Shelves.turned(reading, demand, turn);
        Shelves shelves =
                choices.aroundPart()
                        ? new Shelves(square(wanted, gap), Double.POSITIVE_INFINITY, gap)
                        : new Shelves(
                                choices.width().value() - 2 * edge,
                                choices.height().value() - 2 * edge,
                                gap);
        Shelves.Filled filled = shelves.fill(wanted);
        Point reach = filled.reach();
        Box stock =
                choices.aroundPart()
                        ? sized(reach.x() + 2 * edge, reach.y() + 2 * edge)
                        : sized(choices.width().value(), choices.height().value());
        Box first =
                filled.laid().isEmpty()
                        ? new Box(Point.ORIGIN, Point.ORIGIN)
                        : filled.laid().get(0).what().box();
        Point zero = zero(stock, first, edge);
        List<Placement> placements = new ArrayList<>();
        for (Shelves.Laid laid : filled.laid()) {
            Point corner = laid.corner().plus(new Point(edge, edge)).minus(zero);
            Transform there = place(turn, laid.what().box(), corner, false);
            placements.add(new Placement(firstCopy + placements.size(), there, laid.what().part()));
        }
        return new SheetLayout(
                new Box(stock.min().minus(zero), stock.max().minus(zero)),
                placements,
                demand.all(),
                filled.rows(),
                filled.columns(),
                gap,
                edge,
                choices.keepOut());
    }

    /** mm; width of rows that make about a square of all parts, and hold the widest. */
    private static double square(Map<Shelves.Turned, Integer> wanted, double gap) {
        double area = 0;
        double widest = 0;
        for (Map.Entry<Shelves.Turned, Integer> part : wanted.entrySet()) {
            Box box = part.getKey().box();
            area += part.getValue() * (box.width() + gap) * (box.height() + gap);
            widest = Math.max(widest, box.width());
        }
        return Math.max(widest, Math.sqrt(area));
    }

    /**
     * @param part box of the drawing, mm
     * @param quantity copies the job asks for
     * @param firstCopy number of the first one
     * @throws PlanException when a size is not usable
     */
    public SheetLayout lay(Box part, int quantity, int firstCopy) {
        Transform turn = Transform.rotation(Math.toRadians(choices.turn().value()));
        Box turned = turnedBox(part, turn);
        double gap = kerf != null ? kerf : value(choices.gap(), defaultGap);
        double margin = value(choices.margin(), defaultGap);
        Grid grid = grid(turned, quantity, gap, margin);
        Box stock = stock(turned, grid, gap);
        double edge = choices.aroundPart() ? choices.allowance().value() : margin;
        Point zero = zero(stock, turned, edge);
        List<Placement> placements = new ArrayList<>();
        for (int row = 0; row < grid.rows; row++) {
            for (int column = 0; column < grid.columns; column++) {
                if (placements.size() < grid.copies) {
                    Point corner =
                            new Point(
                                            edge + column * (turned.width() + gap),
                                            edge + row * (turned.height() + gap))
                                    .minus(zero);
                    boolean mirror = choices.mirrored() && column % 2 == 1;
                    placements.add(
                            new Placement(
                                    firstCopy + placements.size(),
                                    place(turn, turned, corner, mirror)));
                }
            }
        }
        Box shifted = new Box(stock.min().minus(zero), stock.max().minus(zero));
        return new SheetLayout(
                shifted,
                placements,
                grid.asked,
                grid.rows,
                grid.columns,
                gap,
                margin,
                choices.keepOut());
    }

    private static double value(Typed chosen, double otherwise) {
        return chosen == null ? otherwise : chosen.value();
    }

    /** The corners of the turned box lie farthest out, so they bound everything in it. */
    static Box turnedBox(Box part, Transform turn) {
        Point a = turn.apply(part.min());
        Point b = turn.apply(part.max());
        Point c = turn.apply(new Point(part.min().x(), part.max().y()));
        Point d = turn.apply(new Point(part.max().x(), part.min().y()));
        return Box.of(a, b).union(Box.of(c, d));
    }

    private record Grid(int rows, int columns, int copies, int asked) {}

    private Grid grid(Box turned, int quantity, double gap, double margin) {
        Integer rows = whole("Rows", choices.rows());
        Integer columns = whole("Columns", choices.columns());
        int asked = rows != null && columns != null ? rows * columns : quantity;
        requireFewEnough(asked);
        int mostColumns = Integer.MAX_VALUE;
        int mostRows = Integer.MAX_VALUE;
        if (!choices.aroundPart()) {
            mostColumns = fitting(choices.width().value(), turned.width(), gap, margin);
            mostRows = fitting(choices.height().value(), turned.height(), gap, margin);
        } else if (columns == null) {
            columns = (int) Math.ceil(Math.sqrt(asked));
        }
        int across = Math.min(mostColumns, columns != null ? columns : asked);
        int needed = across == 0 ? 0 : (asked + across - 1) / across;
        int up = Math.min(mostRows, rows != null ? rows : needed);
        int copies = Math.min(asked, across * up);
        return new Grid(up, across, copies, asked);
    }

    private static Integer whole(String what, Typed typed) {
        if (typed == null) {
            return null;
        }
        double value = typed.value();
        if (value != Math.rint(value) || value < 1 || value > MOST_COPIES) {
            throw new PlanException(
                    "%s: %s is not a whole number from 1 to %d."
                            .formatted(what, typed.text(), MOST_COPIES));
        }
        return (int) value;
    }

    private static void requireFewEnough(int asked) {
        if (asked > MOST_COPIES) {
            throw new PlanException(
                    "%d copies are asked for on one sheet; the limit is %d."
                            .formatted(asked, MOST_COPIES));
        }
    }

    static int fitting(double stock, double part, double gap, double margin) {
        double room = stock - 2 * margin - part + SLACK;
        return room < 0 ? 0 : 1 + (int) Math.floor(room / (part + gap));
    }

    private Box stock(Box turned, Grid grid, double gap) {
        double width = choices.width().value();
        double height = choices.height().value();
        if (choices.aroundPart()) {
            double allowance = choices.allowance().value();
            width = grid.columns * (turned.width() + gap) - gap + 2 * allowance;
            height = grid.rows * (turned.height() + gap) - gap + 2 * allowance;
        }
        return sized(width, height);
    }

    private static Box sized(double width, double height) {
        if (!(width > 0 && height > 0)) {
            throw new PlanException(
                    "The stock is %s x %s mm; both must be more than 0."
                            .formatted(Numbers.plain(width, 2), Numbers.plain(height, 2)));
        }
        return new Box(Point.ORIGIN, new Point(width, height));
    }

    private Point zero(Box stock, Box turned, double edge) {
        SheetChoices.Anchor anchor = choices.anchor();
        return choices.zeroOf() == SheetChoices.ZeroOf.STOCK
                ? new Point(anchor.x() * stock.width(), anchor.y() * stock.height())
                : new Point(
                        edge + anchor.x() * turned.width(), edge + anchor.y() * turned.height());
    }

    private static Transform place(Transform turn, Box turned, Point corner, boolean mirror) {
        if (!mirror) {
            return turn.then(Transform.translation(corner.minus(turned.min())));
        }
        Point home = new Point(turned.max().x(), -turned.min().y());
        return turn.then(Transform.mirror()).then(Transform.translation(home.plus(corner)));
    }
}
