package dev.oleander.drawing.intake;

/** A thing that cannot become geometry; the reader reports it and goes on. */
public final class UnreadableException extends RuntimeException {

    /**
     * @param why completes "LINE on layer CUT is left out: "
     */
    public UnreadableException(String why) {
        super(why);
    }
}
