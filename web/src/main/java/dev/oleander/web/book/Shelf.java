package dev.oleander.web.book;

import dev.oleander.book.Book;
import dev.oleander.machine.Machine;

/**
 * One of the tables of a machine's book.
 *
 * @param word of a table beside its data; empty: the data themselves
 */
public record Shelf(Machine machine, String word) {

    /** The data of a machine. */
    public static Shelf of(Machine machine) {
        return new Shelf(machine, "");
    }

    /** What a change of a row is written down under. */
    String subject(String row) {
        return word.isEmpty() ? row : word + ":" + row;
    }

    /** The table itself. */
    Book<?> in(Book<?> book) {
        return word.isEmpty() ? book : book.beside().get(word);
    }

    /** Whether a book has it. */
    boolean isIn(Book<?> book) {
        return word.isEmpty() || book.beside().containsKey(word);
    }

    /** Its address. */
    public String path() {
        return "/machines/" + machine.id() + (word.isEmpty() ? "" : "/" + word);
    }
}
