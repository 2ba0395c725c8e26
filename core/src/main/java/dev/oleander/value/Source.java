package dev.oleander.value;

import java.util.Locale;

/** Where a value comes from. */
public enum Source {
    /** the cut book of the machine */
    BOOK,
    /** computed between two rows of the cut book */
    INTERPOLATED,
    /** the way this kind of feature is cut */
    RECIPE,
    /** set for the whole job */
    JOB,
    /** follows from the drawing */
    READING,
    /** computed for this place */
    FOUND,
    /** set by a person for this stop */
    HERE;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
