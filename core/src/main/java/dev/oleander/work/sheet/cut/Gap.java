package dev.oleander.work.sheet.cut;

/**
 * A stretch of a path that another stop has cut already: a common line.
 *
 * @param from mm along the main stretch of the path
 * @param to mm along it
 */
public record Gap(double from, double to) {

    public Gap {
        if (!(from >= 0 && to > from)) {
            throw new IllegalArgumentException("a gap from " + from + " to " + to);
        }
    }

    public boolean holds(double along) {
        return along > from && along < to;
    }
}
