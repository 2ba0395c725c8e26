package dev.oleander.web.book;

import dev.oleander.machine.Book;
import dev.oleander.machine.Machine;
import java.util.List;
import org.springframework.stereotype.Component;

/** The books of all machines, whatever kind they are. */
@Component
public class Books {

    private final List<KeptBook> kept;
    private final BookJournal journal;

    Books(List<KeptBook> kept, BookJournal journal) {
        this.kept = kept;
        this.journal = journal;
    }

    /** Changes with every change of any book: what follows from books is as old as this says. */
    public long version() {
        return journal.version();
    }

    /** The book of a machine as it is now. */
    public Book of(Machine machine) {
        return keeperOf(machine).of(machine);
    }

    /** Who keeps the book of a machine. */
    public KeptBook keeperOf(Machine machine) {
        return kept.stream()
                .filter(k -> k.keeps(machine))
                .findFirst()
                .orElseThrow(
                        () -> new IllegalStateException("nobody keeps a book for " + machine.id()));
    }
}
