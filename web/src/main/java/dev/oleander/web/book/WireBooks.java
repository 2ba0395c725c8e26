package dev.oleander.web.book;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.book.WireBookCsv;
import dev.oleander.work.wire.book.WireDataField;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.book.WireRowText;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Books of wire machines that ship, with what the shop has changed of them. */
@Service
public class WireBooks extends JournalledBooks<WireBook, WireRow> {

    private final MachineLibrary machines;

    WireBooks(MachineLibrary machines, BookJournal journal) {
        super(journal);
        this.machines = machines;
    }

    @Override
    public boolean keeps(Machine machine) {
        return WireCutting.WIRE.does(machine);
    }

    @Override
    WireBook shipped(Machine machine) {
        return (WireBook) machines.book(machine);
    }

    @Override
    WireBook applied(WireBook book, BookChange change) {
        return change.after() == null
                ? book.without(change.subject())
                : book.with(JsonMapper.shared().readValue(change.after(), WireRow.class));
    }

    @Override
    List<WireRow> changeable(Machine machine) {
        return of(machine).rows();
    }

    @Override
    WireBook with(WireBook book, WireRow row) {
        return book.with(row);
    }

    @Override
    WireRow named(WireRow row, String id) {
        return WireRowText.read(id, WireRowText.write(row));
    }

    @Override
    List<WireRow> read(String csv) {
        return new WireBookCsv().read(csv);
    }

    @Override
    String written(WireBook book) {
        return new WireBookCsv().write(book.rows());
    }

    /**
     * Puts a row into the book, or in the place of the one with its id.
     *
     * @param id empty for a new row
     * @param passes values of each pass, the rough one first
     * @throws dev.oleander.machine.CutDataException when a value is not usable or the row is there
     *     already
     */
    @Transactional
    public WireRow save(
            Machine machine,
            String id,
            List<Map<WireDataField, String>> passes,
            String note,
            SignedIn who) {
        WireRow row = WireRowText.read(id, passes);
        keep(machine, List.of(row), note, who);
        return row;
    }
}
