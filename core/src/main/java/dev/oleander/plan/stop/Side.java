package dev.oleander.plan.stop;

import java.util.Locale;

/** On which side of the drawn line the head runs. */
public enum Side {
    INSIDE,
    OUTSIDE,
    ON;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
