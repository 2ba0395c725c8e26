package dev.oleander.drawing.draw;

import dev.oleander.drawing.letter.Faces;
import dev.oleander.drawing.picture.Traces;

/** What steps are drawn with besides their values: fonts and pictures. */
public record Supplies(Faces faces, Traces traces) {

    /** Our own alphabet, and no pictures. */
    public static final Supplies SHIPPED = new Supplies(Faces.SHIPPED, Traces.NONE);
}
