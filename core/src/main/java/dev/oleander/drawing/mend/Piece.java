package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Segment;

/** A segment, or a stretch of one, with the entity it came from. */
record Piece(Segment segment, Entity entity) {

    Piece with(Segment other) {
        return new Piece(other, entity);
    }
}
