package dev.oleander.web.book;

import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.machine.WireBook;
import dev.oleander.machine.WireBookCsv;
import dev.oleander.machine.WireDataField;
import dev.oleander.machine.WireRow;
import dev.oleander.machine.WireRowText;
import dev.oleander.web.account.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The cut books of wire machines that ship, with what the shop has changed of them. */
@Service
public class WireBooks implements KeptBook {

    private final MachineLibrary machines;
    private final BookJournal journal;

    /** Books by machine, each with the version it was made of. */
    private final Map<String, Versioned> books = new ConcurrentHashMap<>();

    private record Versioned(long version, WireBook book) {}

    WireBooks(MachineLibrary machines, BookJournal journal) {
        this.machines = machines;
        this.journal = journal;
    }

    @Override
    public boolean keeps(Machine machine) {
        return machine.hasWire();
    }

    /** The book of a machine as it is now; of one without a wire an empty one. */
    @Override
    @Transactional(readOnly = true)
    public WireBook of(Machine machine) {
        long version = journal.version();
        Versioned known = books.get(machine.id());
        if (known == null || known.version() != version) {
            known = new Versioned(version, made(machine));
            books.put(machine.id(), known);
        }
        return known.book();
    }

    private WireBook made(Machine machine) {
        WireBook book = machines.wireBook(machine);
        if (!machine.hasWire()) {
            return book;
        }
        for (BookChange change : journal.of(machine)) {
            book =
                    change.after() == null
                            ? book.without(change.subject())
                            : book.with(
                                    JsonMapper.shared().readValue(change.after(), WireRow.class));
        }
        return book;
    }

    /**
     * Puts a row into the book, or in the place of the one with its id.
     *
     * @param id empty for a new row
     * @param passes values of each pass, the rough one first
     * @throws CutDataException when a value is not usable or the row is there already
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

    private void keep(Machine machine, List<WireRow> rows, String note, SignedIn who) {
        WireBook before = of(machine);
        WireBook book = before;
        for (WireRow row : rows) {
            book = book.with(row);
            journal.write(machine, row.id(), before.row(row.id()).orElse(null), row, note, who);
        }
    }

    @Override
    @Transactional
    public void delete(Machine machine, String id, SignedIn who) {
        journal.takeAway(machine, of(machine).rows(), WireRow::id, id, who);
    }

    @Override
    @Transactional
    public int load(Machine machine, String csv, String note, SignedIn who) {
        WireBook book = of(machine);
        List<WireRow> rows = new ArrayList<>();
        for (WireRow read : new WireBookCsv().read(csv)) {
            Optional<WireRow> same =
                    book.rows().stream().filter(r -> r.label().equals(read.label())).findFirst();
            rows.add(
                    same.isEmpty()
                            ? read
                            : WireRowText.read(same.get().id(), WireRowText.write(read)));
        }
        keep(machine, rows, note, who);
        return rows.size();
    }

    @Override
    @Transactional(readOnly = true)
    public String csv(Machine machine) {
        return new WireBookCsv().write(of(machine).rows());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Change> history(Machine machine) {
        return journal.history(machine);
    }
}
