package dev.oleander.web.book;

import dev.oleander.book.BookRow;
import dev.oleander.book.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes down what was changed of cut books, by whom and when. */
@Component
class BookJournal {

    private static final int LONGEST_NOTE = 200;

    private final BookChangeRepository changes;
    private final AccountRepository accounts;
    private final Clock clock;

    BookJournal(BookChangeRepository changes, AccountRepository accounts, Clock clock) {
        this.changes = changes;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Changes with every change of any book. */
    long version() {
        return changes.version();
    }

    /** Of a machine, the earliest first. */
    List<BookChange> of(Machine machine) {
        return changes.ofMachine(machine.id());
    }

    /** What was changed, for people, the latest first. */
    List<Change> history(Machine machine) {
        List<Change> all = new ArrayList<>();
        for (BookChange change : of(machine)) {
            all.add(0, Change.of(change));
        }
        return all;
    }

    /**
     * Nothing is written when nothing changed.
     *
     * @param before null when there was nothing
     * @param after null when it was taken away
     */
    void write(
            Machine machine,
            String subject,
            Object before,
            Object after,
            String note,
            SignedIn who) {
        String old = json(before);
        String now = json(after);
        if (now != null && now.equals(old)) {
            return;
        }
        changes.save(
                new BookChange(
                        machine.id(),
                        subject,
                        old,
                        now,
                        note.length() > LONGEST_NOTE ? note.substring(0, LONGEST_NOTE) : note,
                        accounts.getReferenceById(who.id()),
                        clock.instant()));
    }

    /**
     * Writes down that a row is taken away.
     *
     * @throws CutDataException when there is none with the id, or it is the last one
     */
    void takeAway(Shelf shelf, List<? extends BookRow> rows, String id, SignedIn who) {
        BookRow row =
                rows.stream()
                        .filter(r -> r.id().equals(id))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new CutDataException(
                                                "%s has no row \"%s\"."
                                                        .formatted(shelf.machine().name(), id)));
        if (rows.size() == 1) {
            throw new CutDataException("The last row of a cut book stays.");
        }
        write(shelf.machine(), shelf.subject(id), row, null, "taken away", who);
    }

    private static String json(Object value) {
        return value == null ? null : JsonMapper.shared().writeValueAsString(value);
    }
}
