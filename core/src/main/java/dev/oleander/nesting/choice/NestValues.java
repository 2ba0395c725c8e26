package dev.oleander.nesting.choice;

import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.OrderLine;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;

/** What people set of the parts, the sheets and the distances of a nest. */
public final class NestValues {

    private static final double WIDEST = 50_000;
    private static final int MOST_SHEETS = 10_000;
    private static final int MOST_HEADS = 12;
    private static final double DEAREST = 1e6;

    public static final Value<PartLine> QUANTITY =
            Value.number(
                            "quantity",
                            "quantity",
                            Value.<PartLine>wholeBetween(1, OrderLine.MOST),
                            line -> Typed.of(line.quantity()),
                            (line, n) -> line.withQuantity((int) needed(n, "quantity").value()))
                    .label("Quantity", "");

    public static final Value<PartLine> PRIORITY =
            Value.number(
                            "priority",
                            "priority",
                            Value.<PartLine>wholeBetween(1, OrderLine.LAST_PRIORITY),
                            line -> Typed.of(line.priority()),
                            (line, n) -> line.withPriority(n == null ? 1 : (int) n.value()))
                    .label("Priority", "");

    public static final Value<PartLine> DUE =
            Value.<PartLine>text(
                            "due",
                            "due date",
                            line -> line.due() == null ? null : line.due().toString(),
                            (line, entry) -> line.withDue(date(entry)))
                    .label("Due", "");

    public static final Value<PartLine> FILL =
            Value.<PartLine>yesOrNo(
                            "fill",
                            "use",
                            List.of(new Word("true", "only fills"), new Word("false", "needed")),
                            PartLine::fill,
                            (line, fill) -> line.withFill(Boolean.TRUE.equals(fill)))
                    .label("Parts", "");

    private static final List<Word> TURNS_WORDS =
            List.of(
                    new Word("any", "any"),
                    new Word("quarter", "quarters"),
                    new Word("half", "halves"),
                    new Word("fixed", "none"));

    /** A word, or a step in degrees. */
    public static final Value<PartLine> TURNS =
            Value.<PartLine>text(
                            "turns",
                            "allowed turns",
                            line -> turnsWord(line.turns()),
                            (line, entry) -> line.withTurns(turns(entry)))
                    .choosing(subjects -> TURNS_WORDS)
                    .label("Turns", "");

    public static final Value<PartLine> MIRROR =
            Value.<PartLine>yesOrNo(
                            "mirror",
                            "other side",
                            List.of(new Word("true", "allowed"), new Word("false", "never")),
                            PartLine::mirror,
                            (line, mirror) -> line.withMirror(Boolean.TRUE.equals(mirror)))
                    .label("Other side", "");

    public static final Value<PartLine> OWN_GAP =
            Value.number(
                            "gap",
                            "gap round the part",
                            Value.<PartLine>between(0, 1000),
                            PartLine::gap,
                            PartLine::withGap)
                    .label("Gap round it", "mm")
                    .orElse("as all");

    public static final List<Value<PartLine>> OF_LINES =
            List.of(QUANTITY, PRIORITY, DUE, FILL, TURNS, MIRROR, OWN_GAP);

    public static final Value<StockLine> WIDTH =
            Value.number(
                            "width",
                            "width of the sheet",
                            Value.<StockLine>between(1, WIDEST),
                            sheet -> Typed.of(sheet.width()),
                            (sheet, mm) ->
                                    plain(sheet).sized(needed(mm, "width").value(), sheet.height()))
                    .label("Width", "mm");

    public static final Value<StockLine> HEIGHT =
            Value.number(
                            "height",
                            "height of the sheet",
                            Value.<StockLine>between(1, WIDEST),
                            sheet -> Typed.of(sheet.height()),
                            (sheet, mm) ->
                                    plain(sheet).sized(sheet.width(), needed(mm, "height").value()))
                    .label("Height", "mm");

    public static final Value<StockLine> COUNT =
            Value.number(
                            "count",
                            "number of sheets",
                            Value.<StockLine>wholeBetween(0, MOST_SHEETS),
                            sheet -> sheet.count() == null ? null : Typed.of(sheet.count()),
                            (sheet, n) ->
                                    bought(sheet).withCount(n == null ? null : (int) n.value()))
                    .label("There are", "")
                    .orElse("enough");

    public static final Value<StockLine> PRICE =
            Value.number(
                            "price",
                            "price of the sheet",
                            Value.<StockLine>between(0, DEAREST),
                            sheet -> sheet.price() == null ? null : Typed.of(sheet.price()),
                            (sheet, money) -> sheet.withPrice(money == null ? null : money.value()))
                    .label("Price", "")
                    .orElse("material");

    public static final Value<StockLine> GRAIN =
            Value.number(
                            "grain",
                            "grain of the sheet",
                            Value.<StockLine>between(-360, 360),
                            sheet -> sheet.grain() == null ? null : Typed.of(sheet.grain()),
                            (sheet, degrees) ->
                                    sheet.withGrain(degrees == null ? null : degrees.value()))
                    .label("Grain", "°")
                    .orElse("none");

    public static final List<Value<StockLine>> OF_STOCK =
            List.of(WIDTH, HEIGHT, COUNT, PRICE, GRAIN);

    public static final Value<DistanceChoices> GAP =
            Value.number(
                            "gap",
                            "gap",
                            Value.<DistanceChoices>between(0, 1000),
                            DistanceChoices::gap,
                            DistanceChoices::withGap)
                    .label("Gap", "mm");

    public static final Value<DistanceChoices> MARGIN =
            Value.number(
                            "margin",
                            "margin",
                            Value.<DistanceChoices>between(0, 1000),
                            DistanceChoices::margin,
                            DistanceChoices::withMargin)
                    .label("Margin", "mm");

    public static final Value<DistanceChoices> IN_OPENINGS =
            Value.<DistanceChoices>yesOrNo(
                            "partsInOpenings",
                            "parts in openings",
                            List.of(new Word("true", "allowed"), new Word("false", "never")),
                            DistanceChoices::inOpenings,
                            (d, in) -> d.withInOpenings(!Boolean.FALSE.equals(in)))
                    .label("In openings", "");

    public static final Value<DistanceChoices> COMMON_LINES =
            Value.<DistanceChoices>yesOrNo(
                            "commonLines",
                            "common lines",
                            List.of(new Word("true", "where they pay"), new Word("false", "never")),
                            DistanceChoices::sharesCuts,
                            (d, shared) -> d.withCommonLines(Boolean.TRUE.equals(shared)))
                    .label("Common lines", "");

    public static final Value<DistanceChoices> LEAST_REST =
            Value.number(
                            "leastRest",
                            "least rest",
                            Value.<DistanceChoices>between(1, WIDEST),
                            DistanceChoices::leastRest,
                            DistanceChoices::withLeastRest)
                    .label("Least rest", "mm")
                    .orElse("none kept");

    public static final Value<DistanceChoices> REST_SHARE =
            Value.number(
                            "restShare",
                            "worth of a rest",
                            Value.<DistanceChoices>between(0, 100),
                            d -> Typed.of(100 * d.restShare()),
                            (d, percent) ->
                                    d.withRestShare(
                                            percent == null
                                                    ? DistanceChoices.USUAL.restShare()
                                                    : percent.value() / 100))
                    .label("Worth of it", "%");

    public static final Value<DistanceChoices> HEADS =
            Value.number(
                            "heads",
                            "heads at once",
                            Value.<DistanceChoices>wholeBetween(1, MOST_HEADS),
                            d -> d.heads() == null ? null : Typed.of(d.heads()),
                            (d, n) -> d.withHeads(n == null ? null : (int) n.value()))
                    .label("Heads", "")
                    .orElse("one");

    public static final Value<DistanceChoices> HEAD_PITCH =
            Value.number(
                            "headPitch",
                            "pitch of the heads",
                            Value.<DistanceChoices>between(1, WIDEST),
                            DistanceChoices::headPitch,
                            DistanceChoices::withHeadPitch)
                    .label("Pitch", "mm")
                    .orElse("by sheet");

    public static final List<Value<DistanceChoices>> OF_NESTS =
            List.of(
                    GAP,
                    MARGIN,
                    IN_OPENINGS,
                    COMMON_LINES,
                    HEADS,
                    HEAD_PITCH,
                    LEAST_REST,
                    REST_SHARE);

    private NestValues() {}

    private static Typed needed(Typed typed, String what) {
        return Optional.ofNullable(typed)
                .orElseThrow(() -> new ValueException("A %s is needed here.".formatted(what)));
    }

    private static StockLine plain(StockLine sheet) {
        if (sheet.outline() != null) {
            throw new ValueException(
                    "%s has an outline of its own; its size cannot be typed."
                            .formatted(sheet.id()));
        }
        return sheet;
    }

    private static StockLine bought(StockLine sheet) {
        if (sheet.remnant() != null) {
            throw new ValueException("There is one of a remnant, and no more.");
        }
        return sheet;
    }

    private static LocalDate date(Entry entry) {
        try {
            return entry.isEmpty() ? null : LocalDate.parse(entry.text());
        } catch (DateTimeParseException other) {
            throw new ValueException(
                    "\"%s\" is no day; write it as 2027-03-31.".formatted(entry.text()));
        }
    }

    /** As it is written: a word, or degrees. */
    public static String turnsWord(double step) {
        AllowedTurns turns = new AllowedTurns(step);
        if (turns.isAny()) {
            return "any";
        }
        return turns.equals(AllowedTurns.FIXED)
                ? "fixed"
                : turns.equals(AllowedTurns.HALF)
                        ? "half"
                        : turns.equals(AllowedTurns.QUARTER) ? "quarter" : Numbers.plain(step, 4);
    }

    private static double turns(Entry entry) {
        return switch (entry.text()) {
            case "", "any" -> AllowedTurns.ANY.step();
            case "fixed" -> AllowedTurns.FIXED.step();
            case "half" -> AllowedTurns.HALF.step();
            case "quarter" -> AllowedTurns.QUARTER.step();
            default -> step(entry);
        };
    }

    private static double step(Entry entry) {
        try {
            return new AllowedTurns(entry.number("The step between turns", 0.5, 360).value())
                    .step();
        } catch (FormulaException noNumber) {
            throw new ValueException(
                    "\"%s\" says no turns; known are any, quarter, half, fixed and a step in degrees."
                            .formatted(entry.text()));
        }
    }
}
