package dev.oleander.work.router.book;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import java.util.List;

/** The values of a row of data for tools. */
final class ToolFields {

    private static final BookField<ToolRow> KIND = BookField.text("kind", "Tool", ToolRow::kind);
    private static final BookField<ToolRow> DIAMETER =
            BookField.above0("diameter", "Diameter", "mm", 400, ToolRow::diameter);
    private static final BookField<ToolRow> MATERIAL =
            BookField.text("material", "Material", ToolRow::material);
    private static final BookField<ToolRow> SPEED =
            BookField.above0("cuttingSpeed", "Cutting speed", "m/min", 5000, ToolRow::cuttingSpeed);
    private static final BookField<ToolRow> CHIP =
            BookField.above0("chip", "Chip", "mm/tooth", 5, ToolRow::chip);
    private static final BookField<ToolRow> CHIP_LEAST =
            BookField.from0("chipLeast", "Least chip", "mm/tooth", 5, ToolRow::chipLeast);
    private static final BookField<ToolRow> CHIP_MOST =
            BookField.above0("chipMost", "Most chip", "mm/tooth", 5, ToolRow::chipMost);
    private static final BookField<ToolRow> PLUNGE =
            BookField.above0("plungeChip", "Plunge chip", "mm/tooth", 5, ToolRow::plungeChip);
    private static final BookField<ToolRow> DOWN =
            BookField.above0("stepDown", "Step down", "D", 5, ToolRow::stepDown);
    private static final BookField<ToolRow> OVER =
            BookField.above0("stepOver", "Step-over", "D", 1, ToolRow::stepOver);
    private static final BookField<ToolRow> PECK =
            BookField.from0("peck", "Peck", "mm", 200, ToolRow::peck);
    private static final BookField<ToolRow> FORCE =
            BookField.above0("kc", "Force", "N/mm²", 10_000, ToolRow::kc);

    static final BookForm<ToolRow> FORM =
            BookForm.of(
                    ToolRow.class,
                    List.of(
                            KIND,
                            DIAMETER,
                            MATERIAL,
                            SPEED,
                            CHIP,
                            CHIP_LEAST,
                            CHIP_MOST,
                            PLUNGE,
                            DOWN,
                            OVER,
                            PECK,
                            FORCE),
                    List.of(KIND, DIAMETER, MATERIAL),
                    ToolFields::row);

    private ToolFields() {}

    private static ToolRow row(BookForm.Given given) {
        return new ToolRow(
                given.id(),
                given.text(KIND),
                given.number(DIAMETER),
                given.text(MATERIAL),
                given.number(SPEED),
                given.number(CHIP),
                given.number(CHIP_LEAST),
                given.number(CHIP_MOST),
                given.number(PLUNGE),
                given.number(DOWN),
                given.number(OVER),
                given.number(PECK),
                given.number(FORCE),
                false);
    }
}
