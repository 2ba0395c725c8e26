package dev.oleander.web.job.document;

import dev.oleander.machine.HeldEdge;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetChoices.Anchor;
import dev.oleander.plan.bed.SheetChoices.Grid;
import dev.oleander.plan.bed.SheetChoices.Stock;
import dev.oleander.plan.bed.SheetChoices.ZeroOf;
import dev.oleander.quantity.Typed;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** A value of the sheet that people set. Lengths mm, angles degrees; empty text is no value. */
public enum SheetField implements EditField {
    STOCK(
            "stock",
            "kind of stock",
            stock((s, t) -> around(s, t.isBlank() ? null : t.equals("around")))),
    WIDTH("width", "width of the stock", stock(SheetField::width)),
    HEIGHT("height", "height of the stock", stock(SheetField::height)),
    ALLOWANCE("allowance", "allowance", stock(SheetField::allowance)),
    ZERO_OF("zeroOf", "zero point", (s, t) -> s.withZero(zeroOf(t), s.anchor())),
    ANCHOR("anchor", "zero point", (s, t) -> s.withZero(s.zeroOf(), anchor(t))),
    TURN("turn", "turn of the part", grid(SheetField::turn)),
    ROWS("rows", "rows", grid(SheetField::rows)),
    COLUMNS("columns", "columns", grid(SheetField::columns)),
    GAP("gap", "gap", grid(SheetField::gap)),
    MARGIN("margin", "margin", grid(SheetField::margin)),
    MIRRORED("mirrored", "mirrored columns", grid(SheetField::mirrored)),
    COMMON_LINES("commonLines", "common lines", (s, t) -> s.withCommonLines(t.equals("true"))),
    HELD_AT("heldAt", "held edge", (s, t) -> s.withHeldAt(heldAt(t))),
    KEEP_OUT("keepOut", "clamps", (s, t) -> s.withKeepOut(KeepOutText.read(t)));

    private static final double LARGEST = 20_000;

    private final String word;
    private final String label;
    private final BiFunction<SheetChoices, String, SheetChoices> setter;

    SheetField(String word, String label, BiFunction<SheetChoices, String, SheetChoices> setter) {
        this.word = word;
        this.label = label;
        this.setter = setter;
    }

    @Override
    public String word() {
        return word;
    }

    @Override
    public String label() {
        return label;
    }

    /**
     * @throws dev.oleander.quantity.FormulaException when the text is no number or out of limits
     * @throws RefusedEditException when it is none of the words there are
     */
    public SheetChoices set(SheetChoices sheet, String text) {
        return setter.apply(sheet, text);
    }

    public static Optional<SheetField> ofWord(String word) {
        return EditField.ofWord(values(), word);
    }

    private static BiFunction<SheetChoices, String, SheetChoices> stock(
            BiFunction<Stock, String, Stock> change) {
        return (sheet, text) -> sheet.withStock(change.apply(sheet.stock(), text));
    }

    private static BiFunction<SheetChoices, String, SheetChoices> grid(
            BiFunction<Grid, String, Grid> change) {
        return (sheet, text) -> sheet.withGrid(change.apply(sheet.grid(), text));
    }

    private static Stock around(Stock s, Boolean aroundPart) {
        return new Stock(aroundPart, s.width(), s.height(), s.allowance());
    }

    private static Stock width(Stock s, String text) {
        Typed width = sizeOrUsual("The width", text);
        return new Stock(s.aroundPart(), width, s.height(), s.allowance());
    }

    private static Stock height(Stock s, String text) {
        Typed height = sizeOrUsual("The height", text);
        return new Stock(s.aroundPart(), s.width(), height, s.allowance());
    }

    private static Stock allowance(Stock s, String text) {
        Typed allowance =
                text.isBlank()
                        ? SheetChoices.usual().allowance()
                        : number("The allowance", text, 0, 1000);
        return new Stock(s.aroundPart(), s.width(), s.height(), allowance);
    }

    private static Grid turn(Grid g, String text) {
        Typed turn =
                text.isBlank()
                        ? SheetChoices.usual().grid().turn()
                        : number("The turn", text, -360, 360);
        return new Grid(turn, g.rows(), g.columns(), g.gap(), g.margin(), g.mirrored());
    }

    private static Grid rows(Grid g, String text) {
        Typed rows = optional("Rows", text, 1);
        return new Grid(g.turn(), rows, g.columns(), g.gap(), g.margin(), g.mirrored());
    }

    private static Grid columns(Grid g, String text) {
        Typed columns = optional("Columns", text, 1);
        return new Grid(g.turn(), g.rows(), columns, g.gap(), g.margin(), g.mirrored());
    }

    private static Grid gap(Grid g, String text) {
        Typed gap = optional("The gap", text, 0);
        return new Grid(g.turn(), g.rows(), g.columns(), gap, g.margin(), g.mirrored());
    }

    private static Grid margin(Grid g, String text) {
        Typed margin = optional("The margin", text, 0);
        return new Grid(g.turn(), g.rows(), g.columns(), g.gap(), margin, g.mirrored());
    }

    private static Grid mirrored(Grid g, String text) {
        boolean mirrored = text.equals("true");
        return new Grid(g.turn(), g.rows(), g.columns(), g.gap(), g.margin(), mirrored);
    }

    private static Typed number(String what, String text, double least, double most) {
        return Typed.parse(text, Map.of()).within(what, least, most);
    }

    private static Typed sizeOrUsual(String what, String text) {
        return text.isBlank() ? null : number(what, text, 1, LARGEST);
    }

    private static Typed optional(String what, String text, double least) {
        return text.isBlank() ? null : number(what, text, least, LARGEST);
    }

    private static ZeroOf zeroOf(String text) {
        return text.isBlank() ? SheetChoices.usual().zeroOf() : word(ZeroOf.class, text);
    }

    private static Anchor anchor(String text) {
        return text.isBlank() ? SheetChoices.usual().anchor() : word(Anchor.class, text);
    }

    private static HeldEdge heldAt(String text) {
        return text.isBlank() ? null : word(HeldEdge.class, text);
    }

    private static <E extends Enum<E>> E word(Class<E> type, String text) {
        return Arrays.stream(type.getEnumConstants())
                .filter(e -> e.name().equalsIgnoreCase(text))
                .findFirst()
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is not one of the choices.".formatted(text)));
    }
}
