package dev.oleander.geometry;

/** A curve has no place: one of its numbers is infinite, or none at all. */
public final class NotFiniteException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    public NotFiniteException(String what) {
        super(what);
    }
}
