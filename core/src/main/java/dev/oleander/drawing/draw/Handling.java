package dev.oleander.drawing.draw;

import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;

/** What steps of a command are taken hold of by. */
interface Handling {

    /** All handles of a step. */
    List<Handle> of(Sketch sketch, Args args);

    /**
     * Values that change when a handle is put somewhere, as they are typed.
     *
     * @throws DrawException when the step has no such handle, or it cannot be there
     */
    Map<String, String> moved(Sketch sketch, Args args, String name, Point to);

    /**
     * Values that change when what a handle holds is taken away.
     *
     * @throws DrawException when nothing can be taken away
     */
    default Map<String, String> removed(Sketch sketch, Args args, String name) {
        throw new DrawException("Nothing is taken away by %s.", name);
    }

    /** Whether more can be put on it. */
    default boolean takesMore() {
        return false;
    }

    /**
     * Values that change when one more is put at a place.
     *
     * @throws DrawException when nothing can be put there
     */
    default Map<String, String> added(Sketch sketch, Args args, Point at) {
        throw new DrawException("Nothing is put on this.");
    }
}
