package dev.oleander.plan.stop;

import java.util.List;

/** What a kind of work has of its own for a stop. */
public interface StopWork {

    /** Nothing besides. */
    StopWork NONE = new StopWork() {};

    /** How much of the main path an earlier stop has cut, mm. */
    default double commonLine() {
        return 0;
    }

    /** Ids of features that it is done to besides the one that it is named by. */
    default List<String> others() {
        return List.of();
    }

    /** How the tool comes from the stop before. */
    default Approach approach() {
        return Approach.UP;
    }
}
