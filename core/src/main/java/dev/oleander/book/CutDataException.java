package dev.oleander.book;

/** A material, thickness or quality for which the cut book has no data; the message says so. */
public final class CutDataException extends RuntimeException {

    public CutDataException(String message) {
        super(message);
    }
}
