package dev.oleander.plan.bed;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.machine.HeldEdge;
import dev.oleander.plan.bed.SheetChoices.Anchor;
import dev.oleander.plan.bed.SheetChoices.Grid;
import dev.oleander.plan.bed.SheetChoices.Stock;
import dev.oleander.plan.bed.SheetChoices.ZeroOf;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Constants;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.Function;

/** What people set of the stock and of how the parts lie on it; lengths mm, angles degrees. */
public final class BedValues {

    /** mm; no table is larger. */
    static final double LARGEST = 20_000;

    private static final SheetChoices USUAL = SheetChoices.usual();

    public static final Value<SheetChoices> STOCK =
            Value.oneOf(
                    "stock",
                    "kind of stock",
                    new Constants<>(
                            List.of(false, true),
                            around -> around ? "around" : "sheet",
                            around -> around ? "round the parts" : "sheet"),
                    SheetChoices::aroundPart,
                    (s, around) -> s.withStock(s.stock().around(around)));

    public static final Value<SheetChoices> REST =
            Value.oneOf(
                    "rest",
                    "stock of the last sheet",
                    new Constants<>(
                            List.of(false, true),
                            around -> around ? "around" : "same",
                            around -> around ? "round the rest" : "same"),
                    SheetChoices::restAround,
                    SheetChoices::withRestAround);

    public static final Value<SheetChoices> WIDTH =
            size("width", "width of the stock", SheetChoices::width, Stock::wide);
    public static final Value<SheetChoices> HEIGHT =
            size("height", "height of the stock", SheetChoices::height, Stock::high);

    public static final Value<SheetChoices> ALLOWANCE =
            Value.number(
                            "allowance",
                            "allowance",
                            Value.<SheetChoices>between(0, 1000),
                            SheetChoices::allowance,
                            (s, mm) -> s.withStock(s.stock().left(or(mm, USUAL.allowance()))))
                    .label("Allowance", "mm");

    public static final Value<SheetChoices> ZERO_OF =
            Value.oneOf(
                    "zeroOf",
                    "owner of the zero point",
                    lowerCase(
                            ZeroOf.values(),
                            of -> of == ZeroOf.STOCK ? "the stock" : "the first part"),
                    SheetChoices::zeroOf,
                    (s, of) -> s.withZero(or(of, USUAL.zeroOf()), s.anchor()));

    public static final Value<SheetChoices> ANCHOR =
            Value.oneOf(
                    "anchor",
                    "zero point",
                    lowerCase(Anchor.values(), at -> lower(at).replace('_', ' ')),
                    SheetChoices::anchor,
                    (s, at) -> s.withZero(s.zeroOf(), or(at, USUAL.anchor())));

    public static final Value<SheetChoices> TURN =
            Value.number(
                            "turn",
                            "turn of the part",
                            Value.<SheetChoices>between(-360, 360),
                            SheetChoices::turn,
                            (s, degrees) -> s.withGrid(s.grid().turned(or(degrees, USUAL.turn()))))
                    .label("Turn", "°");

    // a number that is not whole is kept, and the sheet says what is wrong with it
    public static final Value<SheetChoices> ROWS =
            grid("rows", "number of rows", 1, SheetChoices::rows, Grid::inRows).label("Rows", "");
    public static final Value<SheetChoices> COLUMNS =
            grid("columns", "number of columns", 1, SheetChoices::columns, Grid::inColumns)
                    .label("Columns", "");
    public static final Value<SheetChoices> GAP =
            grid("gap", "gap", 0, SheetChoices::gap, Grid::apart).label("Gap", "mm");
    public static final Value<SheetChoices> MARGIN =
            grid("margin", "margin", 0, SheetChoices::margin, Grid::inside).label("Margin", "mm");

    public static final Value<SheetChoices> MIRRORED =
            Value.yesOrNo(
                    "mirrored",
                    "mirrored columns",
                    List.of(new Word("true", "every second"), new Word("false", "none")),
                    SheetChoices::mirrored,
                    (s, yes) -> s.withGrid(s.grid().mirrored(or(yes, USUAL.mirrored()))));

    public static final Value<SheetChoices> COMMON_LINES =
            Value.yesOrNo(
                    "commonLines",
                    "common lines",
                    List.of(new Word("true", "a kerf apart"), new Word("false", "none")),
                    SheetChoices::commonLines,
                    (s, yes) -> s.withCommonLines(or(yes, USUAL.commonLines())));

    public static final Value<SheetChoices> HELD_AT =
            Value.oneOf(
                    "heldAt",
                    "held edge",
                    lowerCase(
                            HeldEdge.values(),
                            edge -> edge == HeldEdge.NONE ? "nowhere" : lower(edge) + " edge"),
                    SheetChoices::heldAt,
                    SheetChoices::withHeldAt);

    public static final Value<SheetChoices> KEEP_OUT =
            Value.text(
                    "keepOut",
                    "clamps",
                    s -> KeepOutText.write(s.keepOut()),
                    (s, entry) -> s.withKeepOut(KeepOutText.read(entry)));

    public static final List<Value<SheetChoices>> ALL =
            List.of(
                    STOCK,
                    REST,
                    WIDTH,
                    HEIGHT,
                    ALLOWANCE,
                    ZERO_OF,
                    ANCHOR,
                    TURN,
                    ROWS,
                    COLUMNS,
                    GAP,
                    MARGIN,
                    MIRRORED,
                    COMMON_LINES,
                    HELD_AT,
                    KEEP_OUT);

    /** Of one sheet; more are a mistake of typing. */
    private static final int MOST = 5_000;

    private static final String PART = "parts.";

    private BedValues() {}

    /** The value with a word; those of single parts too. */
    public static Optional<Value<SheetChoices>> find(String word) {
        return word.startsWith(PART)
                ? Optional.of(ofPart(word.substring(PART.length())))
                : Value.find(ALL, word);
    }

    /**
     * Looks whether a value with a word can be set for a drawing.
     *
     * @throws ValueException when it is of a part that the drawing does not have
     */
    public static void requirePart(String word, Reading reading) {
        List<String> known = reading.parts().stream().map(Part::id).toList();
        String id = word.startsWith(PART) ? word.substring(PART.length()) : "";
        if (word.startsWith(PART) && !known.contains(id)) {
            throw new ValueException(
                    "The drawing has no part \"%s\"; it has %s."
                            .formatted(id, known.isEmpty() ? "none" : String.join(", ", known)));
        }
    }

    /** How many of a part are wanted; where it is not set, as many as of the drawing. */
    public static Value<SheetChoices> ofPart(String id) {
        return Value.number(
                        PART + id,
                        "quantity of " + PartRef.within(id),
                        Value.<SheetChoices>wholeBetween(0, MOST),
                        s -> Optional.ofNullable(s.parts().get(id)).map(Typed::of).orElse(null),
                        (s, n) -> s.withParts(changed(s.parts(), id, n)))
                .label(PartRef.label(id), "");
    }

    private static Map<String, Integer> changed(
            Map<String, Integer> parts, String id, Typed wanted) {
        Map<String, Integer> changed = new TreeMap<>(parts);
        if (wanted == null) {
            changed.remove(id);
        } else {
            changed.put(id, (int) wanted.value());
        }
        return changed;
    }

    private static Value<SheetChoices> size(
            String word,
            String name,
            Function<SheetChoices, Typed> get,
            BiFunction<Stock, Typed, Stock> with) {
        return Value.number(
                        word,
                        name,
                        Value.<SheetChoices>between(1, LARGEST),
                        get,
                        (s, mm) -> s.withStock(with.apply(s.stock(), mm)))
                .label(word.equals("width") ? "Width" : "Height", "mm");
    }

    private static Value<SheetChoices> grid(
            String word,
            String name,
            double least,
            Function<SheetChoices, Typed> get,
            BiFunction<Grid, Typed, Grid> with) {
        return Value.number(
                word,
                name,
                Value.<SheetChoices>between(least, LARGEST),
                get,
                (s, typed) -> s.withGrid(with.apply(s.grid(), typed)));
    }

    private static <E extends Enum<E>> Constants<E> lowerCase(
            E[] all, Function<E, String> labelOf) {
        return new Constants<>(List.of(all), BedValues::lower, labelOf);
    }

    private static String lower(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT);
    }

    private static <V> V or(V set, V usual) {
        return set == null ? usual : set;
    }
}
