package dev.oleander.work.wire.book;

import dev.oleander.book.BookForm;
import dev.oleander.book.BookTable;
import dev.oleander.book.ByThickness;
import dev.oleander.book.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** The cut book of a wire machine; between two heights it is interpolated. */
public record WireBook(String machine, List<WireRow> rows) implements BookTable<WireRow, WireBook> {

    public WireBook {
        rows = List.copyOf(rows);
    }

    @Override
    public BookForm<WireRow> form() {
        return WireFields.FORM;
    }

    @Override
    public WireBook of(List<WireRow> others) {
        return new WireBook(machine, others);
    }

    @Override
    public Comparator<WireRow> order(List<WireRow> all) {
        List<String> wires = all.stream().map(WireRow::wire).distinct().toList();
        List<String> materials = all.stream().map(WireRow::material).distinct().toList();
        return Comparator.comparingInt((WireRow r) -> wires.indexOf(r.wire()))
                .thenComparingInt(r -> materials.indexOf(r.material()))
                .thenComparingDouble(WireRow::height);
    }

    /** A wire has one diameter. */
    @Override
    public void requireBeside(WireRow other, WireRow row) {
        BookTable.super.requireBeside(other, row);
        boolean same = other.wire().equals(row.wire());
        if (same && other.wireDiameter() != row.wireDiameter()) {
            throw new CutDataException(
                    "The wire \"%s\" has a diameter of %s mm in other rows; here it is %s mm. Give another wire another name."
                            .formatted(
                                    row.wire(),
                                    Numbers.plain(other.wireDiameter(), 4),
                                    Numbers.plain(row.wireDiameter(), 4)));
        }
    }

    /** Wires the book has, in its order. */
    public List<String> wires() {
        return rows.stream().map(WireRow::wire).distinct().toList();
    }

    /** Finishes the book has for a wire and a material, in its order. */
    public List<String> finishes(String wire, String material) {
        return rows.stream()
                .filter(r -> r.wire().equals(wire) && r.material().equals(material))
                .map(WireRow::finish)
                .distinct()
                .toList();
    }

    /**
     * The data for a height, mm. Between two heights offsets and rates are interpolated linearly
     * and the row is marked so; registers and conditions are those of the lower one.
     *
     * @throws CutDataException naming what is missing and what there is
     */
    public WireRow find(String wire, String material, double height, String finish) {
        require("wire", wire, wires());
        require("material", material, materials());
        require("finish", finish, finishes(wire, material));
        ByThickness<WireRow> known =
                new ByThickness<>(
                        rows.stream()
                                .filter(r -> r.wire().equals(wire))
                                .filter(r -> r.material().equals(material))
                                .filter(r -> r.finish().equals(finish))
                                .toList());
        if (!known.reaches(height)) {
            throw new CutDataException(
                    "The cut book of %s has %s, %s with %s from %s to %s mm; the work is %s mm high."
                            .formatted(
                                    machine,
                                    material,
                                    finish,
                                    wire,
                                    Numbers.plain(known.least(), 2),
                                    Numbers.plain(known.most(), 2),
                                    Numbers.plain(height, 3)));
        }
        return known.at(height, WireBook::mixed);
    }

    private void require(String what, String value, List<String> known) {
        if (!known.contains(value)) {
            throw new CutDataException(
                    "The cut book of %s has no data for %s \"%s\"; it has %s."
                            .formatted(
                                    machine,
                                    what,
                                    value,
                                    known.isEmpty() ? "none" : String.join(", ", known)));
        }
    }

    private static WireRow mixed(ByThickness.Between<WireRow> between) {
        WireRow low = between.lower();
        int count = Math.min(low.passes().size(), between.upper().passes().size());
        return new WireRow(
                "%s~%s".formatted(low.id(), Numbers.plain(between.thickness(), 3)),
                low.wire(),
                low.wireDiameter(),
                low.material(),
                between.thickness(),
                low.finish(),
                true,
                IntStream.range(0, count).mapToObj(i -> mixed(between, i)).toList());
    }

    private static WirePass mixed(ByThickness.Between<WireRow> between, int pass) {
        WirePass low = between.lower().passes().get(pass);
        ToDoubleFunction<ToDoubleFunction<WirePass>> value =
                of -> between.value(row -> of.applyAsDouble(row.passes().get(pass)));
        return new WirePass(
                value.applyAsDouble(WirePass::gap),
                value.applyAsDouble(WirePass::stock),
                low.register(),
                low.condition(),
                value.applyAsDouble(WirePass::rate),
                value.applyAsDouble(WirePass::flushing),
                value.applyAsDouble(WirePass::tension));
    }

    @Override
    public List<String> words() {
        return rows.stream().map(WireRow::finish).distinct().toList();
    }
}
