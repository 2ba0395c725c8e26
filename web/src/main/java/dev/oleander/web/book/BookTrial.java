package dev.oleander.web.book;

import dev.oleander.book.RowText;
import java.util.List;

/** Tells what a change of a book would change elsewhere, before it is made. */
public interface BookTrial {

    /** Whether it knows of a table. */
    boolean concerns(Shelf shelf);

    /**
     * What would change; nothing does.
     *
     * @param row that is changed; of a new one its id, empty where it is found
     * @param text values of the row as they are typed
     * @return a sentence for each thing that would; none: nothing would
     * @throws dev.oleander.book.CutDataException naming the value that is not usable
     */
    List<Consequence> wouldChange(Shelf shelf, String row, RowText text);

    /** Something that would change. */
    record Consequence(String link, String what, String sentence) {}
}
