package dev.oleander.web.book;

import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutBookCsv;
import dev.oleander.machine.CutDataException;
import dev.oleander.machine.CutField;
import dev.oleander.machine.CutRow;
import dev.oleander.machine.CutRowText;
import dev.oleander.machine.CutTable;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.machine.WaterjetBook;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.account.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The cut books that ship, with what the shop has changed of them. */
@Service
public class CutBooks implements KeptBook {

    private final MachineLibrary machines;
    private final BookJournal journal;

    /** Books by machine, each with the version it was made of. */
    private final Map<String, Versioned> books = new ConcurrentHashMap<>();

    private record Versioned(long version, CutBook book) {}

    /** A machinability that a test cut showed. */
    record Calibration(double machinability, double thickness, String quality, double feed) {}

    CutBooks(MachineLibrary machines, BookJournal journal) {
        this.machines = machines;
        this.journal = journal;
    }

    /** Changes with every change of any book: what follows from books is as old as this says. */
    @Transactional(readOnly = true)
    public long version() {
        return journal.version();
    }

    @Override
    public boolean keeps(Machine machine) {
        return !machine.hasWire();
    }

    /** The book of a machine as it is now. */
    @Override
    @Transactional(readOnly = true)
    public CutBook of(Machine machine) {
        long version = journal.version();
        Versioned known = books.get(machine.id());
        if (known == null || known.version() != version) {
            known = new Versioned(version, made(machine));
            books.put(machine.id(), known);
        }
        return known.book();
    }

    private CutBook made(Machine machine) {
        CutBook book = machines.cutBook(machine);
        if (machine.hasWire()) {
            // its changes are those of the wire's book
            return book;
        }
        for (BookChange change : journal.of(machine)) {
            book = applied(book, change);
        }
        return book;
    }

    private static CutBook applied(CutBook book, BookChange change) {
        if (book instanceof WaterjetBook waterjet) {
            Calibration found = JsonMapper.shared().readValue(change.after(), Calibration.class);
            return waterjet.with(change.subject(), found.machinability());
        }
        CutTable table = (CutTable) book;
        return change.after() == null
                ? table.without(change.subject())
                : table.with(JsonMapper.shared().readValue(change.after(), CutRow.class));
    }

    /**
     * Puts a row into the book, or in the place of the one with its id.
     *
     * @param id empty for a new row
     * @throws CutDataException when a value is not usable or the row is there already
     */
    @Transactional
    public CutRow save(
            Machine machine, String id, Map<CutField, String> texts, String note, SignedIn who) {
        CutRow row = CutRowText.read(id, texts);
        keep(table(machine), machine, List.of(row), note, who);
        return row;
    }

    private CutTable table(Machine machine) {
        if (of(machine) instanceof CutTable table) {
            return table;
        }
        throw new CutDataException(
                "The data of %s are computed; only machinability can be changed."
                        .formatted(machine.name()));
    }

    private void keep(
            CutTable before, Machine machine, List<CutRow> rows, String note, SignedIn who) {
        CutTable book = before;
        for (CutRow row : rows) {
            book = book.with(row);
            CutRow old =
                    before.rows().stream()
                            .filter(r -> r.id().equals(row.id()))
                            .findFirst()
                            .orElse(null);
            journal.write(machine, row.id(), old, row, note, who);
        }
    }

    @Override
    @Transactional
    public void delete(Machine machine, String id, SignedIn who) {
        journal.takeAway(machine, table(machine).rows(), CutRow::id, id, who);
    }

    @Override
    @Transactional
    public int load(Machine machine, String csv, String note, SignedIn who) {
        CutTable table = table(machine);
        List<CutRow> rows = new ArrayList<>();
        for (CutRow read : new CutBookCsv().read(csv)) {
            Optional<CutRow> same =
                    table.rows().stream().filter(r -> r.label().equals(read.label())).findFirst();
            rows.add(
                    same.isEmpty()
                            ? read
                            : CutRowText.read(same.get().id(), CutRowText.write(read)));
        }
        keep(table, machine, rows, note, who);
        return rows.size();
    }

    @Override
    @Transactional(readOnly = true)
    public String csv(Machine machine) {
        return new CutBookCsv().write(of(machine).rows());
    }

    /**
     * Sets the machinability of a material by a test cut.
     *
     * @param feed mm/min at which the quality was just reached
     * @return the machinability
     * @throws CutDataException when a value is not usable
     */
    @Transactional
    public double calibrate(
            Machine machine,
            String material,
            double thickness,
            String quality,
            double feed,
            SignedIn who) {
        if (!(of(machine) instanceof WaterjetBook book)) {
            throw new CutDataException(
                    "%s has tabulated data; there is nothing to calibrate."
                            .formatted(machine.name()));
        }
        double found = book.calibrated(material, thickness, quality, feed);
        double before =
                book.waterjet().materials().stream()
                        .filter(m -> m.name().equals(material))
                        .findFirst()
                        .orElseThrow()
                        .machinability();
        journal.write(
                machine,
                material,
                Map.of("machinability", before),
                new Calibration(found, thickness, quality, feed),
                "test cut of %s mm, %s, at %s mm/min"
                        .formatted(Numbers.plain(thickness, 2), quality, Numbers.plain(feed, 1)),
                who);
        return found;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Change> history(Machine machine) {
        return journal.history(machine);
    }
}
