package dev.oleander.motion;

/** How a pierce begins: formats that tell them apart write its number. */
public enum PierceKind {
    /** through whole material */
    WHOLE,
    /** again in a kerf that is open already: behind a tab, on a common line */
    IN_KERF;

    /** As an argument of the event, from 1. */
    public double number() {
        return ordinal() + 1.0;
    }
}
