package dev.oleander.work.wire.book;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import java.util.List;

/** The values of a row of the cut book of a wire machine, and of each of its passes. */
final class WireFields {

    private static final BookField<WireRow> WIRE = BookField.text("wire", "Wire", WireRow::wire);
    private static final BookField<WireRow> WIRE_DIAMETER =
            BookField.above0("wireDiameter", "Diameter", "mm", 2, WireRow::wireDiameter);
    private static final BookField<WireRow> MATERIAL =
            BookField.text("material", "Material", WireRow::material);
    private static final BookField<WireRow> HEIGHT =
            BookField.above0("height", "Height", "mm", 400, WireRow::height);
    private static final BookField<WireRow> FINISH =
            BookField.text("finish", "Finish", WireRow::finish);

    private static final BookField<WirePass> GAP =
            BookField.above0("gap", "Gap", "mm", 1, WirePass::gap);
    private static final BookField<WirePass> STOCK =
            BookField.from0("stock", "Left", "mm", 1, WirePass::stock);
    private static final BookField<WirePass> REGISTER =
            BookField.<WirePass>from0("register", "Register", "", 999, WirePass::register).whole();
    private static final BookField<WirePass> CONDITION =
            BookField.<WirePass>from0("condition", "Condition", "", 9999, WirePass::condition)
                    .whole();
    private static final BookField<WirePass> RATE =
            BookField.above0("rate", "Rate", "mm²/min", 10_000, WirePass::rate);
    private static final BookField<WirePass> FLUSHING =
            BookField.from0("flushing", "Flushing", "bar", 100, WirePass::flushing);
    private static final BookField<WirePass> TENSION =
            BookField.above0("tension", "Tension", "N", 100, WirePass::tension);

    private static final int MOST_PASSES = 9;

    static final BookForm<WireRow> FORM =
            BookForm.of(
                            WireRow.class,
                            List.of(WIRE, WIRE_DIAMETER, MATERIAL, HEIGHT, FINISH),
                            List.of(WIRE, MATERIAL, HEIGHT, FINISH),
                            WireFields::row)
                    .withLines(
                            new BookForm.Lines<>(
                                    "pass",
                                    "Pass",
                                    "passes",
                                    MOST_PASSES,
                                    "The wire runs at half its diameter, gap and what is left for later passes from the profile. Empty a line to leave that pass out; fill the last one for another pass.",
                                    List.of(
                                            GAP, STOCK, REGISTER, CONDITION, RATE, FLUSHING,
                                            TENSION),
                                    WireRow::passes));

    private WireFields() {}

    private static WireRow row(BookForm.Given given) {
        return new WireRow(
                given.id(),
                given.text(WIRE),
                given.number(WIRE_DIAMETER),
                given.text(MATERIAL),
                given.number(HEIGHT),
                given.text(FINISH),
                false,
                given.lines(WireFields::pass));
    }

    private static WirePass pass(BookForm.Given given) {
        return new WirePass(
                given.number(GAP),
                given.number(STOCK),
                (int) given.number(REGISTER),
                (int) given.number(CONDITION),
                given.number(RATE),
                given.number(FLUSHING),
                given.number(TENSION));
    }
}
