package dev.oleander.work.wire.book;

import dev.oleander.machine.Book;
import dev.oleander.machine.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** The cut book of a wire machine; between two heights it is interpolated. */
public record WireBook(String machine, List<WireRow> rows) implements Book {

    /** Heights nearer than this, mm, are the same row. */
    private static final double SAME = 1e-6;

    public WireBook {
        rows = List.copyOf(rows);
    }

    /**
     * The book with a row in the place of the one with its id, or besides the others.
     *
     * @throws CutDataException when another row is for the same, or a wire would have two diameters
     */
    public WireBook with(WireRow row) {
        List<WireRow> all = new ArrayList<>(rows);
        int place = -1;
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).id().equals(row.id())) {
                place = i;
            }
        }
        if (place >= 0) {
            all.remove(place);
        }
        for (WireRow other : all) {
            requireBeside(other, row);
        }
        all.add(place < 0 ? all.size() : place, row);
        List<String> wires = all.stream().map(WireRow::wire).distinct().toList();
        List<String> materials = all.stream().map(WireRow::material).distinct().toList();
        all.sort(
                Comparator.comparingInt((WireRow r) -> wires.indexOf(r.wire()))
                        .thenComparingInt(r -> materials.indexOf(r.material()))
                        .thenComparingDouble(WireRow::height));
        return new WireBook(machine, all);
    }

    private void requireBeside(WireRow other, WireRow row) {
        if (other.label().equals(row.label())) {
            throw new CutDataException(
                    "The cut book of %s has a row for %s already.".formatted(machine, row.label()));
        }
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

    /** The book without a row. */
    public WireBook without(String id) {
        return new WireBook(machine, rows.stream().filter(r -> !r.id().equals(id)).toList());
    }

    /** The row with an id. */
    public Optional<WireRow> row(String id) {
        return rows.stream().filter(r -> r.id().equals(id)).findFirst();
    }

    /** Wires the book has, in its order. */
    public List<String> wires() {
        return rows.stream().map(WireRow::wire).distinct().toList();
    }

    @Override
    public List<String> materials() {
        return rows.stream().map(WireRow::material).distinct().toList();
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
        List<WireRow> known =
                rows.stream()
                        .filter(r -> r.wire().equals(wire) && r.material().equals(material))
                        .filter(r -> r.finish().equals(finish))
                        .sorted(Comparator.comparingDouble(WireRow::height))
                        .toList();
        WireRow lowest = known.get(0);
        WireRow highest = known.get(known.size() - 1);
        if (!(height >= lowest.height() - SAME && height <= highest.height() + SAME)) {
            throw new CutDataException(
                    "The cut book of %s has %s, %s with %s from %s to %s mm; the work is %s mm high."
                            .formatted(
                                    machine,
                                    material,
                                    finish,
                                    wire,
                                    Numbers.plain(lowest.height(), 2),
                                    Numbers.plain(highest.height(), 2),
                                    Numbers.plain(height, 3)));
        }
        int above = 0;
        while (known.get(above).height() < height - SAME) {
            above++;
        }
        WireRow upper = known.get(above);
        boolean exact = Math.abs(upper.height() - height) <= SAME;
        return exact ? upper : between(known.get(above - 1), upper, height);
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

    private static WireRow between(WireRow low, WireRow high, double height) {
        double share = (height - low.height()) / (high.height() - low.height());
        List<WirePass> passes = new ArrayList<>();
        int count = Math.min(low.passes().size(), high.passes().size());
        for (int i = 0; i < count; i++) {
            WirePass a = low.passes().get(i);
            WirePass b = high.passes().get(i);
            ToDoubleFunction<ToDoubleFunction<WirePass>> mix =
                    value ->
                            value.applyAsDouble(a)
                                    + share * (value.applyAsDouble(b) - value.applyAsDouble(a));
            passes.add(
                    new WirePass(
                            mix.applyAsDouble(WirePass::gap),
                            mix.applyAsDouble(WirePass::stock),
                            a.register(),
                            a.condition(),
                            mix.applyAsDouble(WirePass::rate),
                            mix.applyAsDouble(WirePass::flushing),
                            mix.applyAsDouble(WirePass::tension)));
        }
        return new WireRow(
                "%s~%s".formatted(low.id(), Numbers.plain(height, 3)),
                low.wire(),
                low.wireDiameter(),
                low.material(),
                height,
                low.finish(),
                true,
                passes);
    }

    @Override
    public List<String> words() {
        return rows.stream().map(WireRow::finish).distinct().toList();
    }
}
