package dev.oleander.work.sheet.plan;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.work.sheet.lead.SheetField;
import dev.oleander.work.sheet.lead.Surroundings;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * Gives stops their leads, in cutting order. Each looks at its neighbours in the order as they are
 * by rule, so that a lead set by hand moves no other but those it would touch.
 */
final class LeadPass {

    private final List<Stop> ordered;
    private final SheetField field;
    private final double slatPitch;

    /**
     * @param ordered stops by rule, numbered from 1
     * @param field of the same stops
     */
    LeadPass(List<Stop> ordered, SheetField field, double slatPitch) {
        this.ordered = ordered;
        this.field = field;
        this.slatPitch = slatPitch;
    }

    /**
     * All stops; their leads are in the field afterwards.
     *
     * @param slots in the same order
     */
    List<Stop> all(List<Slot> slots, Function<Slot, Cut> which, Progress progress) {
        List<Stop> placed = new ArrayList<>(ordered.size());
        for (int i = 0; i < ordered.size(); i++) {
            progress.at((double) i / ordered.size(), "Placing leads");
            Slot slot = slots.get(i);
            placed.add(place(i, slot, which.apply(slot)));
            field.addLeads(placed.get(i));
        }
        return placed;
    }

    /** The stop at a position of the order. */
    Stop place(int index, Slot slot, Cut cut) {
        return slot.place(cut, around(index, slot)).numbered(index + 1);
    }

    Surroundings around(int index, Slot slot) {
        Point from = endBefore(index);
        Point to = beginAfter(index, from);
        return field.around(index + 1, slot.placement(), from, to, slatPitch);
    }

    private Point endBefore(int index) {
        for (int i = index - 1; i >= 0; i--) {
            if (ordered.get(i).path().isPresent()) {
                return ordered.get(i).path().map(CutPath::end).orElseThrow();
            }
        }
        return Point.ORIGIN;
    }

    private Point beginAfter(int index, Point otherwise) {
        return index + 1 < ordered.size()
                ? ordered.get(index + 1).path().map(CutPath::pierce).orElse(otherwise)
                : otherwise;
    }
}
