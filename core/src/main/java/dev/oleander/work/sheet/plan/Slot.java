package dev.oleander.work.sheet.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.CommonLines.Shared;
import dev.oleander.work.sheet.lead.Surroundings;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * A stop's place.
 *
 * @param choice what is set for it there
 * @param chosen how it is cut there
 * @param byRule the same without what a person set of its leads
 * @param alone the stop by rule, as it is in the drawing
 * @param shared lines of its path, on the sheet, that an earlier stop cuts
 */
record Slot(
        Feature feature,
        Placement placement,
        StopChoice choice,
        Cut chosen,
        Cut byRule,
        Stop alone,
        List<Shared> shared) {

    static Slot of(Feature feature, Placement placement, StopChoice choice, CutLibrary cuts) {
        Cut byRule = cuts.cut(feature, choice.ofPath(), placement);
        Cut chosen = cuts.cut(feature, choice, placement);
        Stop alone = byRule.alone().at(placement);
        return new Slot(feature, placement, choice, chosen, byRule, alone, List.of());
    }

    /** The same place with something else set there that changes nothing of the path itself. */
    Slot with(StopChoice other, CutLibrary cuts) {
        Cut cut = cuts.cut(feature, other, placement);
        return new Slot(feature, placement, other, cut, byRule, alone, shared);
    }

    Slot sharing(List<Shared> lines) {
        return lines.equals(shared)
                ? this
                : new Slot(feature, placement, choice, chosen, byRule, alone, lines);
    }

    Stop place(Cut cut, Surroundings around) {
        boolean joins = choice.start() == null && cut.draft().seeksLead();
        // a controller that offsets paths cannot begin inside a kerf
        joins &= cut.draft().compensation() == Compensation.PATH;
        if (joins && !shared.isEmpty()) {
            return inKerf(cut.draft()).at(placement);
        }
        Stop placed = cut.placed(around);
        boolean same = cut == byRule && placed == cut.alone();
        return same ? alone : placed.at(placement);
    }

    private Stop inKerf(Draft draft) {
        SortedSet<Integer> cut = new TreeSet<>();
        List<Segment> loop = draft.loop().transformed(placement.transform()).segments();
        for (Shared line : shared) {
            for (int i = 0; i < loop.size(); i++) {
                if (loop.get(i).middle().distance(line.line().middle()) < 1e-3) {
                    cut.add(i);
                }
            }
        }
        List<String> remarks =
                shared.stream()
                        .map(
                                s ->
                                        "An edge of %s is cut with stop %d: a common line."
                                                .formatted(
                                                        Numbers.length(s.line().length()), s.by()))
                        .toList();
        return draft.begunInKerf(cut, remarks);
    }
}
