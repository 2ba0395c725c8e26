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
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.DoubleStream;

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
        return choice(
                machine,
                book.materials(),
                name ->
                        book.rows().stream()
                                .filter(r -> r.material().equals(name))
                                .mapToDouble(CutRow::thickness));
    }

    private static MachineChoice choice(WireBook book, Machine machine) {
        return choice(
                machine,
                book.materials(),
                name ->
                        book.rows().stream()
                                .filter(r -> r.material().equals(name))
                                .mapToDouble(WireRow::height));
    }

    private static MachineChoice choice(
            Machine machine, List<String> materials, Function<String, DoubleStream> sizes) {
        List<MaterialChoice> choices = new ArrayList<>();
        for (String name : materials) {
            choices.add(
                    new MaterialChoice(
                            name,
                            sizes.apply(name)
                                    .distinct()
                                    .sorted()
                                    .mapToObj(t -> Numbers.plain(t, 2))
                                    .toList()));
        }
        return new MachineChoice(machine.id(), machine.name(), choices);
    }
}
