package dev.oleander.web.book;

import dev.oleander.machine.Book;
import dev.oleander.machine.BookRow;
import dev.oleander.machine.Machine;
import dev.oleander.web.account.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.transaction.annotation.Transactional;

/**
 * Books of one kind: as they ship, with what the journal says was changed of them.
 *
 * @param <B> the book
 * @param <R> its row
 */
abstract class JournalledBooks<B extends Book, R extends BookRow> implements KeptBook {

    private final BookJournal journal;

    /** Books by machine, each with the version it was made of. */
    private final Map<String, Versioned<B>> books = new ConcurrentHashMap<>();

    private record Versioned<B>(long version, B book) {}

    JournalledBooks(BookJournal journal) {
        this.journal = journal;
    }

    BookJournal journal() {
        return journal;
    }

    /** The book that ships; of a machine of another kind it has no rows. */
    abstract B shipped(Machine machine);

    abstract B applied(B book, BookChange change);

    /**
     * @throws dev.oleander.machine.CutDataException when rows of this book cannot be changed
     */
    abstract List<R> changeable(Machine machine);

    abstract B with(B book, R row);

    /** The same row with another id. */
    abstract R named(R row, String id);

    abstract List<R> read(String csv);

    abstract String written(B book);

    @Override
    @Transactional(readOnly = true)
    public B of(Machine machine) {
        long version = journal.version();
        Versioned<B> known = books.get(machine.id());
        if (known == null || known.version() != version) {
            known = new Versioned<>(version, made(machine));
            books.put(machine.id(), known);
        }
        return known.book();
    }

    private B made(Machine machine) {
        B book = shipped(machine);
        if (keeps(machine)) {
            for (BookChange change : journal.of(machine)) {
                book = applied(book, change);
            }
        }
        return book;
    }

    /** Puts rows into a book, or in the place of those with their ids: all or none. */
    void keep(Machine machine, List<R> rows, String note, SignedIn who) {
        Map<String, R> before =
                changeable(machine).stream()
                        .collect(Collectors.toMap(BookRow::id, Function.identity()));
        B book = of(machine);
        for (R row : rows) {
            book = with(book, row);
            journal.write(machine, row.id(), before.get(row.id()), row, note, who);
        }
    }

    @Override
    @Transactional
    public void delete(Machine machine, String id, SignedIn who) {
        journal.takeAway(machine, changeable(machine), BookRow::id, id, who);
    }

    @Override
    @Transactional
    public int load(Machine machine, String csv, String note, SignedIn who) {
        List<R> there = changeable(machine);
        List<R> rows = new ArrayList<>();
        for (R row : read(csv)) {
            Optional<R> same =
                    there.stream().filter(r -> r.label().equals(row.label())).findFirst();
            rows.add(same.map(s -> named(row, s.id())).orElse(row));
        }
        keep(machine, rows, note, who);
        return rows.size();
    }

    @Override
    @Transactional(readOnly = true)
    public String csv(Machine machine) {
        return written(of(machine));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Change> history(Machine machine) {
        return journal.history(machine);
    }
}
