package dev.oleander.work.sheet.book;

import dev.oleander.machine.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/** A table of cutting data; between two thicknesses it is interpolated. */
public record CutTable(String machine, List<CutRow> rows) implements CutBook {

    /** Thicknesses nearer than this, mm, are the same row; sheet tolerances are far wider. */
    private static final double SAME = 1e-6;

    public CutTable {
        rows = List.copyOf(rows);
    }

    /**
     * The table with a row in the place of the one with its id, or besides the others.
     *
     * @throws CutDataException when another row has the same material, thickness and quality
     */
    public CutTable with(CutRow row) {
        List<CutRow> all = new ArrayList<>(rows);
        all.removeIf(r -> r.id().equals(row.id()));
        for (CutRow other : all) {
            if (other.label().equals(row.label())) {
                throw new CutDataException(
                        "The cut book of %s has a row for %s already."
                                .formatted(machine, row.label()));
            }
        }
        all.add(row);
        List<String> order = all.stream().map(CutRow::material).distinct().toList();
        all.sort(
                Comparator.comparing((CutRow r) -> order.indexOf(r.material()))
                        .thenComparing(CutRow::thickness)
                        .thenComparing(CutRow::quality, Comparator.reverseOrder()));
        return new CutTable(machine, all);
    }

    /** The table without a row. */
    public CutTable without(String id) {
        return new CutTable(machine, rows.stream().filter(r -> !r.id().equals(id)).toList());
    }

    @Override
    public List<String> materials() {
        return rows.stream().map(CutRow::material).distinct().toList();
    }

    @Override
    public List<String> qualities(String material, double thickness) {
        return rows.stream()
                .filter(r -> r.material().equals(material))
                .map(CutRow::quality)
                .distinct()
                .filter(q -> reaches(rowsOf(material, q), thickness))
                .toList();
    }

    /** Between two thicknesses the row is interpolated linearly and marked so. */
    @Override
    public CutRow find(String material, double thickness, String quality) {
        CutBook.requireThickness(thickness);
        List<CutRow> known = rowsOf(material, quality);
        if (known.isEmpty()) {
            throw new CutDataException(missing(material, quality));
        }
        if (!reaches(known, thickness)) {
            throw new CutDataException(
                    "The cut book of %s has %s, %s from %s to %s mm; the job is %s mm thick."
                            .formatted(
                                    machine,
                                    material,
                                    quality,
                                    Numbers.plain(known.get(0).thickness(), 2),
                                    Numbers.plain(known.get(known.size() - 1).thickness(), 2),
                                    Numbers.plain(thickness, 2)));
        }
        int above = 0;
        while (known.get(above).thickness() < thickness - SAME) {
            above++;
        }
        CutRow upper = known.get(above);
        boolean exact = Math.abs(upper.thickness() - thickness) <= SAME;
        return exact ? upper : Interpolation.between(known.get(above - 1), upper, thickness);
    }

    private String missing(String material, String quality) {
        boolean knowsMaterial = materials().contains(material);
        String has =
                knowsMaterial
                        ? rows.stream()
                                .filter(r -> r.material().equals(material))
                                .map(CutRow::quality)
                                .distinct()
                                .collect(Collectors.joining(", "))
                        : String.join(", ", materials());
        return knowsMaterial
                ? "The cut book of %s has no quality \"%s\" for %s; it has %s."
                        .formatted(machine, quality, material, has)
                : "The cut book of %s has no data for \"%s\"; it has %s."
                        .formatted(machine, material, has);
    }

    private List<CutRow> rowsOf(String material, String quality) {
        return rows.stream()
                .filter(r -> r.material().equals(material) && r.quality().equals(quality))
                .sorted(Comparator.comparingDouble(CutRow::thickness))
                .toList();
    }

    private static boolean reaches(List<CutRow> sorted, double thickness) {
        return !sorted.isEmpty()
                && thickness >= sorted.get(0).thickness() - SAME
                && thickness <= sorted.get(sorted.size() - 1).thickness() + SAME;
    }
}
