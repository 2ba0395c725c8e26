package dev.oleander.plan.stop;

/**
 * A short bridge that holds the piece: the process is off over a stretch of the path.
 *
 * @param from mm along the main stretch of the path, where the process goes off
 * @param to where it comes on again
 * @param lifts whether the head lifts over it
 */
public record Tab(double from, double to, boolean lifts) {

    public Tab {
        if (!(from >= 0 && to > from)) {
            throw new IllegalArgumentException("a tab from " + from + " to " + to);
        }
    }
}
