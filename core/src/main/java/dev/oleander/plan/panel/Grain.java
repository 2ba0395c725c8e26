package dev.oleander.plan.panel;

import dev.oleander.quantity.Worded;

/** Along what the grain of a panel runs. */
public enum Grain implements Worded {
    LENGTH,
    WIDTH,
    NONE
}
