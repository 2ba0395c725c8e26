package dev.oleander.nesting.choice;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.SheetStock;
import dev.oleander.quantity.Numbers;
import java.util.List;
import java.util.Optional;

/**
 * Sheets of one kind that may be used, or one remnant.
 *
 * @param id within the nest
 * @param width along x, mm; of a remnant that of its box
 * @param outline outer contour, then holes and bad places; null: a plain rectangle at the origin
 * @param count how many there are; null: as many as are needed
 * @param price of one, in the shop's currency; null: what its material costs
 * @param grain direction of rolling, degrees; null: it does not matter
 * @param remnant number of the remnant in the stock of the shop; null: sheets as they are bought
 */
public record StockLine(
        String id,
        double width,
        double height,
        List<Loop> outline,
        Integer count,
        Double price,
        Double grain,
        Long remnant) {

    /** mm; larger ones are a mistake of typing. */
    private static final double LONGEST = 50_000;

    public StockLine {
        outline = outline == null ? null : List.copyOf(outline);
        if (!(width > 0 && width <= LONGEST && height > 0 && height <= LONGEST)) {
            throw new NestException(
                    "Sheet %s is %s x %s mm; both must be more than 0 and at most %s."
                            .formatted(
                                    id,
                                    Numbers.plain(width, 2),
                                    Numbers.plain(height, 2),
                                    Numbers.plain(LONGEST, 0)));
        }
        if (count != null && count < 0) {
            throw new NestException(
                    "Sheet %s: %d of them; there are 0 or more.".formatted(id, count));
        }
    }

    /** Plain sheets, as many as are needed, for what their material costs. */
    public static StockLine plain(String id, double width, double height) {
        return new StockLine(id, width, height, null, null, null, null, null);
    }

    /**
     * One sheet of another form.
     *
     * @param loops outer contour, then holes
     * @throws NestException when it encloses nothing
     */
    public static StockLine outlined(String id, List<Loop> loops) {
        Box box = Loops.region(loops, "sheet " + id).box();
        return new StockLine(id, box.width(), box.height(), loops, 1, null, null, null);
    }

    /** Outline and holes, mm. */
    public Region region() {
        if (outline == null) {
            return new Region(
                    Contour.rectangle(new Box(Point.ORIGIN, new Point(width, height))), List.of());
        }
        return Loops.region(outline, "sheet " + id);
    }

    /**
     * As the search is told of it.
     *
     * @param usual price of its material by area, per mm2
     */
    public SheetStock stock(double usual) {
        Region region = region();
        return new SheetStock(
                id,
                region,
                Optional.ofNullable(count),
                price == null ? region.area() * usual : price,
                Optional.ofNullable(grain),
                remnant != null);
    }

    /**
     * @param value null: as many as are needed
     */
    public StockLine withCount(Integer value) {
        return new StockLine(id, width, height, outline, value, price, grain, remnant);
    }

    /**
     * @param value null: what its material costs
     */
    public StockLine withPrice(Double value) {
        return new StockLine(id, width, height, outline, count, value, grain, remnant);
    }

    /**
     * @param value degrees; null: it does not matter
     */
    public StockLine withGrain(Double value) {
        return new StockLine(id, width, height, outline, count, price, value, remnant);
    }

    /** A plain sheet of another size. */
    public StockLine sized(double newWidth, double newHeight) {
        return new StockLine(id, newWidth, newHeight, null, count, price, grain, remnant);
    }

    /** The same under another name. */
    public StockLine withId(String value) {
        return new StockLine(value, width, height, outline, count, price, grain, remnant);
    }
}
