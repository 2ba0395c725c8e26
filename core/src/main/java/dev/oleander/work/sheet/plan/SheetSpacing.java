package dev.oleander.work.sheet.plan;

import dev.oleander.book.CutDataException;
import dev.oleander.machine.Compensation;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.Spacing;
import dev.oleander.work.Task;
import dev.oleander.work.Together;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.cut.HouseRecipe;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/** How far parts that are cut next to each other must lie apart. */
final class SheetSpacing {

    /** mm, where the book has no data. */
    private static final double GAP_WITHOUT_DATA = 10;

    private SheetSpacing() {}

    /** What the widest cut of all jobs on the sheet needs. */
    static Spacing of(Task<PlanChoices> task) {
        Collection<PlanChoices> jobs =
                task.together()
                        .map(Together::choices)
                        .filter(choices -> !choices.isEmpty())
                        .<Collection<PlanChoices>>map(choices -> choices.values())
                        .orElse(List.of(task.choices()));
        List<CutRow> rows =
                jobs.stream()
                        .map(choices -> row(task, choices).orElse(null))
                        .filter(Objects::nonNull)
                        .toList();
        boolean one = rows.stream().map(CutRow::kerf).distinct().count() == 1;
        // a controller that compensates follows each contour whole
        boolean inPath = task.machine().habits().compensation() == Compensation.PATH;
        return rows.stream()
                .max(Comparator.comparingDouble(HouseRecipe::gap))
                .map(widest -> of(widest, one && inPath))
                .orElse(new Spacing(GAP_WITHOUT_DATA, 0, "no cutting data", Optional.empty()));
    }

    private static Spacing of(CutRow row, boolean shares) {
        return new Spacing(
                HouseRecipe.gap(row),
                row.kerf(),
                "lead %s, clearance %s, 2 kerfs of %s"
                        .formatted(
                                Numbers.plain(row.lead(), 2),
                                Numbers.plain(row.pierceClearance(), 2),
                                Numbers.plain(row.kerf(), 2)),
                Optional.of(row.kerf()).filter(kerf -> shares));
    }

    /** What a job is cut with as a whole. */
    static Optional<CutRow> row(Task<PlanChoices> task, PlanChoices choices) {
        try {
            return Optional.of(
                    ((CutBook) task.book())
                            .find(
                                    task.order().material(),
                                    task.order().thickness(),
                                    choices.quality()));
        } catch (CutDataException noData) {
            return Optional.empty();
        }
    }
}
