package dev.oleander.drawing.draw;

import dev.oleander.drawing.letter.Faces;
import dev.oleander.drawing.picture.Traces;

/** What steps are drawn with besides their values: fonts and pictures, and what texts know. */
public record Supplies(Faces faces, Traces traces, Stamp stamp) {

    /** Our own alphabet, and no pictures. */
    public static final Supplies SHIPPED = new Supplies(Faces.SHIPPED, Traces.NONE);

    /** Those of no job. */
    public Supplies(Faces faces, Traces traces) {
        this(faces, traces, Stamp.NONE);
    }

    /** The same for looking at what would come of something, at once. */
    public Supplies rough() {
        return new Supplies(faces, traces.rough(), stamp);
    }

    /** The same for a job. */
    public Supplies of(Stamp job) {
        return new Supplies(faces, traces, job);
    }
}
