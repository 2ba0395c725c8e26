package dev.oleander.plan.bed;

import dev.oleander.machine.HeldEdge;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What people decided about the stock and where the parts lie on it; lengths mm.
 *
 * @param aroundPart stock follows from the parts and the allowance, not from width and height;
 *     null: as is usual on the machine
 * @param width null: as is usual for machine and part; likewise height
 * @param allowance stock left round the parts
 * @param zeroOf whether the zero point belongs to the stock or to the first part
 * @param turn of the part, degrees anticlockwise
 * @param rows null: as many as are needed and fit; likewise columns
 * @param gap between neighbours; null: what the leads need
 * @param margin between parts and the edge of the stock; null: what the leads need
 * @param mirrored every second column is mirrored
 * @param commonLines whether neighbours lie a kerf apart and share the cut between them; null: no
 * @param heldAt edge at which the stock is held; null: the one usual on the machine
 * @param keepOut what the head must not hit, in the coordinates of the machine
 * @param restAround whether the stock of the last set-up follows from what is left to lie on it;
 *     null: it is like the others
 * @param parts how many of single parts are wanted, by id; see {@link Demand#of}
 */
public record SheetChoices(
        Boolean aroundPart,
        Typed width,
        Typed height,
        Typed allowance,
        ZeroOf zeroOf,
        Anchor anchor,
        Typed turn,
        Typed rows,
        Typed columns,
        Typed gap,
        Typed margin,
        boolean mirrored,
        Boolean commonLines,
        HeldEdge heldAt,
        List<KeepOut> keepOut,
        Boolean restAround,
        Map<String, Integer> parts) {

    public SheetChoices {
        parts = parts == null ? Map.of() : Map.copyOf(parts);
        keepOut = keepOut == null ? List.of() : List.copyOf(keepOut);
    }

    /** What the zero point belongs to. */
    public enum ZeroOf {
        STOCK,
        PART
    }

    /** Place on a box: share of its width and height. */
    public enum Anchor {
        BOTTOM_LEFT(0, 0),
        BOTTOM_RIGHT(1, 0),
        TOP_LEFT(0, 1),
        TOP_RIGHT(1, 1),
        CENTRE(0.5, 0.5);

        private final double x;
        private final double y;

        Anchor(double x, double y) {
            this.x = x;
            this.y = y;
        }

        public double x() {
            return x;
        }

        public double y() {
            return y;
        }
    }

    /** The sizes of the stock, lengths mm. */
    public record Stock(Boolean aroundPart, Typed width, Typed height, Typed allowance) {

        Stock around(Boolean part) {
            return new Stock(part, width, height, allowance);
        }

        Stock wide(Typed mm) {
            return new Stock(aroundPart, mm, height, allowance);
        }

        Stock high(Typed mm) {
            return new Stock(aroundPart, width, mm, allowance);
        }

        /** With so much left round the parts. */
        Stock left(Typed mm) {
            return new Stock(aroundPart, width, height, mm);
        }
    }

    /** How copies lie on it. */
    public record Grid(
            Typed turn, Typed rows, Typed columns, Typed gap, Typed margin, boolean mirrored) {

        Grid turned(Typed degrees) {
            return new Grid(degrees, rows, columns, gap, margin, mirrored);
        }

        Grid inRows(Typed number) {
            return new Grid(turn, number, columns, gap, margin, mirrored);
        }

        Grid inColumns(Typed number) {
            return new Grid(turn, rows, number, gap, margin, mirrored);
        }

        /** With another gap between neighbours. */
        Grid apart(Typed mm) {
            return new Grid(turn, rows, columns, mm, margin, mirrored);
        }

        /** With another margin to the edge. */
        Grid inside(Typed mm) {
            return new Grid(turn, rows, columns, gap, mm, mirrored);
        }

        Grid mirrored(boolean everySecond) {
            return new Grid(turn, rows, columns, gap, margin, everySecond);
        }
    }

    public Stock stock() {
        return new Stock(aroundPart, width, height, allowance);
    }

    public Grid grid() {
        return new Grid(turn, rows, columns, gap, margin, mirrored);
    }

    public SheetChoices withStock(Stock stock) {
        return of(stock, zeroOf, anchor, grid(), commonLines, heldAt, keepOut, restAround, parts);
    }

    public SheetChoices withZero(ZeroOf of, Anchor at) {
        return of(stock(), of, at, grid(), commonLines, heldAt, keepOut, restAround, parts);
    }

    public SheetChoices withGrid(Grid grid) {
        return of(stock(), zeroOf, anchor, grid, commonLines, heldAt, keepOut, restAround, parts);
    }

    /**
     * For the rest of a quantity: as many rows as it needs, in the columns that were set, on stock
     * of its own size if that is wished.
     *
     * @param left what it is
     */
    public SheetChoices ofRest(Demand left) {
        Map<String, Integer> of = new TreeMap<>(parts);
        of.replaceAll((id, n) -> left.of(PartRef.of(id)));
        left.of().forEach((part, n) -> of.put(part.part(), n));
        of.remove("");
        SheetChoices rest = withGrid(grid().inRows(null)).withParts(of);
        return Boolean.TRUE.equals(restAround) ? rest.withStock(stock().around(true)) : rest;
    }

    /**
     * @param around null: the stock of the last set-up is like the others
     */
    public SheetChoices withRestAround(Boolean around) {
        return of(stock(), zeroOf, anchor, grid(), commonLines, heldAt, keepOut, around, parts);
    }

    /** With so many of single parts. */
    public SheetChoices withParts(Map<String, Integer> wanted) {
        return of(
                stock(), zeroOf, anchor, grid(), commonLines, heldAt, keepOut, restAround, wanted);
    }

    public SheetChoices withCommonLines(boolean shared) {
        return of(stock(), zeroOf, anchor, grid(), shared, heldAt, keepOut, restAround, parts);
    }

    /**
     * @param edge null: the one usual on the machine
     */
    public SheetChoices withHeldAt(HeldEdge edge) {
        return of(stock(), zeroOf, anchor, grid(), commonLines, edge, keepOut, restAround, parts);
    }

    public SheetChoices withKeepOut(List<KeepOut> all) {
        return of(stock(), zeroOf, anchor, grid(), commonLines, heldAt, all, restAround, parts);
    }

    public boolean sharesLines() {
        return Boolean.TRUE.equals(commonLines);
    }

    private static SheetChoices of(
            Stock stock,
            ZeroOf zeroOf,
            Anchor anchor,
            Grid grid,
            Boolean commonLines,
            HeldEdge heldAt,
            List<KeepOut> keepOut,
            Boolean restAround,
            Map<String, Integer> parts) {
        return new SheetChoices(
                stock.aroundPart(),
                stock.width(),
                stock.height(),
                stock.allowance(),
                zeroOf,
                anchor,
                grid.turn(),
                grid.rows(),
                grid.columns(),
                grid.gap(),
                grid.margin(),
                grid.mirrored(),
                commonLines,
                heldAt,
                keepOut,
                restAround,
                parts);
    }

    /** Nothing decided: the stock follows machine and part. */
    public static SheetChoices usual() {
        SheetChoices sheet = defaults();
        return sheet.withStock(new Stock(null, null, null, sheet.allowance()));
    }

    /** On a sheet of 1500 x 1000 mm. */
    public static SheetChoices defaults() {
        return new SheetChoices(
                false,
                Typed.of(1500),
                Typed.of(1000),
                Typed.of(10),
                ZeroOf.STOCK,
                Anchor.BOTTOM_LEFT,
                Typed.of(0),
                null,
                null,
                null,
                null,
                false,
                false,
                null,
                List.of(),
                null,
                Map.of());
    }
}
