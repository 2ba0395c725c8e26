package dev.oleander.work.sheet.book;

import dev.oleander.machine.BookText;
import dev.oleander.machine.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * A value of a row of the cut book, by the name it has in forms and in CSV files. Lengths mm, feeds
 * mm/min, times s, angles degrees, money in the shop's currency.
 */
public enum CutField {
    MATERIAL("material", "Material", "", CutRow::material),
    THICKNESS("thickness", "Thickness", "mm", CutRow::thickness, Limit.MORE_THAN_0, 400),
    QUALITY("quality", "Quality", "", CutRow::quality),
    KERF("kerf", "Kerf", "mm", CutRow::kerf, Limit.MORE_THAN_0, 20),
    FEED("feed", "Feed", "mm/min", CutRow::feed, Limit.MORE_THAN_0, 100_000),
    MARK_FEED("markFeed", "Feed for marking", "mm/min", CutRow::markFeed, Limit.MORE_THAN_0, 1e5),
    PIERCE_SECONDS("pierceSeconds", "Pierce", "s", CutRow::pierceSeconds, Limit.FROM_0, 600),
    PIERCE_HEIGHT("pierceHeight", "Pierce height", "mm", CutRow::pierceHeight, Limit.FROM_0, 100),
    CUT_HEIGHT("cutHeight", "Cut height", "mm", CutRow::cutHeight, Limit.FROM_0, 100),
    SMALLEST_HOLE("smallestHole", "Smallest hole", "mm", CutRow::smallestHole, Limit.FROM_0, 400),
    LEAD("lead", "Lead", "mm", CutRow::lead, Limit.MORE_THAN_0, 200),
    PIERCE_CLEARANCE(
            "pierceClearance",
            "Pierce clearance",
            "mm",
            CutRow::pierceClearance,
            Limit.MORE_THAN_0,
            100),
    OVER_RUN("overRun", "Over-run", "mm", CutRow::overRun, Limit.FROM_0, 100),
    POWER("power", "Power", "", CutRow::power, Limit.FROM_0, 1e6),
    GAS("gas", "Gas", "", CutRow::gas),
    PRESSURE("pressure", "Pressure", "bar", CutRow::pressure, Limit.FROM_0, 10_000),
    CORNER_OVER("cornerOver", "Corners over", "°", r -> r.corner().over(), Limit.FROM_0, 180),
    CORNER_SHARE(
            "cornerShare", "Feed there", "of 1", r -> r.corner().share(), Limit.MORE_THAN_0, 1),
    CORNER_WITHIN("cornerWithin", "Within", "mm", r -> r.corner().within(), Limit.FROM_0, 100),
    HOURLY_COST("hourlyCost", "Running", "an hour", r -> r.cost().hour(), Limit.FROM_0, 1e5),
    PIERCE_COST("pierceCost", "A pierce", "each", r -> r.cost().pierce(), Limit.FROM_0, 1e4);

    private enum Limit {
        MORE_THAN_0,
        FROM_0
    }

    private final String word;
    private final String label;
    private final String unit;
    private final Function<CutRow, String> text;
    private final Limit least;
    private final double most;

    CutField(String word, String label, String unit, Function<CutRow, String> text) {
        this.word = word;
        this.label = label;
        this.unit = unit;
        this.text = text;
        this.least = null;
        this.most = 0;
    }

    CutField(
            String word,
            String label,
            String unit,
            ToDoubleFunction<CutRow> value,
            Limit least,
            double most) {
        this.word = word;
        this.label = label;
        this.unit = unit;
        this.text = row -> Numbers.plain(value.applyAsDouble(row), 6);
        this.least = least;
        this.most = most;
    }

    public String word() {
        return word;
    }

    public String label() {
        return label;
    }

    public String unit() {
        return unit;
    }

    public boolean isNumber() {
        return least != null;
    }

    /** The value as it is written. */
    public String of(CutRow row) {
        return text.apply(row);
    }

    public static Optional<CutField> ofWord(String word) {
        return Arrays.stream(values()).filter(f -> f.word.equals(word)).findFirst();
    }

    /**
     * @throws CutDataException naming the value and its limits
     */
    double number(String written) {
        return BookText.number(label, unit, least == Limit.FROM_0, most, written);
    }

    /**
     * @throws CutDataException when there is none or it is too long
     */
    String text(String written) {
        return BookText.text(label, written);
    }
}
