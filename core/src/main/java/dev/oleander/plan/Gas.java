package dev.oleander.plan;

import dev.oleander.quantity.Worded;

/** Gases that a head cuts with; their order gives the numbers of their lines at the machine. */
public enum Gas implements Worded {
    OXYGEN,
    NITROGEN,
    AIR,
    ARGON;

    /** Number of its line, from 1. */
    public int number() {
        return ordinal() + 1;
    }
}
