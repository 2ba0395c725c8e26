package dev.oleander.web.book;

import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.account.SignedIn;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutBookCsv;
import dev.oleander.work.sheet.book.CutField;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.book.CutRowText;
import dev.oleander.work.sheet.book.CutTable;
import dev.oleander.work.sheet.book.WaterjetBook;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Cut books of sheets that ship, with what the shop has changed of them. */
@Service
public class CutBooks extends JournalledBooks<CutBook, CutRow> {

    private final MachineLibrary machines;

    /** A machinability that a test cut showed. */
    record Calibration(double machinability, double thickness, String quality, double feed) {}

    CutBooks(MachineLibrary machines, BookJournal journal) {
        super(journal);
        this.machines = machines;
    }

    @Override
    public boolean keeps(Machine machine) {
        return SheetCutting.SHEET.does(machine);
    }

    @Override
    CutBook shipped(Machine machine) {
        return (CutBook) machines.book(machine);
    }

    @Override
    CutBook applied(CutBook book, BookChange change) {
        if (book instanceof WaterjetBook waterjet) {
            Calibration found = JsonMapper.shared().readValue(change.after(), Calibration.class);
            return waterjet.with(change.subject(), found.machinability());
        }
        CutTable table = (CutTable) book;
        return change.after() == null
                ? table.without(change.subject())
                : table.with(JsonMapper.shared().readValue(change.after(), CutRow.class));
    }

    @Override
    List<CutRow> changeable(Machine machine) {
        if (of(machine) instanceof CutTable table) {
            return table.rows();
        }
        throw new CutDataException(
                "The data of %s are computed; only machinability can be changed."
                        .formatted(machine.name()));
    }

    @Override
    CutBook with(CutBook book, CutRow row) {
        return ((CutTable) book).with(row);
    }

    @Override
    CutRow named(CutRow row, String id) {
        return CutRowText.read(id, CutRowText.write(row));
    }

    @Override
    List<CutRow> read(String csv) {
        return new CutBookCsv().read(csv);
    }

    @Override
    String written(CutBook book) {
        return new CutBookCsv().write(book.rows());
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
        keep(machine, List.of(row), note, who);
        return row;
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
        journal()
                .write(
                        machine,
                        material,
                        Map.of("machinability", before),
                        new Calibration(found, thickness, quality, feed),
                        "test cut of %s mm, %s, at %s mm/min"
                                .formatted(
                                        Numbers.plain(thickness, 2),
                                        quality,
                                        Numbers.plain(feed, 1)),
                        who);
        return found;
    }
}
