package dev.oleander.work.router.book;

import dev.oleander.book.BookField;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookTable;
import dev.oleander.book.CutDataException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Where the tools of a router stand; a position keeps its number. */
public record StationTable(String machine, List<Station> rows)
        implements BookTable<Station, StationTable> {

    /** What can turn a tool. */
    private static final List<String> UNITS = List.of("main", "bank", "side", "saw");

    private static final BookField<Station> POSITION =
            BookField.above0("position", "Position", "", 999, Station::position).whole();
    private static final BookField<Station> UNIT = BookField.text("unit", "Unit", Station::unit);
    private static final BookField<Station> TOOL =
            BookField.above0("tool", "Tool", "", 999, Station::tool).whole();
    private static final BookField<Station> USED =
            BookField.from0("used", "Used", "m", 1_000_000, Station::used);

    private static final BookForm<Station> FORM =
            BookForm.of(
                    Station.class,
                    List.of(POSITION, UNIT, TOOL, USED),
                    List.of(POSITION),
                    StationTable::read);

    public StationTable {
        rows = List.copyOf(rows);
    }

    private static Station read(BookForm.Given given) {
        int position = (int) given.number(POSITION);
        if (!given.id().equals(String.valueOf(position))) {
            throw new CutDataException(
                    "Position %s keeps its number; copy it to make position %d."
                            .formatted(given.id(), position));
        }
        String unit = given.text(UNIT);
        if (!UNITS.contains(unit)) {
            throw new CutDataException(
                    "The unit is \"%s\"; known are %s.".formatted(unit, String.join(", ", UNITS)));
        }
        return new Station(position, unit, (int) given.number(TOOL), given.number(USED));
    }

    /** Where a tool stands; empty when it stands nowhere. */
    public Optional<Station> of(int tool) {
        return rows.stream().filter(s -> s.tool() == tool).findFirst();
    }

    @Override
    public List<String> words() {
        return List.of();
    }

    @Override
    public BookForm<Station> form() {
        return FORM;
    }

    @Override
    public StationTable of(List<Station> others) {
        return new StationTable(machine, others);
    }

    /** By unit, then by position. */
    @Override
    public Comparator<Station> order(List<Station> all) {
        return Comparator.comparingInt((Station s) -> UNITS.indexOf(s.unit()))
                .thenComparingInt(Station::position);
    }
}
