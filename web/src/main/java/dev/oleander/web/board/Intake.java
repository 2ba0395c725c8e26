package dev.oleander.web.board;

import dev.oleander.book.Book;
import dev.oleander.book.BookRow;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.book.Books;
import java.util.List;

/** Choices for new jobs: the machines with what their cut books know. */
public record Intake(List<MachineChoice> machines) {

    /** A machine and its materials. */
    public record MachineChoice(String id, String name, List<MaterialChoice> materials) {}

    /** A material and the thicknesses the book has, mm. */
    public record MaterialChoice(String name, List<String> thicknesses) {}

    static Intake of(MachineLibrary library, Books books) {
        return new Intake(library.machines().stream().map(m -> choice(m, books.of(m))).toList());
    }

    private static MachineChoice choice(Machine machine, Book<?> book) {
        return new MachineChoice(
                machine.id(),
                machine.name(),
                book.materials().stream()
                        .map(name -> new MaterialChoice(name, thicknesses(book, name)))
                        .toList());
    }

    private static List<String> thicknesses(Book<?> book, String material) {
        return book.rows().stream()
                .filter(r -> r.material().equals(material))
                .mapToDouble(BookRow::thickness)
                .distinct()
                .sorted()
                .mapToObj(t -> Numbers.plain(t, 2))
                .toList();
    }
}
