package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/** A segment, or a stretch of one, with the entity it came from. */
record Piece(Segment segment, Entity entity) {

    static List<Piece> allOf(List<Entity> entities) {
        List<Piece> pieces = new ArrayList<>();
        for (Entity entity : entities) {
            entity.segments().forEach(s -> pieces.add(new Piece(s, entity)));
        }
        return pieces;
    }

    Piece with(Segment other) {
        return new Piece(other, entity);
    }
}
