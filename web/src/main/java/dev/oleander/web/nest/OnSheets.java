package dev.oleander.web.nest;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.search.ByHand;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Single parts on the sheets of a nest, and what replaces them. */
final class OnSheets {

    private OnSheets() {}

    /** What changes the sheets. */
    interface Change {
        List<NestedSheet> apply(NestTask task, NestChoices choices);
    }

    static JobService.Edit edit(Change change) {
        return NestEdits.nested(
                (before, nest) -> {
                    NestTask task = Nests.task(before);
                    List<NestedSheet> laid =
                            Sheets.joined(
                                    change.apply(task, nest.choices()).stream()
                                            .filter(s -> !s.placements().isEmpty())
                                            .toList());
                    requireNoMore(task, nest.choices().laid(), laid);
                    return nest.changed((NestChoices c) -> c.withLaid(laid));
                });
    }

    /** What is done to one of several equal sheets is done to all, and by all heads. */
    private static void requireNoMore(
            NestTask task, List<NestedSheet> before, List<NestedSheet> after) {
        Map<String, Integer> then = Sheets.placed(before);
        Sheets.placed(after)
                .forEach(
                        (line, now) -> {
                            OrderLine of = task.line(line);
                            boolean more = now > then.getOrDefault(line, 0);
                            if (more && now > of.quantity()) {
                                throw new RefusedEditException(
                                        "That would make %d of %s; %d are asked for."
                                                .formatted(now, of.job(), of.quantity()));
                            }
                        });
    }

    static NestedSheet sheet(List<NestedSheet> laid, int number) {
        List<NestedSheet> different = new ArrayList<>(new LinkedHashSet<>(laid));
        if (number < 1 || number > different.size()) {
            throw new NotFoundException(
                    "There is no sheet %d; parts lie on %d.".formatted(number, different.size()));
        }
        return different.get(number - 1);
    }

    static NestPlacement part(NestedSheet sheet, int part, int number) {
        if (part < 1 || part > sheet.placements().size()) {
            throw new NotFoundException(
                    "Sheet %d has no part %d; %d lie on it."
                            .formatted(number, part, sheet.placements().size()));
        }
        return sheet.placements().get(part - 1);
    }

    static void requireLoose(NestTask task, NestPlacement p) {
        if (p.locked()) {
            throw new RefusedEditException(
                    "This part of %s is fixed. Let it loose first."
                            .formatted(task.line(p.line()).job()));
        }
    }

    static NestPlacement nearest(NestTask task, NestedSheet others, NestPlacement wished) {
        return found(task, wished, ByHand.nearest(task, others, wished));
    }

    /** The nearest place, and on from there to what is hardly farther away. */
    static NestPlacement snapped(NestTask task, NestedSheet others, NestPlacement wished) {
        return found(task, wished, ByHand.snapped(task, others, wished));
    }

    private static NestPlacement found(
            NestTask task, NestPlacement wished, Optional<NestPlacement> place) {
        return place.orElseThrow(
                () ->
                        new RefusedEditException(
                                "There is no free place for this part of %s within its size of there."
                                        .formatted(task.line(wished.line()).job())));
    }

    static Point middle(NestTask task, NestPlacement p) {
        return box(task, p).centre();
    }

    /** The box of a part where it lies. */
    static Box box(NestTask task, NestPlacement p) {
        Transform there = p.transform();
        return task.line(p.line()).shape().transformed(there).box();
    }

    /**
     * @throws RefusedEditException when it is not moved by numbers
     */
    static NestPlacement shifted(NestPlacement p, Point by) {
        if (!Double.isFinite(by.x()) || !Double.isFinite(by.y())) {
            throw new RefusedEditException(
                    "A part is moved by a number of mm, not by %s, %s.".formatted(by.x(), by.y()));
        }
        return new NestPlacement(p.line(), p.at().plus(by), p.angle(), p.mirrored(), p.locked());
    }

    static NestedSheet with(NestedSheet sheet, int part, NestPlacement p) {
        List<NestPlacement> all = new ArrayList<>(sheet.placements());
        all.set(part - 1, p);
        return sheet.with(all);
    }

    static NestedSheet without(NestedSheet sheet, int part) {
        List<NestPlacement> all = new ArrayList<>(sheet.placements());
        all.remove(part - 1);
        return sheet.with(all);
    }

    /** All sheets that are like one. */
    static List<NestedSheet> replaced(List<NestedSheet> laid, NestedSheet old, NestedSheet by) {
        return laid.stream().map(s -> s.equals(old) ? by : s).toList();
    }
}
