package dev.oleander.web.book;

import dev.oleander.book.Book;
import dev.oleander.book.BookFile;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookRow;
import dev.oleander.book.BookTable;
import dev.oleander.book.CutDataException;
import dev.oleander.book.RowText;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The books of all machines, whatever kind they are: as they ship, with what the journal says was
 * changed of them.
 */
@Service
public class Books {

    private final MachineLibrary machines;
    private final BookJournal journal;

    /** Books by machine, each with the version it was made of. */
    private final Map<String, Versioned> books = new ConcurrentHashMap<>();

    private record Versioned(long version, Book<?> book) {}

    Books(MachineLibrary machines, BookJournal journal) {
        this.machines = machines;
        this.journal = journal;
    }

    /** Changes with every change of any book: what follows from books is as old as this says. */
    public long version() {
        return journal.version();
    }

    /** The book of a machine as it is now. */
    @Transactional(readOnly = true)
    public Book<?> of(Machine machine) {
        long version = journal.version();
        Versioned known = books.get(machine.id());
        if (known == null || known.version() != version) {
            known = new Versioned(version, made(machine));
            books.put(machine.id(), known);
        }
        return known.book();
    }

    private Book<?> made(Machine machine) {
        Book<?> book = machines.book(machine);
        for (BookChange change : journal.of(machine)) {
            book = book.changed(change.subject(), change.json());
        }
        return book;
    }

    /**
     * One of the tables of a book as it is now.
     *
     * @throws CutDataException when its machine has none of the word
     */
    @Transactional(readOnly = true)
    public Book<?> of(Shelf shelf) {
        Book<?> book = of(shelf.machine());
        if (!shelf.isIn(book)) {
            throw new CutDataException(
                    "%s has no table \"%s\".".formatted(shelf.machine().name(), shelf.word()));
        }
        return shelf.in(book);
    }

    /** Its rows, where they can be changed. */
    private BookTable<?, ?> table(Shelf shelf) {
        Optional<? extends BookTable<?, ?>> table = of(shelf).table();
        if (table.isEmpty()) {
            throw new CutDataException(
                    "The data of %s are computed; its rows cannot be changed."
                            .formatted(shelf.machine().name()));
        }
        return table.get();
    }

    /**
     * Puts a row into a book, or in the place of the one with its id.
     *
     * @param id empty for a new row
     * @return its id
     * @throws CutDataException when a value is not usable, the row is there already, or the book
     *     has no rows to change
     */
    @Transactional
    public String save(Shelf shelf, String id, RowText text, String note, SignedIn who) {
        return save(shelf, table(shelf), id, text, new Reason(note, who));
    }

    /** Why something is changed, and by whom. */
    private record Reason(String note, SignedIn who) {}

    private <R extends BookRow, B extends BookTable<R, B>> String save(
            Shelf shelf, BookTable<R, B> book, String id, RowText text, Reason why) {
        R row = book.form().read(id, text);
        if (id.isEmpty() && book.row(row.id()).isPresent()) {
            throw new CutDataException(
                    "%s has %s already.".formatted(shelf.machine().name(), row.label()));
        }
        keep(shelf, book, List.of(row), why);
        return row.id();
    }

    /** Puts rows into a book, or in the place of those with their ids: all or none. */
    private <R extends BookRow, B extends BookTable<R, B>> void keep(
            Shelf shelf, BookTable<R, B> book, List<R> rows, Reason why) {
        Map<String, R> before =
                book.rows().stream().collect(Collectors.toMap(BookRow::id, Function.identity()));
        BookTable<R, B> changed = book;
        for (R row : rows) {
            changed = changed.with(row);
            journal.write(
                    shelf.machine(),
                    shelf.subject(row.id()),
                    before.get(row.id()),
                    row,
                    why.note(),
                    why.who());
        }
    }

    /**
     * Takes a row away.
     *
     * @throws CutDataException when there is none, or it is the last of its machine
     */
    @Transactional
    public void delete(Shelf shelf, String id, SignedIn who) {
        journal.takeAway(shelf, table(shelf).rows(), id, who);
    }

    /**
     * Rows of a file: those for the same as a row that there is take its place, the others come
     * new. All or nothing.
     *
     * @return how many rows the file has
     * @throws CutDataException naming the line and what is wrong
     */
    @Transactional
    public int load(Shelf shelf, String csv, String note, SignedIn who) {
        return load(shelf, table(shelf), csv, new Reason(note, who));
    }

    private <R extends BookRow, B extends BookTable<R, B>> int load(
            Shelf shelf, BookTable<R, B> book, String csv, Reason why) {
        BookForm<R> form = book.form();
        List<R> rows = new ArrayList<>();
        for (R row : new BookFile<>(form).read(csv)) {
            Optional<R> same =
                    book.rows().stream().filter(r -> r.label().equals(row.label())).findFirst();
            rows.add(same.map(s -> form.named(row, s.id())).orElse(row));
        }
        keep(shelf, book, rows, why);
        return rows.size();
    }

    /** A whole table as CSV. */
    @Transactional(readOnly = true)
    public String csv(Shelf shelf) {
        return csv(of(shelf));
    }

    private static <R extends BookRow> String csv(Book<R> book) {
        return new BookFile<>(book.form()).write(book.rows());
    }

    /**
     * Writes down a change of a book that is computed.
     *
     * @param subject what is changed
     * @param before what it was
     * @param after what the book understands as a change of the subject
     */
    @Transactional
    public void write(
            Machine machine,
            String subject,
            Object before,
            Object after,
            String note,
            SignedIn who) {
        journal.write(machine, subject, before, after, note, who);
    }

    /** What was changed, the latest first. */
    @Transactional(readOnly = true)
    public List<Change> history(Machine machine) {
        return journal.history(machine);
    }
}
