package dev.oleander.web.work.sheet;

import dev.oleander.book.Book;
import dev.oleander.book.BookForm;
import dev.oleander.machine.Machine;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.library.BookView;
import dev.oleander.work.Work;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.book.CutFields;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.book.WaterjetBook;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Component;

/** Cut data of sheets; of a waterjet with the equation that they are computed by. */
@Component
class SheetBookView implements BookView<CutRow> {

    @Override
    public Work<?, ?> kind() {
        return SheetCutting.SHEET;
    }

    @Override
    public String example() {
        return "steel 6 fine";
    }

    @Override
    public List<Figure> figures(Machine machine) {
        return List.of(
                new Figure("Rapid", Numbers.fixed(machine.motion().rapid(), 0) + " mm/min"),
                new Figure(
                        "Acceleration",
                        Numbers.fixed(machine.motion().acceleration(), 0) + " mm/s²"),
                new Figure("Path deviation", Numbers.plain(machine.pathDeviation(), 6) + " mm"));
    }

    @Override
    public List<Column<CutRow>> columns(BookForm<CutRow> form) {
        return List.of(
                number("Thickness mm", CutRow::thickness, 1),
                text("Quality", CutRow::quality),
                number("Kerf mm", CutRow::kerf, 2),
                number("Feed mm/min", CutRow::feed, 0),
                number("Pierce s", CutRow::pierceSeconds, 2),
                number("Smallest hole mm", CutRow::smallestHole, 1),
                number("Lead mm", CutRow::lead, 1),
                number("Pierce clearance mm", CutRow::pierceClearance, 1),
                number("Over-run mm", CutRow::overRun, 1),
                number(set(form), CutRow::power, 0),
                text("Gas", CutRow::gas),
                number("Pressure bar", CutRow::pressure, 2),
                text("Corners", row -> corner(row.corner())),
                number("Cost an hour", row -> row.cost().hour(), 2));
    }

    /** What the process sets: power, current, abrasive. */
    private static String set(BookForm<CutRow> form) {
        return form.fields().stream()
                .filter(f -> f.word().equals(CutFields.POWER.word()))
                .map(f -> f.label() + " " + f.unit())
                .findFirst()
                .orElseThrow();
    }

    private static Column<CutRow> text(String head, Function<CutRow, String> of) {
        return new Column<>(head, of);
    }

    private static Column<CutRow> number(String head, ToDoubleFunction<CutRow> of, int decimals) {
        return new Column<>(head, row -> Numbers.fixed(of.applyAsDouble(row), decimals));
    }

    private static String corner(CutRow.Corner corner) {
        return corner.share() < 1
                ? "%s %% over %s°"
                        .formatted(
                                Numbers.fixed(100 * corner.share(), 0),
                                Numbers.fixed(corner.over(), 0))
                : "as they are";
    }

    @Override
    public Optional<Part> part(Book<?> book) {
        return book instanceof WaterjetBook computed
                ? Optional.of(
                        new Part(
                                "work/sheet-book :: equation",
                                Map.of(
                                        "waterjet",
                                        computed.waterjet(),
                                        "qualities",
                                        computed.words())))
                : Optional.empty();
    }
}
