package dev.oleander.geometry;

import java.util.List;

/** An open chain of segments, mm. */
public record Path(List<Segment> segments) implements Chain {

    public Path {
        segments = Chain.requireJoined(segments);
    }

    @Override
    public Path reversed() {
        return new Path(Chain.reversed(segments));
    }

    @Override
    public Path transformed(Transform transform) {
        return new Path(Chain.transformed(segments, transform));
    }
}
