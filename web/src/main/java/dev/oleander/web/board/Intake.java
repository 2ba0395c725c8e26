package dev.oleander.web.board;

import dev.oleander.machine.CutBook;
import dev.oleander.machine.CutRow;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.machine.WireBook;
import dev.oleander.machine.WireRow;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.book.CutBooks;
import dev.oleander.web.book.WireBooks;
import java.util.List;

/** Choices for new jobs: the machines with what their cut books know. */
public record Intake(List<MachineChoice> machines) {

    /** A machine and its materials. */
    public record MachineChoice(String id, String name, List<MaterialChoice> materials) {}

    /** A material and the thicknesses the book has, mm. */
    public record MaterialChoice(String name, List<String> thicknesses) {}

    static Intake of(MachineLibrary library, CutBooks books, WireBooks wires) {
        return new Intake(
                library.machines().stream()
                        .map(m -> m.hasWire() ? choice(wires.of(m), m) : choice(books.of(m), m))
                        .toList());
    }

    private static MachineChoice choice(CutBook book, Machine machine) {
        List<CutRow> rows = book.rows();
        List<MaterialChoice> materials =
                book.materials().stream()
                        .map(
                                name ->
                                        new MaterialChoice(
                                                name,
                                                rows.stream()
                                                        .filter(r -> r.material().equals(name))
                                                        .mapToDouble(CutRow::thickness)
                                                        .distinct()
                                                        .sorted()
                                                        .mapToObj(t -> Numbers.plain(t, 2))
                                                        .toList()))
                        .toList();
        return new MachineChoice(machine.id(), machine.name(), materials);
    }

    private static MachineChoice choice(WireBook book, Machine machine) {
        List<MaterialChoice> materials =
                book.materials().stream()
                        .map(
                                name ->
                                        new MaterialChoice(
                                                name,
                                                book.rows().stream()
                                                        .filter(r -> r.material().equals(name))
                                                        .mapToDouble(WireRow::height)
                                                        .distinct()
                                                        .sorted()
                                                        .mapToObj(t -> Numbers.plain(t, 2))
                                                        .toList()))
                        .toList();
        return new MachineChoice(machine.id(), machine.name(), materials);
    }
}
