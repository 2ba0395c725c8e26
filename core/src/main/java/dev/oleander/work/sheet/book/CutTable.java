package dev.oleander.work.sheet.book;

import dev.oleander.book.BookForm;
import dev.oleander.book.BookTable;
import dev.oleander.book.ByThickness;
import dev.oleander.book.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A table of cutting data; between two thicknesses it is interpolated.
 *
 * @param machine its name
 * @param process of the machine: laser, plasma
 */
public record CutTable(String machine, String process, List<CutRow> rows)
        implements CutBook, BookTable<CutRow, CutTable> {

    public CutTable {
        rows = List.copyOf(rows);
    }

    @Override
    public BookForm<CutRow> form() {
        return CutFields.of(process);
    }

    @Override
    public CutTable of(List<CutRow> others) {
        return new CutTable(machine, process, others);
    }

    @Override
    public Comparator<CutRow> order(List<CutRow> all) {
        List<String> materials = all.stream().map(CutRow::material).distinct().toList();
        return Comparator.comparing((CutRow r) -> materials.indexOf(r.material()))
                .thenComparing(CutRow::thickness)
                .thenComparing(CutRow::quality, Comparator.reverseOrder());
    }

    @Override
    public List<String> qualities(String material, double thickness) {
        return rows.stream()
                .filter(r -> r.material().equals(material))
                .map(CutRow::quality)
                .distinct()
                .filter(q -> rowsOf(material, q).reaches(thickness))
                .toList();
    }

    /** Between two thicknesses the row is interpolated linearly and marked so. */
    @Override
    public CutRow find(String material, double thickness, String quality) {
        CutBook.requireThickness(thickness);
        ByThickness<CutRow> known = rowsOf(material, quality);
        if (known.isEmpty()) {
            throw new CutDataException(missing(material, quality));
        }
        if (!known.reaches(thickness)) {
            throw new CutDataException(
                    "The cut book of %s has %s, %s from %s to %s mm; the job is %s mm thick."
                            .formatted(
                                    machine,
                                    material,
                                    quality,
                                    Numbers.plain(known.least(), 2),
                                    Numbers.plain(known.most(), 2),
                                    Numbers.plain(thickness, 2)));
        }
        return known.at(thickness, CutTable::mixed);
    }

    private static CutRow mixed(ByThickness.Between<CutRow> between) {
        CutRow lower = between.lower();
        return new CutRow(
                lower.id() + "~" + Numbers.plain(between.thickness(), 3),
                lower.material(),
                between.thickness(),
                lower.quality(),
                true,
                between.value(CutRow::kerf),
                between.value(CutRow::feed),
                between.value(CutRow::markFeed),
                between.value(CutRow::pierceSeconds),
                between.value(CutRow::pierceHeight),
                between.value(CutRow::cutHeight),
                between.value(CutRow::smallestHole),
                between.value(CutRow::lead),
                between.value(CutRow::pierceClearance),
                between.value(CutRow::overRun),
                between.value(CutRow::power),
                lower.gas(),
                between.value(CutRow::pressure),
                new CutRow.Corner(
                        between.value(r -> r.corner().over()),
                        between.value(r -> r.corner().share()),
                        between.value(r -> r.corner().within())),
                new CutRow.Cost(
                        between.value(r -> r.cost().hour()),
                        between.value(r -> r.cost().pierce())));
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

    private ByThickness<CutRow> rowsOf(String material, String quality) {
        return new ByThickness<>(
                rows.stream()
                        .filter(r -> r.material().equals(material) && r.quality().equals(quality))
                        .toList());
    }
}
