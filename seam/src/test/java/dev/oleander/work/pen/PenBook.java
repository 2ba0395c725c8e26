package dev.oleander.work.pen;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookRow;
import dev.oleander.book.BookTable;
import java.util.Comparator;
import java.util.List;

/** Pens by the material they draw on. */
record PenBook(String machine, List<Row> rows) implements BookTable<PenBook.Row, PenBook> {

    private static final BookField<Row> MATERIAL =
            BookField.text("material", "Material", Row::material);
    private static final BookField<Row> THICKNESS =
            BookField.above0("thickness", "Thickness", "mm", 10, Row::thickness);
    private static final BookField<Row> SPEED =
            BookField.above0("speed", "Speed", "mm/min", 100_000, Row::speed);
    private static final BookField<Row> WIDTH =
            BookField.above0("width", "Width", "mm", 10, Row::width);

    private static final BookForm<Row> FORM =
            BookForm.of(
                    Row.class,
                    List.of(MATERIAL, THICKNESS, SPEED, WIDTH),
                    List.of(MATERIAL),
                    given ->
                            new Row(
                                    given.id(),
                                    given.text(MATERIAL),
                                    given.number(THICKNESS),
                                    given.number(SPEED),
                                    given.number(WIDTH)));

    /** A pen: how fast it draws, mm/min, and how wide, mm. */
    record Row(String id, String material, double thickness, double speed, double width)
            implements BookRow {

        @Override
        public String label() {
            return material;
        }
    }

    @Override
    public List<String> words() {
        return List.of();
    }

    @Override
    public BookForm<Row> form() {
        return FORM;
    }

    @Override
    public PenBook of(List<Row> others) {
        return new PenBook(machine, others);
    }

    @Override
    public Comparator<Row> order(List<Row> all) {
        return Comparator.comparing(Row::material);
    }
}
