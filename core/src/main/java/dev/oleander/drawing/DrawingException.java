package dev.oleander.drawing;

import java.util.Optional;

/** A drawing file that cannot be taken; the message is for the person who brought it. */
public final class DrawingException extends RuntimeException {

    private final String file;
    private final Integer line;

    public DrawingException(String file, Integer line, String message) {
        super(message);
        this.file = file;
        this.line = line;
    }

    public String file() {
        return file;
    }

    /** Number of the line in the file, from 1. */
    public Optional<Integer> line() {
        return Optional.ofNullable(line);
    }
}
