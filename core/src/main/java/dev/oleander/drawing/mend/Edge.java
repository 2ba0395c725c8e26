package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;

/** A piece between two nodes; its ends are exactly the points of the nodes. */
record Edge(Segment segment, Entity entity) {

    Point from() {
        return segment.start();
    }

    Point to() {
        return segment.end();
    }

    Edge reversed() {
        return new Edge(segment.reversed(), entity);
    }
}
