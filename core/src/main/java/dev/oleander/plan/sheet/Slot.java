package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.Placement;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;

/**
 * A stop's place.
 *
 * @param choice what is set for it there
 * @param chosen how it is cut there
 * @param byRule the same without what a person set of its leads
 * @param alone the stop by rule, as it is in the drawing
 */
record Slot(
        Feature feature,
        Placement placement,
        StopChoice choice,
        Cut chosen,
        Cut byRule,
        Stop alone) {

    static Slot of(Feature feature, Placement placement, StopChoice choice, CutLibrary cuts) {
        Cut byRule = cuts.cut(feature, choice.ofPath(), placement);
        Cut chosen = cuts.cut(feature, choice, placement);
        return new Slot(feature, placement, choice, chosen, byRule, byRule.alone().at(placement));
    }

    /** The same place with something else set there that changes nothing of the path itself. */
    Slot with(StopChoice other, CutLibrary cuts) {
        Cut cut = cuts.cut(feature, other, placement);
        return new Slot(feature, placement, other, cut, byRule, alone);
    }

    Stop place(Cut cut, Surroundings around) {
        Stop placed = cut.placed(around);
        boolean same = cut == byRule && placed == cut.alone();
        return same ? alone : placed.at(placement);
    }
}
