package dev.oleander.work.pen;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.Choice;
import dev.oleander.quantity.Typed;

/**
 * What a person set for a line.
 *
 * @param speed of the pen, mm/min; null: as is usual
 */
record PenChoice(Typed speed) implements Choice<PenChoice> {

    static final PenChoice NOTHING = new PenChoice(null);

    @Override
    public boolean isNothing() {
        return speed == null;
    }

    @Override
    public PenChoice over(PenChoice other) {
        return speed == null ? other : this;
    }

    @Override
    public PenChoice asRecipe() {
        return this;
    }

    @Override
    public PenChoice ofPlace() {
        return NOTHING;
    }

    @Override
    public PenChoice carried(String key, Carrying to) {
        return this;
    }
}
