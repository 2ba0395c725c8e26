package dev.oleander.machine;

import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** The cut book of a wire machine; between two heights it is interpolated. */
public record WireBook(String machine, List<WireRow> rows) {

    /** Heights nearer than this, mm, are the same row. */
    private static final double SAME = 1e-6;

    public WireBook {
        rows = List.copyOf(rows);
    }

    /** Wires the book has, in its order. */
    public List<String> wires() {
        return rows.stream().map(WireRow::wire).distinct().toList();
    }

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
}
