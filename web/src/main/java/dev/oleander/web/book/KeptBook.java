package dev.oleander.web.book;

import dev.oleander.machine.Book;
import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.web.account.SignedIn;
import java.util.List;

/** Cut books of some kind of machine, as the shop keeps them. */
public interface KeptBook {

    /** Whether it keeps the book of a machine. */
    boolean keeps(Machine machine);

    /** The book of a machine as it is now. */
    Book of(Machine machine);

    /** The whole book of a machine as CSV. */
    String csv(Machine machine);

    /**
     * Rows of a file: those for the same as a row that there is take its place, the others come
     * new. All or nothing.
     *
     * @return how many rows the file has
     * @throws CutDataException naming the line and what is wrong
     */
    int load(Machine machine, String csv, String note, SignedIn who);

    /**
     * Takes a row away.
     *
     * @throws CutDataException when there is none, or it is the last of its machine
     */
    void delete(Machine machine, String id, SignedIn who);

    /** What was changed, the latest first. */
    List<Change> history(Machine machine);
}
